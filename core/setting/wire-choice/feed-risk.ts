/** How likely the wire buckles, shaves or jams on its way: a score with its reasons and what helps. Rules of practice. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { fillerOf, type FillerCode } from '../../metal/consumables/index.ts';
import { fillerFacts } from './filler-facts.ts';

export interface FeedRisk {
  /** 0 none .. 10 do not try. */
  readonly score: number;
  readonly words: 'easy' | 'watch it' | 'risky';
  readonly reasons: readonly Phrase[];
  readonly helps: readonly Phrase[];
}

/** Gun lengths in m above which a push drive tires with soft wire, by softness 0..4. */
const easyLengthM = [5, 4, 3.5, 3, 2.5] as const;

export function feedRisk(
  filler: FillerCode,
  diameterMm: number,
  gunLengthM: number,
  liner: 'steel' | 'polymer',
): FeedRisk {
  const { softness } = fillerFacts[filler];
  const reasons: Phrase[] = [];
  const helps: Phrase[] = [];
  let score = softness;
  const limit = easyLengthM[softness];
  if (softness >= 2) reasons.push(message('wire-choice.soft-wire'));
  if (gunLengthM > limit) {
    score += Math.min(3, 2 * (gunLengthM - limit));
    reasons.push(
      message('wire-choice.feeding.gun-length', {
        gunLengthM: amount('gunLength', gunLengthM),
        limit: amount('gunLength', limit),
      }),
    );
    helps.push(message('wire-choice.feeding.help'));
  }
  if (diameterMm < 0.95 && softness >= 2) {
    score += 2;
    reasons.push('thin');
    helps.push(message('wire-choice.feeding.next-size'));
  }
  if (softness >= 2 && liner === 'steel') {
    score += 3;
    reasons.push(message('wire-choice.feeding.steel-liner'));
    helps.push(message('wire-choice.polymer-liner'));
  }
  if (fillerOf(filler).family === 'aluminium') helps.push(message('wire-choice.feeding.straight-gun'));
  const held = Math.min(Math.round(score), 10);
  return { score: held, words: held <= 2 ? 'easy' : held <= 5 ? 'watch it' : 'risky', reasons, helps };
}
