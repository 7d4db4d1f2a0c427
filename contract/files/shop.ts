/** Files that carry more than one thing: a seam with its setting, or a whole shop. Machines and programs stay files of their own. */
import type { Outcome } from '@fox-tempo/core/base/outcome';
import { z } from 'zod';
import { nameField } from '../fields.ts';
import { programChoice } from '../program-choice.ts';
import { seamSpec } from '../resources/seams.ts';
import { readVersioned } from './version.ts';

const seamContent = { part: nameField, spec: seamSpec, choice: programChoice.nullable() };

/** A seam as described, with the choice its setting is computed from. */
export const seamFile = z.looseObject({ format: z.literal('fox-tempo/seam'), version: z.literal(1), ...seamContent });

export const bundle = z.looseObject({
  format: z.literal('fox-tempo/shop'),
  version: z.literal(1),
  name: nameField,
  parts: z.array(z.object({ name: nameField, about: z.string().max(300) })).max(5000),
  seams: z.array(z.object(seamContent)).max(20_000),
  /** Machine files, each read as a file of its own. */
  machines: z.array(z.unknown()).max(500),
});

export type Bundle = z.infer<typeof bundle>;

export type SeamFile = z.infer<typeof seamFile>;

export function readSeamFile(value: unknown): Outcome<SeamFile> {
  return readVersioned(value, 'seam', seamFile, { version: 1, migrate: {} });
}

export function readBundle(value: unknown): Outcome<Bundle> {
  return readVersioned(value, 'shop', bundle, { version: 1, migrate: {} });
}
