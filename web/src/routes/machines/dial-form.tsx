/** Describing one dial: its word, where a hand finds it, the quantity it moves and how. Half-typed forms stay on the device. */
import { oneOf } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { fillers } from '@fox-tempo/core/metal/consumables';
import {
  dialQuantityNames,
  isNumeric,
  quantityFacts,
  quantityOf,
  type Dial,
  type DialQuantity,
  type DialScale,
  type Facet,
} from '@fox-tempo/core/machine/description';
import { measurable } from '@fox-tempo/core/machine/teaching';
import { planModes } from '@fox-tempo/core/setting/plan';
import { triggerSchools } from '@fox-tempo/core/weld/sequence';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';

type FileDial = MachineFile['dials'][number];
type Kind = DialScale['kind'];

const kinds: readonly { value: Kind; label: string }[] = [
  { value: 'linear', label: t('view.machines.scale.linear') },
  { value: 'percent-of', label: t('view.machines.scale.percent') },
  { value: 'line-offset', label: t('view.machines.scale.volts') },
  { value: 'inverse', label: t('view.machines.scale.inverse') },
  { value: 'stepped', label: t('view.machines.scale.clicks') },
  { value: 'named', label: t('view.machines.scale.named') },
  { value: 'chart-line', label: t('view.machines.scale.chart-line') },
];

/** Everything a form may hold at once, so that changing the kind and back loses nothing. */
interface Form {
  readonly label: string;
  readonly where: string;
  readonly unit: string;
  readonly kind: Kind;
  readonly quantity: DialQuantity;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly neutral: number;
  readonly atNeutral: number;
  readonly perUnit: number;
  readonly alsoQuantity: DialQuantity | 'none';
  readonly alsoPerUnit: number;
  readonly of: string;
  readonly voltsPerUnit: number;
  readonly product: number;
  readonly positions: string;
  readonly facet: Facet;
  readonly hand: 'free' | 'fixed';
  readonly isSure: boolean;
  /** One unit is printed on the machine or was measured. */
  readonly isUnitKnown: boolean;
}

const blank: Form = {
  label: '',
  where: '',
  unit: '',
  kind: 'linear',
  quantity: 'wireFeedMPerMin',
  min: 0,
  max: 100,
  step: 1,
  neutral: 0,
  atNeutral: 0,
  perUnit: 1,
  alsoQuantity: 'none',
  alsoPerUnit: 0,
  of: '',
  voltsPerUnit: 1,
  product: 1,
  positions: '',
  facet: 'mode',
  hand: 'free',
  isSure: false,
  isUnitKnown: false,
};

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

function facetCodes(facet: Facet): readonly string[] {
  if (facet === 'mode') return planModes;
  if (facet === 'filler') return fillers.map((filler) => filler.code);
  return triggerSchools;
}

function formOf(dial: Dial): Form {
  const { scale } = dial;
  const face: Form = {
    ...blank,
    label: dial.label,
    where: dial.where,
    unit: dial.unit,
    kind: scale.kind,
    hand: dial.hand ?? 'free',
    isSure: dial.senseTested !== false,
    isUnitKnown: dial.unitTested !== false,
    ...(isNumeric(scale) ? { quantity: quantityOf(scale) } : {}),
  };
  switch (scale.kind) {
    case 'linear':
      return {
        ...face,
        ...ends(scale),
        neutral: scale.neutral,
        atNeutral: scale.quantityAtNeutral,
        perUnit: scale.quantityPerUnit,
        alsoQuantity: scale.also?.quantity ?? 'none',
        alsoPerUnit: scale.also?.quantityPerUnit ?? 0,
      };
    case 'percent-of':
      return { ...face, ...ends(scale), of: scale.of };
    case 'line-offset':
      return { ...face, ...ends(scale), neutral: scale.neutral, voltsPerUnit: scale.voltsPerUnit };
    case 'inverse':
      return { ...face, ...ends(scale), product: scale.product };
    case 'stepped':
      return { ...face, positions: scale.positions.map(({ label, quantity }) => `${label} = ${quantity}`).join('; ') };
    case 'named':
      return {
        ...face,
        facet: scale.facet,
        positions: scale.positions.map(({ label, is }) => `${label} = ${is.join(', ')}`).join('; '),
      };
    case 'chart-line':
      return face;
  }
}

function ends({ min, max, step }: { min: number; max: number; step: number }) {
  return { min, max, step };
}

type Made = { readonly ok: true; readonly dial: FileDial } | { readonly ok: false; readonly message: string };

/** The dial that a form describes, or what it still lacks. What it means as a whole is checked when the machine is saved. */
function dialOf(form: Form, before: FileDial | null, dials: MachineFile['dials']): Made {
  if (form.label.trim() === '') return { ok: false, message: t('view.machines.dial.error-label') };
  const scale = scaleFrom(form, dials, before?.id);
  if (typeof scale === 'string') return { ok: false, message: scale };
  const id = before?.id ?? freeId(form.label, dials);
  const numeric = isNumeric(scale);
  return {
    ok: true,
    dial: {
      ...before,
      id,
      label: form.label.trim(),
      where: form.where.trim(),
      unit: form.unit.trim(),
      hand: form.hand,
      scale: scale as FileDial['scale'],
      ...unitOf(form, before, scale),
      ...(numeric ? { senseTested: form.isSure ? (before?.senseTested ?? true) : false } : {}),
    },
  };
}

/** Said only where it is unknown, or was measured since. */
function unitOf(form: Form, before: FileDial | null, scale: DialScale): { unitTested?: boolean } {
  if (!measurable({ scale })) return {};
  if (!form.isUnitKnown) return { unitTested: false };
  return before?.unitTested === undefined ? {} : { unitTested: true };
}

function scaleFrom(form: Form, dials: MachineFile['dials'], ownId: string | undefined): DialScale | string {
  const travel = { min: form.min, max: form.max, step: form.step };
  switch (form.kind) {
    case 'linear':
      return {
        kind: 'linear',
        quantity: form.quantity,
        neutral: form.neutral,
        quantityAtNeutral: form.atNeutral,
        quantityPerUnit: form.perUnit,
        ...travel,
        ...(form.alsoQuantity === 'none'
          ? {}
          : { also: { quantity: form.alsoQuantity, quantityPerUnit: form.alsoPerUnit } }),
      };
    case 'percent-of': {
      const of = form.of === '' ? dials.find((dial) => dial.id !== ownId && isNumeric(dial.scale))?.id : form.of;
      return of === undefined
        ? t('view.machines.dial.error-no-base')
        : { kind: 'percent-of', quantity: form.quantity, of, ...travel };
    }
    case 'line-offset':
      return { kind: 'line-offset', neutral: form.neutral, voltsPerUnit: form.voltsPerUnit, ...travel };
    case 'inverse':
      return { kind: 'inverse', quantity: form.quantity, product: form.product, ...travel };
    case 'chart-line':
      return { kind: 'chart-line' };
    case 'stepped': {
      const read = pairs(form.positions).map(([label, figure]) => ({
        label,
        quantity: Number(figure.replace('−', '-').replace(',', '.')),
      }));
      const bad = read.find((position) => position.label === '' || !Number.isFinite(position.quantity));
      if (read.length < 2) return t('view.machines.dial.error-positions');
      return bad
        ? t('view.machines.dial.error-figure', { bad: bad.label })
        : { kind: 'stepped', quantity: form.quantity, positions: read };
    }
    case 'named': {
      const codes = facetCodes(form.facet);
      const read = pairs(form.positions).map(([label, is]) => ({
        label,
        is: is
          .split(',')
          .map((word) => word.trim().toLowerCase().replace(/\s+/g, '-'))
          .filter(Boolean),
      }));
      if (read.length === 0) return t('view.machines.dial.error-names');
      const unknown = read.flatMap((position) => position.is).find((word) => !codes.includes(word));
      if (unknown !== undefined) return t('view.machines.dial.error-choice', { unknown, codes });
      if (read.some((position) => position.is.length === 0)) return t('view.machines.dial.error-meaning');
      return { kind: 'named', facet: form.facet, positions: read };
    }
  }
}

function pairs(text: string): [string, string][] {
  return text
    .split(';')
    .filter((part) => part.trim() !== '')
    .map((part) => {
      const [label = '', ...rest] = part.split('=');
      return [label.trim(), rest.join('=').trim()];
    });
}

function freeId(label: string, dials: MachineFile['dials']): string {
  const base =
    label
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'dial';
  let id = base;
  for (let count = 2; dials.some((dial) => dial.id === id); count++) id = `${base}-${count}`;
  return id;
}
