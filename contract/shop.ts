/** The shop's nouns as the API carries them: orders, parts, seams with their program's revisions. */
import type { CoreSentences } from '@fox-tempo/core/said';
import { z } from 'zod';
import {
  arcIntentField,
  idField,
  jointField,
  materialField,
  nameField,
  positionField,
  preparationField,
  ranged,
  timestampField,
} from './fields.ts';
import { programChoice, programFile } from './program.ts';
import { siteField } from './site.ts';
import { limitsField, limitsWritten } from './trial.ts';
import { offsetField, windowField } from './window-field.ts';

export const part = z.object({
  id: idField,
  name: z.string(),
  about: z.string(),
  version: z.int(),
  retired: z.boolean(),
});
const aboutField = z.string().trim().max(300);
export const partCreate = z.strictObject({ name: nameField, about: aboutField });
export const partSave = z.strictObject({ name: nameField, about: aboutField, retired: z.boolean() });

export const order = z.object({
  id: idField,
  number: z.string(),
  partId: idField,
  partName: z.string(),
  quantity: z.int().positive(),
  /** Sum of what was counted. */
  done: z.int(),
  dueOn: z.iso.date(),
  version: z.int(),
  closed: z.boolean(),
});
const orderContent = {
  number: z.string().trim().min(1).max(40),
  partId: idField,
  quantity: z.int().min(1).max(100_000),
  dueOn: z.iso.date(),
};
export const orderCreate = z.strictObject(orderContent);
/** What was asked and answered with yes before. */
export const closeQuestions = ['closed-short', 'held-part'] as const;
export type CloseQuestion = (typeof closeQuestions)[number];
export const orderSave = z.strictObject({
  ...orderContent,
  closed: z.boolean(),
  confirmed: z.array(z.enum(closeQuestions)).max(2).optional(),
});
/** What parts drew from stock, as it was written down. */
export const drawn = z.object({ what: z.string(), amount: z.number(), unit: z.enum(['L', 'kg']) });
export const counted = z.object({ order, drawn: z.array(drawn) });

/** A seam as described at the bench; null where the plan decides. */
export const seamSpec = z.strictObject({
  name: nameField,
  grade: z.string().trim().max(80),
  materialGroup: materialField,
  thicknessesMm: z.tuple([ranged('thicknessMm'), ranged('thicknessMm')]),
  joint: jointField,
  position: positionField,
  gapMm: ranged('gapMm'),
  legMm: ranged('legMm').nullable(),
  lengthMm: ranged('lengthMm'),
  travelMmPerMin: ranged('travelMmPerMin').nullable(),
  /** Edges of a butt; null or left out: square. */
  preparation: preparationField.nullish(),
  /** What the arc is meant to do; null or left out: what the joint wants. */
  arcIntent: arcIntentField.nullish(),
});

/** What one part takes, by the model of the day it was saved: a later model does not rewrite yesterday. */
export const revisionUse = z.object({
  arcSeconds: z.number(),
  passes: z.int(),
  wireKg: z.number(),
  gasL: z.number(),
});

export const revision = z.object({
  number: z.int().positive(),
  /** The seam and the choice this revision was made for. */
  spec: seamSpec,
  choice: programChoice,
  /** The site it was planned with. */
  site: siteField,
  program: programFile,
  use: revisionUse.nullable(),
  contentHash: z.string().nullable(),
  createdAt: timestampField,
  createdBy: z.string(),
});

export const seamResource = z.object({
  id: idField,
  partId: idField,
  partName: z.string(),
  version: z.int(),
  spec: seamSpec,
  /** null until a setting was saved. */
  choice: programChoice.nullable(),
  revision: revision.nullable(),
  /** Set by a lead hand: nobody else saves a setting then. */
  lock: z.object({ reason: z.string(), by: z.string(), at: timestampField }).nullable(),
  /** References in force, one for each machine. */
  issued: z.array(
    z.object({
      revision: z.int(),
      machineId: idField,
      reason: z.string(),
      by: z.string(),
      at: timestampField,
    }),
  ),
  /** How far a welder may move the setting, machine by machine; tested when it was written. */
  windows: z.array(
    z.object({
      machineId: idField,
      revision: z.int(),
      window: windowField,
      failureBelow95: z.number(),
      reason: z.string(),
      by: z.string(),
      at: timestampField,
    }),
  ),
  /** How welders move it for themselves inside its window: the newest of each, for the revision it was made for. */
  offsets: z.array(z.object({ machineId: idField, personId: idField, revision: z.int(), offset: offsetField })),
  /** What a weld may look like; null: the preset of level C. */
  limits: limitsField.nullable(),
  /** Which writing of the limits it is, by whom and why; null: nobody has written any. */
  limitsWritten: limitsWritten.nullable(),
  deleted: z.boolean(),
  createdAt: timestampField,
  createdBy: z.string(),
  changedAt: timestampField,
  changedBy: z.string(),
});

/** A lead hand's name and PIN, given on somebody else's session. */
export const leadPin = z.strictObject({ personId: idField, pin: z.string().min(4).max(12) });

/** Saves seam and setting in one piece; the server computes the program and stores it as the next revision. */
export const seamSave = z.strictObject({ spec: seamSpec, choice: programChoice });

export const reasonField = z
  .string()
  .trim()
  .min(3, 'contract.field.reason' satisfies keyof CoreSentences)
  .max(300);
export const seamLock = z.strictObject({ locked: z.boolean(), reason: reasonField });
/** Makes a revision the shop's reference for this seam on one machine. */
export const seamIssue = z.strictObject({
  revision: z.int().min(1),
  machineId: idField,
  reason: reasonField,
  /** Passed trials that stand for it. */
  evidence: z.array(z.uuid()).min(1).max(20),
});
/** Null takes the window away: nothing may be moved. */
export const seamWindow = z.strictObject({
  machineId: idField,
  revision: z.int().min(1),
  window: windowField.nullable(),
  reason: reasonField,
});
/** One's own way of setting it, inside the window; an empty one takes it away. */
export const seamOffset = z.strictObject({ machineId: idField, revision: z.int().min(1), offset: offsetField });
/** Lets whoever is signed in save beyond lock and window of this seam for a while: a lead hand's name, PIN and reason, on the spot. */
export const seamRelease = z.strictObject({ by: leadPin, reason: reasonField });
export const seamReleased = z.object({ until: timestampField });
export const seamCopy = z.strictObject({ partId: idField, name: nameField });
export const seamMove = z.strictObject({ partId: idField });

export const seamCreate = z.strictObject({ partId: idField, spec: seamSpec });

export const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(100),
  cursor: z.string().max(200).optional(),
});

/** A page of a list; `next` is the cursor of the following page, or null at the end. */
export function pageOf<S extends z.ZodType>(item: S) {
  return z.object({ items: z.array(item), next: z.string().nullable() });
}

export type Part = z.infer<typeof part>;
export type PartCreate = z.infer<typeof partCreate>;
export type PartSave = z.infer<typeof partSave>;
export type OrderCreate = z.infer<typeof orderCreate>;
export type OrderSave = z.infer<typeof orderSave>;
export type Counted = z.infer<typeof counted>;
export type RevisionUse = z.infer<typeof revisionUse>;
export type Order = z.infer<typeof order>;
export type SeamSpec = z.infer<typeof seamSpec>;
export type LeadPin = z.infer<typeof leadPin>;
export type SeamOffset = z.infer<typeof seamOffset>;
export type SeamRelease = z.infer<typeof seamRelease>;
export type SeamLock = z.infer<typeof seamLock>;
export type SeamWindow = z.infer<typeof seamWindow>;
export type SeamIssue = z.infer<typeof seamIssue>;
export type SeamCopy = z.infer<typeof seamCopy>;
export type SeamSave = z.infer<typeof seamSave>;
export type SeamCreate = z.infer<typeof seamCreate>;
export type SeamResource = z.infer<typeof seamResource>;
export type Revision = z.infer<typeof revision>;
export type Page<T> = { items: T[]; next: string | null };
