/** What a machine is called, where it stands, what it can give, how it says the slow beat, its memories and feeders, and its trigger modes. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { t, format } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { triggerTestFor } from '@fox-tempo/core/machine/teaching';
import { usualGunLengthM } from '@fox-tempo/core/machine/description';
import { schoolFacts } from '@fox-tempo/core/weld/sequence';
import { useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { AddTriggerMode } from './add-trigger-mode.tsx';
import { MoreFacts } from './more-facts.tsx';
import { TriggerDrawing } from './trigger-drawing.tsx';
import type { MachineEditor } from './use-machine.ts';

type Facts = Pick<
  MachineFile,
  'name' | 'place' | 'about' | 'circuitMOhm' | 'limits' | 'beatSchool' | 'slots' | 'feeders'
>;

function factsOf({ name, place, about, circuitMOhm, limits, beatSchool, slots, feeders }: MachineFile): Facts {
  return { name, place, about, circuitMOhm, limits, beatSchool, slots, feeders };
}

const schools = [
  { value: 'none', label: t('view.machines.no-double-pulse') },
  { value: 'top', label: t('view.machines.school-high') },
  { value: 'two-level', label: t('view.machines.school-apart') },
  { value: 'swing', label: t('view.machines.school-mean') },
] as const;

export function About({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const keep = `about/${machine.id}/${machine.version}`;
  const stored = factsOf(machine.file);
  const [form, setForm, forget] = useKeptForm<Facts>(keep, stored);
  const [savedFrom, setSavedFrom] = useState<'about' | 'more'>('about');
  const set = (change: Partial<Facts>) => setForm({ ...form, ...change });
  const edited = JSON.stringify(form) !== JSON.stringify(stored);
  const [slowest, fastest] = form.limits.wireFeedMPerMin;
  const duty = form.limits.duty ?? [];
  return (
    <Box display="grid" gap="3">
      <Panel title={t('view.machines.about-this-machine')}>
        <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
          <TextField label={t('view.library.label-word')} value={form.name} onChange={(name) => set({ name })} />
          <TextField label={t('view.machines.location')} value={form.place} onChange={(place) => set({ place })} />
          <Box gridColumn={{ md: 'span 2' }}>
            <TextField
              label={t('view.machines.in-a-line')}
              value={form.about}
              onChange={(about) => set({ about })}
              maxLength={300}
            />
          </Box>
          <ValueField
            label={t('view.machines.highest-current')}
            of="current"
            value={form.limits.peakCurrentA}
            keep={`${keep}/peak`}
            range={[60, 700]}
            onValue={(value) => set({ limits: { ...form.limits, peakCurrentA: value ?? 400 } })}
          />
          <ValueField
            label={t('view.machines.slowest-feed')}
            of="wireFeed"
            value={slowest}
            keep={`${keep}/slowest`}
            range={[0.1, 60]}
            step={0.5}
            onValue={(value) => set({ limits: { ...form.limits, wireFeedMPerMin: [value ?? 1, fastest] } })}
          />
          <ValueField
            label={t('view.machines.fastest-feed')}
            of="wireFeed"
            value={fastest}
            keep={`${keep}/fastest`}
            range={[0.1, 60]}
            step={0.5}
            onValue={(value) => set({ limits: { ...form.limits, wireFeedMPerMin: [slowest, value ?? 20] } })}
          />
          <ValueField
            label={t('view.machines.leads')}
            of="resistance"
            value={form.circuitMOhm}
            keep={`${keep}/circuit`}
            range={[0, 80]}
            onValue={(value) => set({ circuitMOhm: value ?? nominalCircuitMOhm })}
          />
          <ChoiceField
            label={t('view.machines.double-pulse-how')}
            value={form.beatSchool ?? 'none'}
            choices={schools}
            onChange={(value) => set({ beatSchool: value === 'none' ? null : value })}
          />
          <ValueField
            label={t('view.machines.memory-slots')}
            of="plain"
            value={form.slots.count}
            keep={`${keep}/slots`}
            range={[0, 999]}
            whole
            onValue={(count) => set({ slots: { ...form.slots, count: count ?? 0 } })}
          />
          <ChoiceField
            label={t('view.machines.first-slot')}
            value={String(form.slots.first)}
            choices={[
              { value: '0', label: '0' },
              { value: '1', label: '1' },
            ]}
            onChange={(first) => set({ slots: { ...form.slots, first: Number(first) } })}
          />
          <ValueField
            label={t('view.machines.rated-current')}
            of="current"
            value={duty.find((point) => point.percent === 60)?.currentA ?? null}
            keep={`${keep}/duty`}
            range={[20, 700]}
            optional
            hint={t('view.machines.rating-plate')}
            onValue={(currentA) =>
              set({
                limits: {
                  ...form.limits,
                  duty: [
                    ...duty.filter((point) => point.percent !== 60),
                    ...(currentA === null ? [] : [{ percent: 60, currentA }]),
                  ].sort((a, b) => a.percent - b.percent),
                },
              })
            }
          />
        </Box>
        <Heading as="h3" textStyle="heading" mt="3" mb="1">
          {t('view.machines.feeders-and-guns')}
        </Heading>
        {form.feeders.map((feeder, at) => (
          <Box
            key={feeder.id}
            display="grid"
            gridTemplateColumns={{ base: '1fr 1fr', md: '1fr 2fr 140px auto' }}
            gap="2.5"
            mb="2"
          >
            <TextField
              label={t('view.machines.feeder')}
              value={feeder.label}
              onChange={(label) => set({ feeders: replaced(form.feeders, at, { ...feeder, label }) })}
            />
            <TextField
              label={t('view.machines.its-gun')}
              value={feeder.gun}
              onChange={(gun) => set({ feeders: replaced(form.feeders, at, { ...feeder, gun }) })}
            />
            <ValueField
              label={t('view.machines.gun-length')}
              of="gunLength"
              value={feeder.gunLengthM}
              keep={`${keep}/gun/${feeder.id}`}
              range={[0.5, 25]}
              step={0.5}
              onValue={(gunLengthM) =>
                set({ feeders: replaced(form.feeders, at, { ...feeder, gunLengthM: gunLengthM ?? usualGunLengthM }) })
              }
            />
            <Action
              kind="quiet"
              mt="18px"
              disabled={form.feeders.length === 1}
              aria-label={t('view.machines.remove-feeder', { feeder: feeder.label })}
              onClick={() => set({ feeders: form.feeders.filter((_, index) => index !== at) })}
            >
              {t('view.machines.remove')}
            </Action>
          </Box>
        ))}
        <Action
          kind="quiet"
          disabled={form.feeders.length >= 8}
          onClick={() =>
            set({
              feeders: [
                ...form.feeders,
                {
                  id: freeFeeder(form.feeders),
                  label: t('view.machines.feeder-number', { feeders: form.feeders.length + 1 }),
                  gun: 'gun',
                  gunLengthM: usualGunLengthM,
                },
              ],
            })
          }
        >
          {t('view.machines.one-more-feeder')}
        </Action>
        {savedFrom === 'about' && task.problem !== null && (
          <Notice level="refusal" word={t('view.library.not-saved')} urgent>
            {t('view.machines.draft-kept', { problem: task.problem })}
          </Notice>
        )}
        <Box display="flex" gap="2" mt="3" flexWrap="wrap">
          <Action
            kind="main"
            disabled={!edited || task.busy}
            onClick={() => {
              setSavedFrom('about');
              void editor
                .saveFile((file) => ({ ...file, ...form }))
                .then((done) => {
                  if (done) forget();
                });
            }}
          >
            {t('view.library.save')}
          </Action>
          <Action disabled={!edited} onClick={forget}>
            {t('view.machines.back-to-saved')}
          </Action>
          <Action kind="quiet" disabled={task.busy} onClick={() => void editor.retire(!machine.retired)}>
            {machine.retired ? t('view.machines.use-again') : t('view.machines.take-out-of-use')}
          </Action>
        </Box>
      </Panel>
      <MoreFacts
        editor={editor}
        onSave={() => setSavedFrom('more')}
        problem={savedFrom === 'more' ? task.problem : null}
      />
      <Panel title={t('view.machines.trigger')}>
        {machine.file.triggerModes.length === 0 && <Notice level="note">{t('view.machines.no-trigger')}</Notice>}
        {machine.file.triggerModes.map((mode) => {
          const test = triggerTestFor(mode);
          return (
            <Box key={mode.id} as="section" aria-label={mode.label} borderTopWidth="1px" borderColor="line" py="2">
              <Heading as="h3" textStyle="heading">
                {mode.label}{' '}
                <Box as="span" fontWeight={400} fontSize="small" color="quiet">
                  {format(schoolFacts[mode.school].name)}
                </Box>
              </Heading>
              <TriggerDrawing mode={mode} />
              <Action
                kind="quiet"
                fontSize="small"
                disabled={task.busy}
                aria-label={t('view.machines.remove-trigger', { mode: mode.label })}
                onClick={() => {
                  void editor.saveFile((file) => ({
                    ...file,
                    triggerModes: file.triggerModes.filter((one) => one.id !== mode.id),
                  }));
                }}
              >
                {t('view.machines.remove')}
              </Action>
              {mode.senseTested === false && (
                <Notice level="caution" word={t('view.machines.not-tested')}>
                  {format(test.safety)}
                  <Box as="ol" ps="5" listStyleType="decimal" mt="1">
                    {test.steps.map((step) => (
                      <li key={format(step)}>{format(step)}</li>
                    ))}
                  </Box>
                  <Action
                    mt="2"
                    disabled={task.busy}
                    onClick={() => {
                      void editor.saveFile((file) => ({
                        ...file,
                        triggerModes: file.triggerModes.map((one) =>
                          one.id === mode.id ? { ...one, senseTested: true } : one,
                        ),
                      }));
                    }}
                  >
                    {t('view.machines.trigger-confirm')}
                  </Action>
                </Notice>
              )}
            </Box>
          );
        })}
        <AddTriggerMode editor={editor} />
      </Panel>
    </Box>
  );
}

function replaced<T>(list: readonly T[], at: number, value: T): T[] {
  return list.map((one, index) => (index === at ? value : one));
}

function freeFeeder(feeders: Facts['feeders']): string {
  for (let count = feeders.length + 1; ; count++) {
    const id = `feeder-${count}`;
    if (!feeders.some((feeder) => feeder.id === id)) return id;
  }
}
