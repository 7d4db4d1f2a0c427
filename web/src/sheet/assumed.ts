/**
 * What a new seam was given by the application and nobody has looked at yet: it is marked until it is confirmed or changed, and the first
 * save asks about it. What somebody typed or confirmed is kept on the device until then.
 */
import type { SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { positionName } from '@fox-tempo/core/setting/plan';
import { amount, joined, type Amount, type Phrase } from '@fox-tempo/core/base/messages';
import { keep, recall } from '../lib/device.ts';
import { sheetOf } from './sheet.ts';
import type { Sheet } from './sheet-fields.ts';
import { usualWire } from './wire-defaults.ts';

export const assumable = ['lengthMm', 'position', 'gapMm', 'wire', 'gas'] as const;
export type Assumable = (typeof assumable)[number];

const place = (seamId: string) => `given/${seamId}`;

/** What somebody has said of the seam on this device. */
export function givenOf(seamId: string): readonly Assumable[] {
  const kept = recall(place(seamId));
  return Array.isArray(kept) ? assumable.filter((one) => kept.includes(one)) : [];
}

export function give(seamId: string, given: readonly Assumable[]): void {
  keep(place(seamId), [...new Set([...givenOf(seamId), ...given])]);
}

/** Once it is saved, everything in it was looked at. */
export function forgetGiven(seamId: string): void {
  keep(place(seamId), null);
}

const values: Record<Assumable, (sheet: Sheet) => unknown> = {
  lengthMm: ({ spec }) => spec.lengthMm,
  position: ({ spec }) => spec.position,
  gapMm: ({ spec }) => spec.gapMm,
  wire: ({ choice }) => `${choice.filler} ${choice.diameterMm}`,
  gas: ({ choice }) => choice.gas,
};

/** What nobody has said nor changed; empty once a setting was saved. */
export function assumedOf(seam: SeamResource, sheet: Sheet, given: readonly Assumable[]): Assumable[] {
  if (seam.revision !== null) return [];
  const stored = sheetOf(seam);
  const { materialGroup, grade } = sheet.spec;
  // What follows a changed metal by itself is no less assumed.
  const followed: Sheet = { ...sheet, choice: { ...sheet.choice, ...usualWire(materialGroup, grade) } };
  return assumable.filter((one) => {
    const value = values[one](sheet);
    const follows = (one === 'wire' || one === 'gas') && value === values[one](followed);
    return !given.includes(one) && (follows || value === values[one](stored));
  });
}

/** As it stands on the sheet now. */
export function assumedValue(one: Assumable, { spec, choice }: Sheet): Phrase | Amount {
  return {
    lengthMm: amount('length', spec.lengthMm),
    position: positionName(spec.position, spec.joint),
    gapMm: amount('shortLength', spec.gapMm),
    wire: joined([fillerOf(choice.filler).name, wireSizeLabel(choice.diameterMm)], ', '),
    gas: gasName(choice.gas),
  }[one];
}
