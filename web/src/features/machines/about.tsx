/** What a machine is called, where it stands, what it can give, how it says the slow beat, its memories and feeders, and its trigger modes. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { triggerTestFor } from '@fox-tempo/core/machine';
import { schoolFacts } from '@fox-tempo/core/sequence';
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
  { value: 'none', label: 'no double pulse' },
  { value: 'top', label: 'the set value is the high level, low a percentage' },
  { value: 'two-level', label: 'high and low entered apart' },
  { value: 'swing', label: 'the set value is the mean, one strength' },
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
      <Panel title="About this machine">
        <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
          <TextField label="What you call it" value={form.name} onChange={(name) => set({ name })} />
          <TextField label="Where it stands" value={form.place} onChange={(place) => set({ place })} />
          <Box gridColumn={{ md: 'span 2' }}>
            <TextField label="In a line" value={form.about} onChange={(about) => set({ about })} maxLength={300} />
          </Box>
          <ValueField
            label="Highest current it gives"
            of="current"
            value={form.limits.peakCurrentA}
            keep={`${keep}/peak`}
            range={[60, 700]}
            onValue={(value) => set({ limits: { ...form.limits, peakCurrentA: value ?? 400 } })}
          />
          <ValueField
            label="Slowest feed"
            of="wireFeed"
            value={slowest}
            keep={`${keep}/slowest`}
            range={[0.1, 60]}
            step={0.5}
            onValue={(value) => set({ limits: { ...form.limits, wireFeedMPerMin: [value ?? 1, fastest] } })}
          />
          <ValueField
            label="Fastest feed"
            of="wireFeed"
            value={fastest}
            keep={`${keep}/fastest`}
            range={[0.1, 60]}
            step={0.5}
            onValue={(value) => set({ limits: { ...form.limits, wireFeedMPerMin: [slowest, value ?? 20] } })}
          />
          <ValueField
            label="Leads, gun and clamp"
            of="resistance"
            value={form.circuitMOhm}
            keep={`${keep}/circuit`}
            range={[0, 80]}
            onValue={(value) => set({ circuitMOhm: value ?? 15 })}
          />
          <ChoiceField
            label="How it says the slow beat"
            value={form.beatSchool ?? 'none'}
            choices={schools}
            onChange={(value) => set({ beatSchool: value === 'none' ? null : value })}
          />
          <ValueField
            label="Memory slots"
            of="plain"
            value={form.slots.count}
            keep={`${keep}/slots`}
            range={[0, 999]}
            whole
            onValue={(count) => set({ slots: { ...form.slots, count: count ?? 0 } })}
          />
          <ChoiceField
            label="First slot is called"
            value={String(form.slots.first)}
            choices={[
              { value: '0', label: '0' },
              { value: '1', label: '1' },
            ]}
            onChange={(first) => set({ slots: { ...form.slots, first: Number(first) } })}
          />
          <ValueField
            label="Rated current at 60 %"
            of="current"
            value={duty.find((point) => point.percent === 60)?.currentA ?? null}
            keep={`${keep}/duty`}
            range={[20, 700]}
            optional
            hint="from the rating plate"
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
          Feeders and guns
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
              label="Feeder"
              value={feeder.label}
              onChange={(label) => set({ feeders: replaced(form.feeders, at, { ...feeder, label }) })}
            />
            <TextField
              label="Its gun"
              value={feeder.gun}
              onChange={(gun) => set({ feeders: replaced(form.feeders, at, { ...feeder, gun }) })}
            />
            <ValueField
              label="Gun length"
              of="gunLength"
              value={feeder.gunLengthM}
              keep={`${keep}/gun/${feeder.id}`}
              range={[0.5, 25]}
              step={0.5}
              onValue={(gunLengthM) =>
                set({ feeders: replaced(form.feeders, at, { ...feeder, gunLengthM: gunLengthM ?? 3 }) })
              }
            />
            <Action
              kind="quiet"
              mt="18px"
              disabled={form.feeders.length === 1}
              aria-label={`Take off ${feeder.label}`}
              onClick={() => set({ feeders: form.feeders.filter((_, index) => index !== at) })}
            >
              Take off
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
                { id: freeFeeder(form.feeders), label: `Feeder ${form.feeders.length + 1}`, gun: 'gun', gunLengthM: 3 },
              ],
            })
          }
        >
          One more feeder
        </Action>
        {savedFrom === 'about' && task.problem !== null && (
          <Notice level="refusal" word="Not saved." urgent>
            {task.problem} What you typed is kept on this device.
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
            Save
          </Action>
          <Action disabled={!edited} onClick={forget}>
            Back to what is stored
          </Action>
          <Action kind="quiet" disabled={task.busy} onClick={() => void editor.retire(!machine.retired)}>
            {machine.retired ? 'Take it into use again' : 'Take it out of use'}
          </Action>
        </Box>
      </Panel>
      <MoreFacts
        editor={editor}
        onSave={() => setSavedFrom('more')}
        problem={savedFrom === 'more' ? task.problem : null}
      />
      <Panel title="What the trigger does">
        {machine.file.triggerModes.length === 0 && (
          <Notice level="note">No trigger mode is described yet; until then cards leave the trigger to you.</Notice>
        )}
        {machine.file.triggerModes.map((mode) => {
          const test = triggerTestFor(mode);
          return (
            <Box key={mode.id} as="section" aria-label={mode.label} borderTopWidth="1px" borderColor="line" py="2">
              <Heading as="h3" textStyle="heading">
                {mode.label}{' '}
                <Box as="span" fontWeight={400} fontSize="13px" color="quiet">
                  {schoolFacts[mode.school].name}
                </Box>
              </Heading>
              <TriggerDrawing mode={mode} />
              <Action
                kind="quiet"
                fontSize="13px"
                disabled={task.busy}
                aria-label={`Take the mode ${mode.label} off`}
                onClick={() => {
                  void editor.saveFile((file) => ({
                    ...file,
                    triggerModes: file.triggerModes.filter((one) => one.id !== mode.id),
                  }));
                }}
              >
                Take off
              </Action>
              {mode.senseTested === false && (
                <Notice level="caution" word="Nobody has tried it.">
                  {test.safety}
                  <Box as="ol" pl="5" listStyleType="decimal" mt="1">
                    {test.steps.map((step) => (
                      <li key={step}>{step}</li>
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
                    Yes, that is what it does
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
