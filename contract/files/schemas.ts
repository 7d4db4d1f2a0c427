/** JSON Schemas (2020-12) of the open file formats, generated from the shapes that read them; committed under docs/schemas. */
import { z } from 'zod';
import { bundle, seamFile } from './shop.ts';
import { machineFile } from './machine.ts';
import { programFile } from './program.ts';

export function fileSchemas(): Record<string, unknown> {
  const schema = (kind: string, shape: z.ZodType) => ({
    ...z.toJSONSchema(shape, { io: 'input', unrepresentable: 'any' }),
    title: `fox-tempo/${kind}`,
  });
  return {
    machine: schema('machine', machineFile),
    program: schema('program', programFile),
    seam: schema('seam', seamFile),
    shop: schema('shop', bundle),
  };
}
