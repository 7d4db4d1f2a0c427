/** `heat`: heat input, cooling time and preheat. */
import { type WeldShape, weldShapes, heat } from '@fox-tempo/core/setting/heat-input';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { closed, materialField, ranged } from '../fields.ts';
import { verb } from './verb.ts';

const share = z.number().min(0).max(5).optional();

export const heatInput = z.strictObject({
  voltageV: z.number().min(5).max(60),
  currentA: ranged('currentA'),
  powerW: z.number().min(50).max(40_000).optional(),
  travelMmPerMin: ranged('travelMmPerMin'),
  efficiency: z.number().min(0.3).max(1),
  thicknessMm: ranged('thicknessMm'),
  preheatC: ranged('plateC'),
  shape: closed<WeldShape>(weldShapes),
  materialGroup: materialField.optional(),
  hydrogenMlPer100G: z.number().min(0.5).max(20).optional(),
  composition: z
    .strictObject({ C: z.number().min(0).max(5), Mn: share, Mo: share, Cr: share, Cu: share, Ni: share })
    .optional(),
});

export const heatVerb = verb(message('contract.verb.heat'), heatInput, heat);
