/** `learn`: what the shop's own welds say of a hand's pace, of where good trim lies on a line, of wire by joint and position, with the weight they have. */
import { feedFactor, paceOf, trimAt, trimLine, unknownFeed, unknownPace } from '@fox-tempo/core/evidence/learned';
import { success, type Outcome } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { ranged } from '../fields.ts';
import { parseWith } from '../issues.ts';
import type { Verb } from './verb.ts';

const mostReadings = 10_000;
/** Any unit, the same for both. */
const travel = z.number().min(1e-6).max(1e9);

const paceInput = z.strictObject({
  kind: z.literal('pace'),
  /** Travel planned and found, mm/min, and the seconds it was timed over where a hand timed it. */
  pairs: z
    .array(z.union([z.tuple([travel, travel]), z.tuple([travel, travel, z.number().min(0.2).max(7200)])]))
    .max(mostReadings),
  prior: z.strictObject({ mean: z.number().min(-3).max(3), sd: z.number().min(0.001).max(3) }).optional(),
});
const trimInput = z.strictObject({
  kind: z.literal('trim'),
  points: z.array(z.tuple([ranged('wireFeedMPerMin'), z.number().min(-10).max(10)])).max(mostReadings),
  /** Feeds the line is read at, m/min; left out: where it was measured. */
  at: z.array(ranged('wireFeedMPerMin')).max(100).optional(),
});

const feedInput = z.strictObject({
  kind: z.literal('feed'),
  /** Feed of the rule and feed that passed, m/min, of one joint in one position. */
  pairs: z.array(z.tuple([ranged('wireFeedMPerMin'), ranged('wireFeedMPerMin')])).max(mostReadings),
  prior: z.strictObject({ mean: z.number().min(-3).max(3), sd: z.number().min(0.001).max(3) }).optional(),
});

export const learnVerb: Verb = {
  summary: message('contract.verb.learn'),
  input: z.union([paceInput, trimInput, feedInput]),
  run(value) {
    const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
    return kind === 'trim' ? trim(value) : kind === 'feed' ? feed(value) : pace(value);
  },
};

function pace(value: unknown): Outcome<unknown> {
  const parsed = parseWith(paceInput, value);
  if (!parsed.ok) return parsed;
  const { pairs, prior } = parsed.value;
  return success(
    paceOf(
      pairs.map(([planned, found, arcS]) => ({ planned, found, arcS })),
      prior ?? unknownPace,
    ),
  );
}

function feed(value: unknown): Outcome<unknown> {
  const parsed = parseWith(feedInput, value);
  if (!parsed.ok) return parsed;
  const { pairs, prior } = parsed.value;
  return success(
    feedFactor(
      pairs.map(([rule, passed]) => ({ rule, passed })),
      prior ?? unknownFeed,
    ),
  );
}

function trim(value: unknown): Outcome<unknown> {
  const parsed = parseWith(trimInput, value);
  if (!parsed.ok) return parsed;
  const { points, at } = parsed.value;
  const line = trimLine(points);
  const feeds = at ?? [...new Set([...points.map(([feed]) => feed), ...usualFeeds])].sort((a, b) => a - b);
  return success({ ...line, at: Object.fromEntries(feeds.map((feed) => [feed, trimAt(line, feed)])) });
}

/** The line is told at every whole feed of a machine's common range, so that any of them can be read off. */
const usualFeeds = Array.from({ length: 20 }, (_, at) => at + 1);
