/** What a machine's plate and manual say besides: volts, wire sizes, what its displays show, and memories called by taps. */
import { t, format } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { wireSizeLabel, wireSizes } from '@fox-tempo/core/metal/consumables';
import { dialQuantityNames, quantityFacts, type DialQuantity } from '@fox-tempo/core/machine/description';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { MachineEditor } from './use-machine.ts';

interface Facts {
  readonly lowV: number | null;
  readonly highV: number | null;
  readonly sizes: readonly number[];
  readonly displays: MachineFile['displays'];
  readonly tapCalls: NonNullable<MachineFile['tapCalls']>;
}

function factsOf({ limits, displays, tapCalls }: MachineFile): Facts {
  return {
    lowV: limits.voltageV?.[0] ?? null,
    highV: limits.voltageV?.[1] ?? null,
    sizes: limits.wireSizesMm ?? [],
    displays,
    tapCalls: tapCalls ?? [],
  };
}

const shown = dialQuantityNames.map((value) => ({ value, label: quantityFacts(value).name }));

export function MoreFacts({
  editor,
  onSave,
  problem,
}: {
  readonly editor: MachineEditor;
  /** Told before a save, so that its refusal is shown here and nowhere else. */
  readonly onSave: () => void;
  readonly problem: string | null;
}) {
  const { machine, task } = editor;
  const keep = `more/${machine.id}/${machine.version}`;
  const stored = factsOf(machine.file);
  const [form, setForm, forget] = useKeptForm<Facts>(keep, stored);
  const set = (change: Partial<Facts>) => setForm({ ...form, ...change });
  const edited = JSON.stringify(form) !== JSON.stringify(stored);
  const volts = form.lowV !== null && form.highV !== null ? ([form.lowV, form.highV] as [number, number]) : null;
  const halfVolts = (form.lowV === null) !== (form.highV === null);
  const save = () => {
    onSave();
    void editor
      .saveFile((file) => {
        const { voltageV: _volts, wireSizesMm: _sizes, ...limits } = file.limits;
        return {
          ...file,
          limits: {
            ...limits,
            ...(volts ? { voltageV: volts } : {}),
            ...(form.sizes.length > 0 ? { wireSizesMm: [...form.sizes].sort((a, b) => a - b) } : {}),
          },
          displays: [...form.displays],
          tapCalls: [...form.tapCalls],
        };
      })
      .then((done) => {
        if (done) forget();
      });
  };
  return (
    <Panel title={t('view.machines.limits')}>
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: '160px 160px 1fr' }} gap="2.5" alignItems="start">
        <ValueField
          label={t('view.machines.lowest-voltage')}
          of="voltage"
          value={form.lowV}
          keep={`${keep}/low`}
          range={[0, 80]}
          optional
          onValue={(lowV) => set({ lowV })}
        />
        <ValueField
          label={t('view.machines.highest-voltage')}
          of="voltage"
          value={form.highV}
          keep={`${keep}/high`}
          range={[0, 80]}
          optional
          onValue={(highV) => set({ highV })}
          hint={halfVolts ? t('view.machines.both-ends') : undefined}
        />
        <Box as="fieldset" gridColumn={{ base: 'span 2', md: 'auto' }}>
          <Box as="legend" textStyle="label" color="quiet">
            {t('view.machines.wire-sizes')}
          </Box>
          <Box display="flex" flexWrap="wrap" columnGap="4">
            {wireSizes.map(({ diameterMm }) => (
              <Tick
                key={diameterMm}
                checked={form.sizes.includes(diameterMm)}
                onChange={(on) =>
                  set({ sizes: on ? [...form.sizes, diameterMm] : form.sizes.filter((size) => size !== diameterMm) })
                }
              >
                {format(wireSizeLabel(diameterMm))}
              </Tick>
            ))}
          </Box>
        </Box>
      </Box>
      <Heading as="h3" textStyle="heading" mt="3" mb="1">
        {t('view.machines.displays')}
      </Heading>
      {form.displays.map((display, at) => {
        const change = (one: Partial<typeof display>) =>
          set({ displays: form.displays.map((old, index) => (index === at ? { ...old, ...one } : old)) });
        return (
          <Box
            key={display.id}
            display="grid"
            gridTemplateColumns={{ base: '1fr 1fr', md: '1fr 1fr 90px 1.4fr 90px auto' }}
            gap="2.5"
            mb="2"
          >
            <TextField
              label={t('view.machines.it-is-called')}
              value={display.label}
              onChange={(label) => change({ label })}
            />
            <TextField label={t('view.library.where')} value={display.where} onChange={(where) => change({ where })} />
            <TextField
              label={t('view.machines.unit')}
              value={display.unit}
              maxLength={20}
              onChange={(unit) => change({ unit })}
            />
            <ChoiceField<DialQuantity>
              label={t('view.machines.shows')}
              value={display.quantity}
              choices={shown}
              onChange={(quantity) => change({ quantity })}
            />
            <ValueField
              label={t('view.machines.digits')}
              of="plain"
              value={display.digits}
              keep={`${keep}/digits/${display.id}`}
              range={[0, 4]}
              whole
              onValue={(digits) => change({ digits: digits ?? 0 })}
            />
            <Action
              kind="quiet"
              mt="18px"
              aria-label={t('view.machines.remove-display', { display: display.label })}
              onClick={() => set({ displays: form.displays.filter((_, index) => index !== at) })}
            >
              {t('view.machines.remove')}
            </Action>
          </Box>
        );
      })}
      <Action
        kind="quiet"
        disabled={form.displays.length >= 20}
        onClick={() =>
          set({
            displays: [
              ...form.displays,
              {
                id: freeId(
                  'display',
                  form.displays.map((one) => one.id),
                ),
                label: t('view.machines.amperes'),
                where: 'left',
                unit: 'A',
                quantity: 'meanCurrentA',
                digits: 0,
              },
            ],
          })
        }
      >
        {t('view.machines.one-more-display')}
      </Action>
      <Heading as="h3" textStyle="heading" mt="3" mb="1">
        {t('view.machines.taps-title')}
      </Heading>
      {form.tapCalls.map((call, at) => {
        const change = (one: Partial<typeof call>) =>
          set({ tapCalls: form.tapCalls.map((old, index) => (index === at ? { ...old, ...one } : old)) });
        return (
          <Box key={`${call.taps}-${at}`} display="grid" gridTemplateColumns="120px 120px auto" gap="2.5" mb="2">
            <ValueField
              label={t('view.machines.taps')}
              of="plain"
              value={call.taps}
              keep={`${keep}/taps/${at}`}
              range={[1, 9]}
              whole
              onValue={(taps) => change({ taps: taps ?? 1 })}
            />
            <ValueField
              label={t('view.machines.call-slot')}
              of="plain"
              value={call.slot}
              keep={`${keep}/slot/${at}`}
              range={[0, 999]}
              whole
              onValue={(slot) => change({ slot: slot ?? 0 })}
            />
            <Action
              kind="quiet"
              mt="18px"
              justifySelf="start"
              aria-label={t('view.machines.remove-taps', { taps: call.taps })}
              onClick={() => set({ tapCalls: form.tapCalls.filter((_, index) => index !== at) })}
            >
              {t('view.machines.remove')}
            </Action>
          </Box>
        );
      })}
      <Action
        kind="quiet"
        disabled={form.tapCalls.length >= 9 || machine.file.slots.count === 0}
        onClick={() =>
          set({ tapCalls: [...form.tapCalls, { taps: form.tapCalls.length + 1, slot: machine.file.slots.first }] })
        }
      >
        {t('view.machines.one-more-call')}
      </Action>
      {machine.file.slots.count === 0 && (
        <Box textStyle="label" color="quiet">
          {t('view.machines.no-memories')}
        </Box>
      )}
      {problem !== null && (
        <Notice level="refusal" word={t('view.library.not-saved')} urgent>
          {t('view.machines.draft-kept', { problem })}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="3" flexWrap="wrap">
        <Action kind="main" disabled={!edited || task.busy || halfVolts} onClick={save}>
          {t('view.machines.save')}
        </Action>
        <Action disabled={!edited} onClick={forget}>
          {t('view.machines.back-to-saved')}
        </Action>
      </Box>
    </Panel>
  );
}

function freeId(word: string, taken: readonly string[]): string {
  for (let count = taken.length + 1; ; count++) if (!taken.includes(`${word}-${count}`)) return `${word}-${count}`;
}
