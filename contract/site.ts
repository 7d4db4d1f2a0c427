/** What shop, machine and welder bring to a plan, as it crosses a border. A verb called without one takes the standard site. */
import { completeSite, type Site } from '@fox-tempo/core/site';
import { z } from 'zod';
import { fillerField, gasField, ranged, thicknessRuleField } from './fields.ts';
import { machineLimits } from './machine-limits.ts';
import { paceField } from './program-choice.ts';

const calibratedWire = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  kAFactor: z.number().min(0.3).max(3),
  kBFactor: z.number().min(0.1).max(10),
  arcVoltageV: z.number().min(-8).max(8),
});

const content = {
  thicknessRule: thicknessRuleField,
  circuitMOhm: ranged('circuitMOhm'),
  limits: machineLimits.nullable(),
  calibration: z.array(calibratedWire).max(200).readonly(),
  pace: paceField.nullable(),
  paceSpread: z.number().min(0.01).max(1),
};

/** Complete, as it is kept with a revision. */
export const siteField = z.strictObject(content);

/** As a verb is asked: what is left out is the standard site's. */
export const knownSite = z.strictObject(content).partial();

/** A stored site of this or an older version; what an older one did not know is the standard site's. */
export function readSite(value: unknown): Site | null {
  const read = knownSite.safeParse(value);
  return read.success ? completeSite(read.data) : null;
}
