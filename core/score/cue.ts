/** What a hand should do next while a score is played, as somebody beside the welder would say it: hold, counts, millimetres to go, let go. */
import { schoolFacts, type LivePlay, type PlayedPhase, type TriggerSequence } from '../sequence/index.ts';
import type { GunPath } from './gun-path.ts';
import type { SeamScore } from './intended.ts';

export interface Cue {
  /** The word to call. */
  readonly word: string;
  readonly detail: string;
  /** The hand should move now. */
  readonly due: boolean;
  /** Whole counts since the holding began; moves on each second. */
  readonly count: number;
}

const counts = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
/** Called ahead by this much, s: a hand needs it. */
const aheadS = 1.5;

export function cueFor(
  live: LivePlay,
  sequence: TriggerSequence,
  score: SeamScore,
  gun: GunPath,
  paceMmPerS: number,
): Cue {
  const { state, nowS } = live;
  const facts = schoolFacts[sequence.trigger];
  const say = (word: string, detail: string, due = false, count = 0): Cue => ({ word, detail, due, count });
  const held = (fromS: number, wantedS: number, what: string): Cue => {
    const elapsed = nowS - fromS;
    const count = Math.floor(elapsed);
    if (elapsed >= wantedS - 0.02) return say('let go', `${what} has had its ${wantedS.toFixed(1)} s`, true, count);
    return say(
      count === 0 ? 'hold…' : `hold… ${counts[count - 1] ?? String(count)}`,
      `${what}: ${(wantedS - elapsed).toFixed(1)} s to go`,
      false,
      count,
    );
  };
  switch (state.phase) {
    case 'idle':
      return say('press', facts.latches && facts.ends === 'none' ? 'press and let go' : 'press and hold', true);
    case 'pre-gas':
      return say('hold…', 'gas first');
    case 'run-in':
      return facts.latches && facts.ends === 'none'
        ? say('let go', 'it welds on by itself', state.held)
        : say('hold…', state.litS === null ? 'wire on its way' : 'it burns; move off');
    case 'start':
      return facts.ends === 'held'
        ? held(state.sinceS, sequence.startS, 'start')
        : say('hold…', 'start by its own time; move');
    case 'slope-in':
      return say('move', facts.latches ? 'slope to main; finger off' : 'slope to main; keep holding');
    case 'main':
    case 'second': {
      if (sequence.trigger === 'spot') return say('hold…', 'the spot stops by itself');
      return alongSeam(live, sequence, score, gun, paceMmPerS);
    }
    case 'slope-out':
      return state.held ? say('hold…', 'slope; the crater comes') : say('stay', 'slope to the end');
    case 'end':
      return facts.ends === 'held'
        ? held(state.sinceS, sequence.endS, 'crater')
        : say('stay', 'the crater fills by its own time');
    case 'burn-back':
      return say('stay', 'burning back');
    case 'post-gas':
      return state.pausing && state.held
        ? say('move', 'pause; the next stitch comes')
        : say('stay', 'gas over the crater; do not lift yet');
  }
}

/** On the way: the next tap or the end, in millimetres. */
function alongSeam(live: LivePlay, sequence: TriggerSequence, score: SeamScore, gun: GunPath, paceMmPerS: number): Cue {
  const facts = schoolFacts[sequence.trigger];
  const mm = gun.mmAt(live.nowS);
  const taps = tapsTaken(live);
  const nextTap = facts.second ? sequence.tapsAtMm[taps] : undefined;
  const slopeMm = facts.ends === 'none' ? 0 : sequence.slopeOutS * paceMmPerS;
  const endMm = score.lengthMm - slopeMm;
  const isTap = nextTap !== undefined && nextTap < endMm;
  const target = isTap ? nextTap : endMm;
  const toGo = target - mm;
  const what = isTap ? 'tap' : facts.latches ? (facts.ends === 'held' ? 'press and hold' : 'press') : 'let go';
  const due = toGo <= paceMmPerS * 0.15;
  if (due) return { word: what, detail: isTap ? `at ${target.toFixed(0)} mm` : 'end of the seam', due: true, count: 0 };
  const seconds = toGo / paceMmPerS;
  return {
    word: seconds < aheadS ? `${what} soon` : 'weld on',
    detail: `${what} in ${toGo.toFixed(0)} mm, ${seconds.toFixed(1)} s`,
    due: false,
    count: 0,
  };
}

/** Taps that have changed the level, the one that has just been taken with them. */
function tapsTaken({ played, state }: LivePlay): number {
  const last = played.at(-1)?.name;
  const isFresh = (last === 'main' && state.phase === 'second') || (last === 'second' && state.phase === 'main');
  return changesIn(played).length + (isFresh ? 1 : 0);
}

/** Changes between main and second level so far. */
export function changesIn(played: readonly PlayedPhase[]): PlayedPhase[] {
  return played.filter(
    ({ name }, at) =>
      (name === 'main' && played[at + 1]?.name === 'second') || (name === 'second' && played[at + 1]?.name === 'main'),
  );
}

export interface PlayedPart {
  readonly part: string;
  readonly wanted: string;
  readonly was: string;
  /** Near enough that a seam would not show it. */
  readonly fits: boolean;
}

/** How a play came out against its score: held times and places. */
export function playedAgainst(
  sequence: TriggerSequence,
  score: SeamScore,
  played: readonly PlayedPhase[],
  gun: GunPath,
): PlayedPart[] {
  const facts = schoolFacts[sequence.trigger];
  const lasted = (name: PlayedPhase['name']) =>
    played.filter((phase) => phase.name === name).reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
  const time = (part: string, wanted: number, was: number, slack: number): PlayedPart => ({
    part,
    wanted: `${wanted.toFixed(1)} s`,
    was: `${was.toFixed(1)} s`,
    fits: Math.abs(was - wanted) <= slack,
  });
  const place = (part: string, wanted: number, was: number | undefined): PlayedPart => ({
    part,
    wanted: `${wanted.toFixed(0)} mm`,
    was: was === undefined ? 'not done' : `${was.toFixed(0)} mm`,
    fits: was !== undefined && Math.abs(was - wanted) <= 5,
  });
  const parts: PlayedPart[] = [];
  if (facts.ends === 'held')
    parts.push(time('start held', sequence.startS, lasted('start'), Math.max(0.3, sequence.startS * 0.3)));
  if (facts.second) {
    const changes = changesIn(played);
    sequence.tapsAtMm.forEach((mm, at) => {
      const change = changes[at];
      parts.push(place(`tap ${at + 1}`, mm, change && gun.mmAt(change.toS)));
    });
  }
  if (sequence.trigger !== 'spot') parts.push(place('end of the seam', score.lengthMm, gun.endMm));
  if (facts.ends === 'held')
    parts.push(time('crater held', sequence.endS, lasted('end'), Math.max(0.3, sequence.endS * 0.4)));
  return parts;
}
