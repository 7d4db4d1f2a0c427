/** The hand's part of a score in words: when and where to press, how long to hold, what to count. */
import { counts } from './counts.ts';
import { message, amount, joined, type Phrase } from '../../base/messages/index.ts';
import { longestTapS, type TriggerEvent } from '../sequence/index.ts';
import type { SeamScore } from './intended.ts';

export interface HandPress {
  readonly fromS: number;
  readonly toS: number;
  readonly kind: 'tap' | 'hold';
  /** Where the gun stands when it begins, mm. */
  readonly mm: number;
  /** How far the gun moves while it is held, mm. */
  readonly overMm: number;
}

export function handPresses({ events, gun, untilS }: Pick<SeamScore, 'events' | 'gun' | 'untilS'>): HandPress[] {
  return pairs(events, untilS).map(({ fromS, toS }) => {
    const mm = gun.mmAt(fromS);
    return { fromS, toS, mm, overMm: gun.mmAt(toS) - mm, kind: toS - fromS <= longestTapS ? 'tap' : 'hold' };
  });
}

function pairs(events: readonly TriggerEvent[], untilS: number): { fromS: number; toS: number }[] {
  const found: { fromS: number; toS: number }[] = [];
  let fromS: number | null = null;
  for (const { atS, action } of events) {
    if (action === 'press') fromS = atS;
    else if (fromS !== null) {
      found.push({ fromS, toS: atS });
      fromS = null;
    }
  }
  if (fromS !== null) found.push({ fromS, toS: untilS });
  return found;
}

/** Seconds as a welder counts them behind the helmet: "one, two"; half a count is said as such. */
export function countWords(seconds: number): Phrase {
  const halves = Math.round(seconds * 2);
  if (halves < 1) return message('trigger.no-count');
  if (halves === 1) return message('trigger.half-a-count');
  const whole = Math.floor(halves / 2);
  if (whole > counts.length) return message('trigger.counts', { whole });
  const counted = joined(counts.slice(0, whole), ', ');
  return halves % 2 === 1 ? message('trigger.and-a-half', { counted }) : counted;
}

/** The presses as lines for a card. */
export function pressLines(score: SeamScore): Phrase[] {
  const presses = handPresses(score);
  return presses.map((press, at) => {
    const isLast = at === presses.length - 1;
    const heldS = press.toS - press.fromS;
    const where =
      at === 0 ? message('trigger.at-the-start') : message('trigger.count.at', { mm: amount('length', press.mm, 0) });
    if (press.kind === 'tap') {
      return at === 0 || !isLast || presses.length > 2
        ? joined([
            where,
            ': ',
            at === 0 || isLast ? message('trigger.cue.press-and-let-go') : message('trigger.tap-word'),
            '.',
          ])
        : message('trigger.count.stop', { where });
    }
    const arcS = press.toS - Math.max(press.fromS, score.litS);
    if (at === 0 && presses.length === 1)
      return message('trigger.count.press-hold-for', { where, length: amount('length', score.lengthMm, 0) });
    if (at === 0)
      return message('trigger.count.press-hold-after-arc', {
        where,
        arc: amount('phaseTime', arcS, 1),
        over: amount('length', press.overMm, 0),
        counted: countWords(arcS),
      });
    return message('trigger.count.press-hold-counted', {
      where,
      held: amount('phaseTime', heldS, 1),
      counted: countWords(heldS),
    });
  });
}
