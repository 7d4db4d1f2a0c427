/** What a hand should do next while a score is played, as somebody beside the welder would say it: hold, counts, millimetres to go, let go. */
import { message, amount, joined, type Phrase } from '../../base/messages/index.ts';
import { schoolFacts, type LivePlay, type PlayedPhase, type TriggerSequence } from '../sequence/index.ts';
import { counts } from './counts.ts';
import type { GunPath } from './gun-path.ts';
import type { SeamScore } from './intended.ts';

export interface Cue {
  /** The word to call. */
  readonly word: Phrase;
  readonly detail: Phrase;
  /** The hand should move now. */
  readonly due: boolean;
  /** Whole counts since the holding began; moves on each second. */
  readonly count: number;
}

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
  const cue = (word: Phrase, detail: Phrase, due = false, count = 0): Cue => ({ word, detail, due, count });
  const held = (fromS: number, wantedS: number, what: Phrase): Cue => {
    const elapsed = nowS - fromS;
    const count = Math.floor(elapsed);
    if (elapsed >= wantedS - 0.02)
      return cue(
        message('trigger.let-go'),
        message('trigger.cue.had-its', { what, wanted: amount('phaseTime', wantedS, 1) }),
        true,
        count,
      );
    return cue(
      count === 0
        ? message('trigger.hold')
        : message('trigger.cue.hold-count', { count: counts[count - 1] ?? String(count) }),
      message('trigger.to-go', { what, elapsed: amount('phaseTime', wantedS - elapsed, 1) }),
      false,
      count,
    );
  };
  switch (state.phase) {
    case 'idle':
      return cue(
        message('trigger.press-word'),
        facts.latches && facts.ends === 'none'
          ? message('trigger.cue.press-and-let-go')
          : message('trigger.press-and-hold'),
        true,
      );
    case 'pre-gas':
      return cue(message('trigger.hold'), message('trigger.gas-first'));
    case 'run-in':
      return facts.latches && facts.ends === 'none'
        ? cue(message('trigger.let-go'), message('trigger.cue.welds-by-itself'), state.held)
        : cue(
            message('trigger.hold'),
            state.litS === null ? message('trigger.cue.wire-coming') : message('trigger.cue.lit'),
          );
    case 'start':
      return facts.ends === 'held'
        ? held(state.sinceS, sequence.startS, message('trigger.start-word'))
        : cue(message('trigger.hold'), message('trigger.cue.timed-start'));
    case 'slope-in':
      return cue(
        message('trigger.move-word'),
        facts.latches ? message('trigger.cue.slope-released') : message('trigger.cue.slope-held'),
      );
    case 'main':
    case 'second': {
      if (sequence.trigger === 'spot') return cue(message('trigger.hold'), message('trigger.cue.spot-stops'));
      return alongSeam(live, sequence, score, gun, paceMmPerS);
    }
    case 'slope-out':
      return state.held
        ? cue(message('trigger.hold'), message('trigger.cue.slope-then-crater'))
        : cue(message('trigger.stay-word'), message('trigger.cue.slope-to-end'));
    case 'end':
      return facts.ends === 'held'
        ? held(state.sinceS, sequence.endS, message('trigger.crater-word'))
        : cue(message('trigger.stay-word'), message('trigger.cue.crater-fills'));
    case 'burn-back':
      return cue(message('trigger.stay-word'), message('trigger.burning-back'));
    case 'post-gas':
      return state.pausing && state.held
        ? cue(message('trigger.move-word'), message('trigger.cue.pause'))
        : cue(message('trigger.stay-word'), message('trigger.cue.gas-over-crater'));
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
  const what = isTap
    ? message('trigger.tap-word')
    : facts.latches
      ? facts.ends === 'held'
        ? message('trigger.press-and-hold')
        : message('trigger.press-word')
      : message('trigger.let-go');
  const due = toGo <= paceMmPerS * 0.15;
  if (due)
    return {
      word: what,
      detail: isTap
        ? message('trigger.at', { target: amount('length', target, 0) })
        : message('trigger.cue.end-of-weld'),
      due: true,
      count: 0,
    };
  const seconds = toGo / paceMmPerS;
  return {
    word: seconds < aheadS ? message('trigger.soon', { what }) : message('trigger.cue.weld-on'),
    detail: message('trigger.in', { what, toGo: amount('length', toGo, 0), seconds: amount('phaseTime', seconds, 1) }),
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
  readonly part: Phrase;
  readonly wanted: Phrase;
  readonly was: Phrase;
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
  const time = (part: Phrase, wanted: number, was: number, slack: number): PlayedPart => ({
    part,
    wanted: joined([amount('phaseTime', wanted, 1)]),
    was: joined([amount('phaseTime', was, 1)]),
    fits: Math.abs(was - wanted) <= slack,
  });
  const place = (part: Phrase, wanted: number, was: number | undefined): PlayedPart => ({
    part,
    wanted: joined([amount('length', wanted, 0)]),
    was: was === undefined ? message('trigger.not-done') : joined([amount('length', was, 0)]),
    fits: was !== undefined && Math.abs(was - wanted) <= 5,
  });
  const parts: PlayedPart[] = [];
  if (facts.ends === 'held')
    parts.push(
      time(message('trigger.start-held'), sequence.startS, lasted('start'), Math.max(0.3, sequence.startS * 0.3)),
    );
  if (facts.second) {
    const changes = changesIn(played);
    sequence.tapsAtMm.forEach((mm, at) => {
      const change = changes[at];
      parts.push(place(message('trigger.tap', { at: at + 1 }), mm, change && gun.mmAt(change.toS)));
    });
  }
  if (sequence.trigger !== 'spot') parts.push(place(message('trigger.cue.end-of-weld'), score.lengthMm, gun.endMm));
  if (facts.ends === 'held')
    parts.push(time(message('trigger.crater-held'), sequence.endS, lasted('end'), Math.max(0.3, sequence.endS * 0.4)));
  return parts;
}
