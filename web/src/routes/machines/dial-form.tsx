/** Describing one dial: its word, where a hand finds it, the quantity it moves and how. Half-typed forms stay on the device. */
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { oneOf } from '@fox-tempo/core/base/messages';
import { dialQuantityNames, isNumeric, quantityFacts } from '@fox-tempo/core/machine/description';
import { format, t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { blank, dialOf, facetCodes, type FileDial, type Form, formOf, type Kind } from './dial-values.ts';

const kinds: readonly { value: Kind; label: string }[] = [
  { value: 'linear', label: t('view.machines.scale.linear') },
  { value: 'percent-of', label: t('view.machines.scale.percent') },
  { value: 'line-offset', label: t('view.machines.scale.volts') },
  { value: 'inverse', label: t('view.machines.scale.inverse') },
  { value: 'stepped', label: t('view.machines.scale.clicks') },
  { value: 'named', label: t('view.machines.scale.named') },
  { value: 'chart-line', label: t('view.machines.scale.chart-line') },
];

export interface DialFormProps {
  readonly keep: string;
  readonly dial: FileDial | null;
  readonly dials: MachineFile['dials'];
  readonly problem: string | null;
  readonly busy: boolean;
  readonly onSave: (dial: FileDial) => void;
  readonly onRemove: (() => void) | null;
  readonly onClose: () => void;
}

export function DialForm({ keep, dial, dials, problem, busy, onSave, onRemove, onClose }: DialFormProps) {
  const [form, setForm, forget] = useKeptForm<Form>(keep, dial ? formOf(dial) : blank);
  const set = (change: Partial<Form>) => setForm({ ...form, ...change });
  const others = dials.filter((one) => one.id !== dial?.id && isNumeric(one.scale));
  const numeric = form.kind !== 'named' && form.kind !== 'chart-line';
  const travels = numeric && form.kind !== 'stepped';
  const number = (
    label: string,
    key: 'min' | 'max' | 'step' | 'neutral' | 'atNeutral' | 'perUnit' | 'alsoPerUnit' | 'voltsPerUnit' | 'product',
    hint?: string,
  ) => (
    <ValueField
      key={key}
      label={label}
      of="plain"
      value={form[key]}
      keep={`${keep}/${key}`}
      step={key === 'step' ? 0.1 : 1}
      hint={hint}
      onValue={(value) => set({ [key]: value ?? 0, ...(key === 'perUnit' ? { isUnitKnown: true } : {}) })}
    />
  );
  const made = dialOf(form, dial, dials);
  return (
    <Box
      as="section"
      aria-label={dial ? t('view.machines.edit', { dial: dial.label }) : t('view.machines.a-new-dial')}
      bg="page"
      p="3"
      borderRadius="4px"
      my="2"
    >
      <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: 'repeat(2, 1fr)', lg: 'repeat(4, 1fr)' }} gap="2.5">
        <TextField
          label={t('view.machines.the-machines-word')}
          value={form.label}
          onChange={(label) => set({ label })}
        />
        <TextField label={t('view.machines.dial.where')} value={form.where} onChange={(where) => set({ where })} />
        <TextField
          label={t('view.machines.unit-as-printed')}
          value={form.unit}
          onChange={(unit) => set({ unit })}
          maxLength={20}
        />
        <ChoiceField
          label={t('view.machines.dial.welder-may')}
          value={form.hand}
          choices={[
            { value: 'free', label: t('view.dial-card.free-to-move') },
            { value: 'fixed', label: t('view.dial-card.set-once') },
          ]}
          onChange={(hand) => set({ hand })}
        />
        <ChoiceField
          label={t('view.machines.how-it-counts')}
          value={form.kind}
          choices={kinds}
          onChange={(kind) => set({ kind })}
        />
        {numeric && form.kind !== 'line-offset' && (
          <ChoiceField
            label={t('view.machines.what-it-moves')}
            value={form.quantity}
            choices={quantityChoices}
            onChange={(quantity) => set({ quantity })}
          />
        )}
        {form.kind === 'percent-of' && (
          <ChoiceField
            label={t('view.machines.dial.percent-of')}
            value={form.of === '' ? (others[0]?.id ?? '') : form.of}
            choices={others.map((one) => ({ value: one.id, label: one.label }))}
            onChange={(of) => set({ of })}
          />
        )}
        {travels && number(t('view.machines.lower-end'), 'min')}
        {travels && number(t('view.machines.upper-end'), 'max')}
        {travels && number(t('view.machines.step'), 'step')}
        {(form.kind === 'linear' || form.kind === 'line-offset') &&
          number(t('view.machines.neutral-point'), 'neutral', t('view.machines.on-the-dial'))}
        {form.kind === 'linear' &&
          number(
            t('view.machines.figure-at-neutral'),
            'atNeutral',
            t('view.machines.in', { unit: quantityFacts(form.quantity).unit || t('view.machines.its-unit') }),
          )}
        {form.kind === 'linear' &&
          number(
            t('view.machines.dial.per-unit'),
            'perUnit',
            t('view.machines.dial.per-unit-hint', { unit: quantityFacts(form.quantity).unit || 'units' }),
          )}
        {form.kind === 'line-offset' && number(t('view.machines.dial.volts-per-unit'), 'voltsPerUnit')}
        {form.kind === 'inverse' &&
          number(t('view.machines.figure-dial'), 'product', t('view.machines.dial.inverse-hint'))}
        {form.kind === 'linear' && (
          <ChoiceField
            label={t('view.machines.also-drags-along')}
            value={form.alsoQuantity}
            choices={[{ value: 'none', label: t('view.simulator.nothing') }, ...quantityChoices]}
            onChange={(alsoQuantity) => set({ alsoQuantity })}
          />
        )}
        {form.kind === 'linear' &&
          form.alsoQuantity !== 'none' &&
          number(t('view.machines.dial.per-unit-also'), 'alsoPerUnit')}
        {form.kind === 'named' && (
          <ChoiceField
            label={t('view.machines.what-it-chooses')}
            value={form.facet}
            choices={[
              { value: 'mode', label: t('view.machines.transfer-mode') },
              { value: 'trigger', label: t('view.machines.trigger-mode') },
              { value: 'filler', label: t('view.machines.wire-in-line') },
            ]}
            onChange={(facet) => set({ facet, positions: '' })}
          />
        )}
      </Box>
      {(form.kind === 'stepped' || form.kind === 'named') && (
        <Box mt="2.5">
          <TextField
            label={t('view.machines.dial.positions')}
            value={form.positions}
            onChange={(positions) => set({ positions })}
            maxLength={900}
            hint={
              form.kind === 'stepped'
                ? t('view.machines.dial.positions-hint')
                : t('view.machines.dial.positions-named-hint', { facet: oneOf(facetCodes(form.facet)) })
            }
          />
        </Box>
      )}
      {numeric && (
        <Tick checked={form.isSure} onChange={(isSure) => set({ isSure })}>
          {t('view.machines.dial.direction-known')}
        </Tick>
      )}
      {form.kind === 'linear' && (form.quantity === 'trimMm' || form.quantity === 'wireFeedMPerMin') && (
        <Tick checked={form.isUnitKnown} onChange={(isUnitKnown) => set({ isUnitKnown })}>
          {t('view.machines.dial.unit-known')}
        </Tick>
      )}
      {(problem ?? (made.ok ? null : made.message)) !== null && (
        <Box my="2">
          <Notice
            level="refusal"
            word={problem === null ? t('view.simulator.not-yet') : t('view.library.not-saved')}
            urgent={problem !== null}
          >
            {problem ?? (made.ok ? '' : made.message)}
          </Notice>
        </Box>
      )}
      <Box display="flex" gap="2" mt="2" flexWrap="wrap">
        <Action
          kind="main"
          disabled={busy || !made.ok}
          onClick={() => {
            if (made.ok) onSave(made.dial);
          }}
        >
          {dial ? t('view.machines.save-this-dial') : t('view.machines.add-this-dial')}
        </Action>
        <Action
          onClick={() => {
            forget();
            onClose();
          }}
        >
          {t('view.library.cancel')}
        </Action>
        {onRemove && (
          <Action kind="quiet" disabled={busy} onClick={onRemove}>
            {t('view.machines.dial.remove')}
          </Action>
        )}
      </Box>
    </Box>
  );
}

const quantityChoices = dialQuantityNames.map((value) => {
  const { name, unit } = quantityFacts(value);
  return { value, label: unit === '' ? name : `${format(name)}, ${unit}` };
});
