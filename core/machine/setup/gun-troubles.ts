/** What a gun's own paper says against the program: its liner, rolls, fittings and leads. Rules of practice, assumed; none of them blocks. */
import { gasName, wireSizeLabel } from '../../metal/consumables/index.ts';
import { copperMOhm, type Feeder } from '../description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { amount, hazard, type Phrase, message } from '../../base/messages/index.ts';
import { neededSetup } from './state.ts';

/** A liner's bore over the wire: less drags, more lets it snake. */
const boreShare = [1.25, 2.3] as const;
/** A liner may be this much shorter than its gun before the wire bends at its end, m. */
const shortLinerM = 0.15;
/** A leak test is as old as its season, days. */
const leakTestDays = 90;
/** Clamps and joints that add more than this to the copper are worth a wire brush, mΩ. */
const jointsMOhm = 10;
const dayMs = 86_400_000;

export function gunTroubles(feeder: Feeder, program: Program, circuitMOhm: number, today: Date): Warning[] {
  const { paper } = feeder;
  if (!paper) return [];
  const needed = neededSetup(program, paper.tipRule);
  const found: Warning[] = [];
  const caution = (code: string, message: Phrase) => found.push({ code, message, level: 'caution' });
  const { liner, rolls, fittings } = paper;
  if (liner) {
    const share = liner.boreMm / program.diameterMm;
    if (share < boreShare[0] || share > boreShare[1])
      caution(
        'liner-bore',
        message('setup.liner.bore-wrong', {
          bore: amount('shortLength', liner.boreMm, 1),
          wire: wireSizeLabel(program.diameterMm),
          least: amount('shortLength', boreShare[0] * program.diameterMm, 1),
          most: amount('shortLength', boreShare[1] * program.diameterMm, 1),
        }),
      );
    if (liner.lengthM < feeder.gunLengthM - shortLinerM)
      caution(
        'liner-short',
        message('setup.liner.too-short', {
          liner: amount('gunLength', liner.lengthM),
          gun: amount('gunLength', feeder.gunLengthM),
        }),
      );
  }
  if (rolls && rolls.length > 0 && !rollOf(feeder, needed.groove, needed.rollMm))
    caution(
      'no-such-roll',
      message('setup.rolls.none-noted', { groove: needed.groove, size: wireSizeLabel(needed.rollMm) }),
    );
  if (fittings && program.gas !== 'none') {
    const fitting = fittings.find(({ gas }) => gas === program.gas);
    const days =
      fitting?.leakTestedOn === undefined ? null : (today.getTime() - Date.parse(fitting.leakTestedOn)) / dayMs;
    if (!fitting) caution('no-fitting', hazard('setup.gas.no-fitting', { gas: gasName(program.gas) }));
    else if (days === null || days > leakTestDays)
      caution(
        'leak-test-due',
        hazard('setup.gas.leak-test-due', {
          gas: gasName(program.gas),
          last: fitting.leakTestedOn ?? '–',
          days: leakTestDays,
        }),
      );
  }
  const alone = copperMOhm(paper);
  if (alone !== undefined && circuitMOhm < alone)
    caution(
      'leads-below-copper',
      message('setup.leads.below-copper', {
        circuit: amount('resistance', circuitMOhm, 1),
        copper: amount('resistance', alone, 1),
      }),
    );
  if (alone !== undefined && circuitMOhm > alone + jointsMOhm)
    caution(
      'joints-eat-volts',
      message('setup.leads.joints', {
        joints: amount('resistance', circuitMOhm - alone, 1),
        copper: amount('resistance', alone, 1),
      }),
    );
  return found;
}

/** The roll of a groove and size by the colour of its maker, as the shop wrote it down. */
export function rollOf({ paper }: Feeder, groove: string, mm: number): string | undefined {
  return paper?.rolls?.find((one) => one.groove === groove && Math.abs(one.mm - mm) < 0.05)?.colour;
}
