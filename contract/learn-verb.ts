/** `learn`: what the shop's own welds say of a hand's pace, or of where good trim lies on a line, with the weight they have. */
import { paceOf, trimAt, trimLine, unknownPace } from '@fox-tempo/core/learning';
import { success } from '@fox-tempo/core/outcome';
import { say } from '@fox-tempo/core/said';
import { z } from 'zod';
import { ranged } from './fields.ts';
import { parseWith } from './issues.ts';
import type { Verb } from './verb.ts';

const mostReadings = 10_000;
const travel = ranged('travelMmPerMin');

const learnInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('pace'),
    /** Travel planned and found, mm/min, and the seconds it was timed over where a hand timed it. */
    pairs: z
      .array(z.union([z.tuple([travel, travel]), z.tuple([travel, travel, z.number().min(0.2).max(7200)])]))
      .max(mostReadings),
    prior: z.strictObject({ mean: z.number().min(-3).max(3), sd: z.number().min(0.001).max(3) }).optional(),
  }),
  z.strictObject({
    kind: z.literal('trim'),
    points: z.array(z.tuple([ranged('wireFeedMPerMin'), z.number().min(-10).max(10)])).max(mostReadings),
    /** Feeds the line is read at, m/min; left out: where it was measured. */
    at: z.array(ranged('wireFeedMPerMin')).max(100).optional(),
  }),
]);

export const learnVerb: Verb = {
  summary: say('contract.what-own-welds-teach'),
  input: learnInput,
  run(value) {
    const parsed = parseWith(learnInput, value);
    if (!parsed.ok) return parsed;
    const asked = parsed.value;
    if (asked.kind === 'pace') {
      const seams = asked.pairs.map(([planned, found, arcS]) => ({ planned, found, arcS }));
      return success(paceOf(seams, asked.prior ?? unknownPace));
    }
    const line = trimLine(asked.points);
    const feeds =
      asked.at ?? [...new Set([...asked.points.map(([feed]) => feed), ...usualFeeds])].sort((a, b) => a - b);
    return success({ ...line, at: Object.fromEntries(feeds.map((feed) => [feed, trimAt(line, feed)])) });
  },
};

/** The line is told at every whole feed of a machine's common range, so that any of them can be read off. */
const usualFeeds = Array.from({ length: 20 }, (_, at) => at + 1);
