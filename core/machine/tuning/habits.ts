/**
 * What happens to the arc when only the feed is moved. Three habits: follow the machine's line, hold the volts, hold the arc length.
 * Without a taught line the model's own line is a length, so that following it and holding the length are the same.
 */
import { arcOf, neutralOffsetMm, taughtLine, type Circuit } from '../dials/index.ts';
import { type ChartLine } from '../description/index.ts';
import { type Program } from '../../setting/program/index.ts';

export const feedHabits = ['follow-line', 'hold-volts', 'hold-length'] as const;
export type FeedHabit = (typeof feedHabits)[number];

/** Trim in mm after the feed has moved from the program's to `feedMPerMin`. */
export function trimAfterFeed(
  program: Program,
  feedMPerMin: number,
  habit: FeedHabit,
  machine: Circuit & { readonly line: ChartLine | null },
): number {
  const { trimMm, ctwdMm, wireFeedMPerMin: before } = program;
  if (habit === 'hold-length') return trimMm;
  const arc = arcOf(program, ctwdMm, trimMm);
  if (habit === 'hold-volts') return trimAtHeldVolts(program, feedMPerMin);
  const line = taughtLine(machine.line);
  if (!line) return trimMm;
  const at = (feed: number) => neutralOffsetMm(machine, line, arc, feed);
  return trimMm + at(feedMPerMin) - at(before);
}

/**
 * More feed takes more volts at one length, so that the same volts make a shorter arc: E ΔL = U before - U of the line after.
 * The line's volts hang on the wire extension, which gains what the arc loses; a few turns settle it (each leaves about a quarter).
 */
function trimAtHeldVolts(program: Program, feedMPerMin: number): number {
  const { trimMm, ctwdMm } = program;
  const arc = arcOf(program, ctwdMm, trimMm);
  const was = arc.lineVoltsAt(program.wireFeedMPerMin);
  if (was === undefined) return trimMm;
  const heldV = was + trimMm * arc.wire.eVPerMm;
  let next = trimMm;
  for (let turn = 0; turn < 12; turn++) {
    const is = arcOf(program, ctwdMm, next).lineVoltsAt(feedMPerMin);
    if (is === undefined) return trimMm;
    next = (heldV - is) / arc.wire.eVPerMm;
  }
  return next;
}
