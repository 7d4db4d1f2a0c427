/** The `melt` question: from feed to current or from current to feed, at a given extension. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { wireInGas } from '../arc/index.ts';
import { fillerOf, type FillerCode } from '../consumables/index.ts';
import { failure, rangeIssues, ranges, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import { depositionKgPerH, meanCurrentForRms, meltRateMmPerS, steadyCurrentA } from './melting.ts';

export interface MeltInput {
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly extensionMm: number;
  /** Give this or `currentA`, not both. */
  readonly wireFeedMPerMin?: number | undefined;
  readonly currentA?: number | undefined;
  /** In pulse the rms current is higher than the mean; left out, the current is taken as steady. */
  readonly rmsCurrentA?: number | undefined;
}

export interface MeltResult {
  readonly wireFeedMPerMin: number;
  readonly currentA: number;
  readonly depositionKgPerH: number;
  readonly bands: { readonly currentA: readonly [number, number] };
  readonly because: Phrase;
}

/** Feed, mean current and deposit that belong together. Issues: ranges, `one-of`, `rms-below-mean`, `rms-too-high`. */
export function melt(input: MeltInput): Outcome<MeltResult> {
  const { diameterMm, extensionMm, wireFeedMPerMin, currentA, rmsCurrentA } = input;
  const issues: Issue[] = rangeIssues({ diameterMm, extensionMm, wireFeedMPerMin, currentA });
  if ((wireFeedMPerMin === undefined) === (currentA === undefined)) {
    issues.push({
      path: 'wireFeedMPerMin',
      code: 'one-of',
      message: message('melting.error.feed-or-current'),
      got: { wireFeedMPerMin, currentA },
    });
  }
  if (rmsCurrentA !== undefined && !(rmsCurrentA > 0 && rmsCurrentA <= ranges.currentA.max)) {
    issues.push({
      path: 'rmsCurrentA',
      code: 'out-of-range',
      message: message('melting.error.rms-range', {
        current: amount('current', ranges.currentA.max),
        rmsCurrent: rmsCurrentA,
      }),
      limit: [0, ranges.currentA.max],
      got: rmsCurrentA,
    });
  }
  if (issues.length > 0) return failure(...issues);

  const filler = fillerOf(input.filler);
  // Melting does not depend on the gas in this model; argon only fills the arc rows that are not used here.
  const wire = wireInGas(input.filler, filler.shielding === 'self' ? 'none' : 'I1', diameterMm);
  let meanA: number;
  let rateMmPerS: number;
  if (currentA !== undefined) {
    meanA = currentA;
    rateMmPerS = meltRateMmPerS(wire, meanA, rmsCurrentA ?? meanA, extensionMm);
  } else {
    rateMmPerS = (wireFeedMPerMin ?? 0) * MM_PER_S_PER_M_PER_MIN;
    meanA =
      rmsCurrentA === undefined
        ? steadyCurrentA(wire, rateMmPerS, extensionMm)
        : meanCurrentForRms(wire, rateMmPerS, rmsCurrentA, extensionMm);
  }
  if (rmsCurrentA !== undefined && (meanA <= 0 || rmsCurrentA < meanA - 1e-9)) {
    const tooHigh = meanA <= 0;
    return failure({
      path: 'rmsCurrentA',
      code: tooHigh ? 'rms-too-high' : 'rms-below-mean',
      message: tooHigh
        ? message('melting.error.rms-melts-more', { rmsCurrent: amount('current', rmsCurrentA) })
        : message('melting.error.rms-below-mean', {
            rmsCurrent: amount('current', rmsCurrentA),
            mean: amount('current', meanA, 1),
          }),
      limit: Number(meanA.toFixed(1)),
      got: rmsCurrentA,
    });
  }
  const feed = rateMmPerS / MM_PER_S_PER_M_PER_MIN;
  const extensionRate = rateMmPerS - wire.arcMeltMmPerAs * meanA;
  return success({
    wireFeedMPerMin: feed,
    currentA: meanA,
    depositionKgPerH: depositionKgPerH(wire, feed),
    bands: { currentA: [meanA * (1 - filler.meltingError), meanA * (1 + filler.meltingError)] },
    because: message('melting.because.melting-rate', {
      arcMeltMmPerAs: amount('meltRate', wire.arcMeltMmPerAs, 3),
      mean: amount('current', meanA, 0),
      arcRate: amount('wireSpeed', wire.arcMeltMmPerAs * meanA, 1),
      extension: amount('shortLength', extensionMm),
      extensionRate: amount('wireSpeed', extensionRate, 1),
      feed: amount('wireFeed', feed, 2),
    }),
  });
}
