/** The shop's nouns as the API carries them: people, orders, parts, seams with their program's revisions. */
import { z } from 'zod';
import { idField, jointField, materialField, nameField, positionField, ranged, timestampField } from './fields.ts';
import { programChoice, programFile } from './program.ts';

export const person = z.object({ id: idField, name: z.string(), role: z.string() });

export const part = z.object({ id: idField, name: z.string(), about: z.string() });

export const order = z.object({
  id: idField,
  number: z.string(),
  partId: idField,
  partName: z.string(),
  quantity: z.int().positive(),
  done: z.int().min(0),
  dueOn: z.iso.date(),
});

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
});

export const revision = z.object({
  number: z.int().positive(),
  /** The seam and the choice this revision was made for. */
  spec: seamSpec,
  choice: programChoice,
  program: programFile,
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
  createdAt: timestampField,
  createdBy: z.string(),
  changedAt: timestampField,
  changedBy: z.string(),
});

/** Saves seam and setting in one piece; the server computes the program and stores it as the next revision. */
export const seamSave = z.strictObject({ spec: seamSpec, choice: programChoice });

export const seamCreate = z.strictObject({ partId: idField, spec: seamSpec });

export const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(100),
  cursor: z.string().max(200).optional(),
});

/** A page of a list; `next` is the cursor of the following page, or null at the end. */
export function pageOf<S extends z.ZodType>(item: S) {
  return z.object({ items: z.array(item), next: z.string().nullable() });
}

export type Person = z.infer<typeof person>;
export type Part = z.infer<typeof part>;
export type Order = z.infer<typeof order>;
export type SeamSpec = z.infer<typeof seamSpec>;
export type SeamSave = z.infer<typeof seamSave>;
export type SeamCreate = z.infer<typeof seamCreate>;
export type SeamResource = z.infer<typeof seamResource>;
export type Revision = z.infer<typeof revision>;
export type Page<T> = { items: T[]; next: string | null };
