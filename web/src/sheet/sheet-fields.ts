/** The number fields of a seam sheet, as data: what each is called, where its value lives, how it is read and stepped. */
import { t } from '../lib/words.ts';
import type { ProgramChoice, SeamSpec } from '@fox-tempo/contract';
import { materialOf } from '@fox-tempo/core/metal/consumables';
import { rangeIssue, success, type Outcome, type RangedField } from '@fox-tempo/core/base/outcome';
import { parseQuantity, type QuantityName, type UnitSystem } from '@fox-tempo/core/base/units';

/** Everything a person decides on the sheet, in stored units. */
export interface Sheet {
  readonly spec: SeamSpec;
  readonly choice: ProgramChoice;
}

export type NumberFieldName =
  'thickness1' | 'thickness2' | 'gap' | 'angle' | 'rootFace' | 'leg' | 'length' | 'travel' | 'feed';

interface NumberField {
  readonly label: string;
  readonly quantity: QuantityName;
  readonly range: RangedField;
  readonly step: number;
  /** Empty means: as the plan proposes. */
  readonly optional: boolean;
  readonly read: (sheet: Sheet) => number | null;
  readonly write: (sheet: Sheet, value: number | null) => Sheet;
}

function onSpec(sheet: Sheet, change: Partial<SeamSpec>): Sheet {
  return { ...sheet, spec: { ...sheet.spec, ...change } };
}

/** Angle and root face belong to a preparation that is there. */
function onPreparation(sheet: Sheet, change: Partial<NonNullable<SeamSpec['preparation']>>): Sheet {
  const { preparation } = sheet.spec;
  return preparation ? onSpec(sheet, { preparation: { ...preparation, ...change } }) : sheet;
}

export const numberFields: Record<NumberFieldName, NumberField> = {
  thickness1: {
    label: t('view.seams.first-part'),
    quantity: 'thickness',
    range: 'thicknessMm',
    step: 0.1,
    optional: false,
    read: ({ spec }) => spec.thicknessesMm[0],
    write: (sheet, value) => onSpec(sheet, { thicknessesMm: [value ?? 0, sheet.spec.thicknessesMm[1]] }),
  },
  thickness2: {
    label: t('view.seams.second-part'),
    quantity: 'thickness',
    range: 'thicknessMm',
    step: 0.1,
    optional: false,
    read: ({ spec }) => spec.thicknessesMm[1],
    write: (sheet, value) => onSpec(sheet, { thicknessesMm: [sheet.spec.thicknessesMm[0], value ?? 0] }),
  },
  gap: {
    label: t('view.sheet.gap'),
    quantity: 'shortLength',
    range: 'gapMm',
    step: 0.1,
    optional: false,
    read: ({ spec }) => spec.gapMm,
    write: (sheet, value) => onSpec(sheet, { gapMm: value ?? 0 }),
  },
  angle: {
    label: t('view.sheet.groove-angle'),
    quantity: 'angle',
    range: 'angleDeg',
    step: 5,
    optional: true,
    read: ({ spec }) => spec.preparation?.angleDeg ?? null,
    write: (sheet, value) => onPreparation(sheet, { angleDeg: value ?? undefined }),
  },
  rootFace: {
    label: t('view.sheet.root-face'),
    quantity: 'shortLength',
    range: 'rootFaceMm',
    step: 0.1,
    optional: true,
    read: ({ spec }) => spec.preparation?.rootFaceMm ?? null,
    write: (sheet, value) => onPreparation(sheet, { rootFaceMm: value ?? undefined }),
  },
  leg: {
    label: t('view.sheet.leg-asked'),
    quantity: 'shortLength',
    range: 'legMm',
    step: 0.1,
    optional: true,
    read: ({ spec }) => spec.legMm,
    write: (sheet, value) => onSpec(sheet, { legMm: value }),
  },
  length: {
    label: t('view.seams.seam-length'),
    quantity: 'length',
    range: 'lengthMm',
    step: 10,
    optional: false,
    read: ({ spec }) => spec.lengthMm,
    write: (sheet, value) => onSpec(sheet, { lengthMm: value ?? 0 }),
  },
  travel: {
    label: t('view.sheet.own-travel'),
    quantity: 'travel',
    range: 'travelMmPerMin',
    step: 10,
    optional: true,
    read: ({ spec }) => spec.travelMmPerMin,
    write: (sheet, value) => onSpec(sheet, { travelMmPerMin: value }),
  },
  feed: {
    label: t('view.simulator.wire-feed'),
    quantity: 'wireFeed',
    range: 'wireFeedMPerMin',
    step: 0.1,
    optional: true,
    read: ({ choice }) => choice.wireFeedMPerMin,
    write: (sheet, value) => ({ ...sheet, choice: { ...sheet.choice, wireFeedMPerMin: value } }),
  },
};

/** The stored value of typed text, or why it cannot be taken; empty optional fields are null. */
export function readNumber(
  name: NumberFieldName,
  text: string,
  sheet: Sheet,
  system: UnitSystem,
): Outcome<number | null> {
  const field = numberFields[name];
  if (field.optional && text.trim() === '') return success(null);
  const parsed = parseQuantity(text, field.quantity, {
    system,
    metal: materialOf(sheet.spec.materialGroup).gaugeTable,
    name: field.label,
    path: name,
  });
  if (!parsed.ok) return parsed;
  const outside = rangeIssue(field.range, parsed.value, name);
  return outside ? { ok: false, issues: [outside] } : parsed;
}
