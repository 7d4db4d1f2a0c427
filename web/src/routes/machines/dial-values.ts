/** A dial as the form holds it, and the dial that the file gets of it. */
import type { MachineFile } from '@fox-tempo/contract';
import {
  type Dial,
  type DialQuantity,
  type DialScale,
  type Facet,
  isNumeric,
  quantityOf,
} from '@fox-tempo/core/machine/description';
import { measurable } from '@fox-tempo/core/machine/teaching';
import { fillers } from '@fox-tempo/core/metal/consumables';
import { planModes } from '@fox-tempo/core/setting/plan';
import { triggerSchools } from '@fox-tempo/core/weld/sequence';
import { t } from '../../lib/words.ts';

export type FileDial = MachineFile['dials'][number];

export type Kind = DialScale['kind'];

/** Everything a form may hold at once, so that changing the kind and back loses nothing. */
export interface Form {
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

export const blank: Form = {
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

export function formOf(dial: Dial): Form {
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
export function dialOf(form: Form, before: FileDial | null, dials: MachineFile['dials']): Made {
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

export function facetCodes(facet: Facet): readonly string[] {
  if (facet === 'mode') return planModes;
  if (facet === 'filler') return fillers.map((filler) => filler.code);
  return triggerSchools;
}
