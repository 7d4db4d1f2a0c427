/** The hand's part of a score in words: when and where to press, how long to hold, what to count. */
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
export function countWords(seconds: number): string {
  const words = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
  const halves = Math.round(seconds * 2);
  if (halves < 1) return 'no count';
  if (halves === 1) return 'half a count';
  const whole = Math.floor(halves / 2);
  if (whole > words.length) return `${whole} counts`;
  const counted = words.slice(0, whole).join(', ');
  return halves % 2 === 1 ? `${counted} and a half` : counted;
}

/** The presses as lines for a card. */
export function pressLines(score: SeamScore): string[] {
  const presses = handPresses(score);
  return presses.map((press, at) => {
    const isLast = at === presses.length - 1;
    const heldS = press.toS - press.fromS;
    const where = at === 0 ? 'At the start' : `At ${press.mm.toFixed(0)} mm`;
    if (press.kind === 'tap') {
      return at === 0 || !isLast || presses.length > 2
        ? `${where}: ${at === 0 || isLast ? 'press and let go' : 'tap'}.`
        : `${where}: press and let go to stop.`;
    }
    const arcS = press.toS - Math.max(press.fromS, score.litS);
    if (at === 0 && presses.length === 1) return `${where}: press and hold, ${score.lengthMm.toFixed(0)} mm, let go.`;
    if (at === 0)
      return `${where}: press and hold until ${arcS.toFixed(1)} s after the arc, ${press.overMm.toFixed(0)} mm: ${countWords(arcS)}. Let go.`;
    return `${where}: press and hold ${heldS.toFixed(1)} s: ${countWords(heldS)}. Let go.`;
  });
}
