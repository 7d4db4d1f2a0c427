/** Fields that several shapes share, with the core's own limits. */
import {
  fillerCodes,
  materialGroups,
  parseGas,
  type FillerCode,
  type MaterialGroup,
} from '@fox-tempo/core/metal/consumables';
import { ranges, type RangedField } from '@fox-tempo/core/base/outcome';
import {
  arcIntents,
  backings,
  joints,
  planModes,
  positions,
  preparationKinds,
  thicknessRules,
  type ArcIntent,
  type Backing,
  type Joint,
  type PlanMode,
  type Position,
  type PreparationKind,
  type ThicknessRule,
} from '@fox-tempo/core/setting/plan';
import { quantity } from '@fox-tempo/core/base/units';
import { z } from 'zod';

/** A number within the core's range for that field. */
export function ranged(field: RangedField): z.ZodNumber {
  const { min, max, kind } = ranges[field];
  return z.number().min(min).max(max).describe(quantity(kind).metric.label);
}

export function closed<T extends string>(values: readonly T[]): z.ZodEnum<{ [K in T]: K }> {
  return z.enum(values);
}

export const fillerField = closed<FillerCode>(fillerCodes);
export const materialField = closed<MaterialGroup>(materialGroups);
export const jointField = closed<Joint>(joints);
export const positionField = closed<Position>(positions);
export const arcHabitField = z.enum(['by-joint', 'on-line']);
export const modeField = closed<PlanMode>(planModes);
export const arcIntentField = closed<ArcIntent>(arcIntents.map(({ intent }) => intent));
export const thicknessRuleField = closed<ThicknessRule>(thicknessRules.map(({ rule }) => rule));

/** Edges of a butt; angle and root face left out are the usual ones of its kind. */
export const preparationField = z.strictObject({
  kind: closed<PreparationKind>(preparationKinds.map(({ kind }) => kind)),
  angleDeg: z.number().min(0).max(180).optional(),
  rootFaceMm: z.number().min(0).max(25).optional(),
  backing: closed<Backing>(backings.map(({ backing }) => backing)).optional(),
});

/** An ISO 14175 designation with its percentages, checked against the limits of its group. */
export const gasField = z
  .string()
  .max(40)
  .superRefine((code, context) => {
    const gas = parseGas(code);
    if (gas.ok) return;
    for (const issue of gas.issues) context.addIssue({ code: 'custom', message: issue.code, params: { issue } });
  })
  .describe('Gas by ISO 14175, for instance M21-ArC-18, C1, I1');

/** Names people type: trimmed, not empty, short enough for a card. */
export const nameField = z.string().trim().min(1).max(80);
export const idField = z.string().regex(/^[a-z0-9-]{1,64}$/);

/** What has an id of its own. */
export type Noun = 'cylinder' | 'feeder' | 'machine' | 'order' | 'part' | 'person' | 'seam' | 'spool' | 'trial' | 'run';
/**
 * An id that knows whose it is: the id of a seam is refused where a machine's is asked for. A text from an address or a form is taken for
 * any of them, because only the server can tell.
 */
export type Id<Of extends Noun> = string & { readonly ofNoun?: Of };
/** Field that holds the id of one noun. */
export function idOf<Of extends Noun>(_noun: Of): z.ZodType<Id<Of>, string> {
  return idField;
}
export const timestampField = z.iso.datetime();
