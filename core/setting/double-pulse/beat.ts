/**
 * The `double-pulse` question: a beat in one school said in another, and what it does: mean current and power at both levels,
 * the sheet thickness whose single-pulse setting has the same mean heat, ripples, and whether both levels can be pulsed.
 */
import { message, amount, bare, type Phrase } from '../../base/messages/index.ts';
import { arcElectrical, pulseLineMm, wireInGas } from '../../metal/arc/index.ts';
import { success, type Outcome, type Warning } from '../../base/outcome/index.ts';
import { currentRule, metalFactor } from '../plan/wishes.ts';
import { pulseMeans, solveDefaultPulse } from '../pulse/index.ts';
import type { FillerCode, FillerFamily, MaterialGroup } from '../../metal/consumables/index.ts';
import type { CanonicalBeat } from './canonical.ts';
import { ripplePitchMm, usualPitchMm } from './ripple.ts';
import { canonicalOf, sayBeat, type BeatInput, type BeatSchool, type SaidBeat } from './schools.ts';

export interface DoublePulseInput {
  readonly from: BeatInput;
  readonly to: BeatSchool;
  readonly travelMmPerMin?: number | undefined;
  /** With a wire the answer says what the beat does to current and heat. */
  readonly wire?:
    | { readonly filler: FillerCode; readonly gas: string; readonly diameterMm: number; readonly extensionMm: number }
    | undefined;
  /** Limits of the program or machine that both levels have to keep, m/min. */
  readonly feedLimitsMPerMin?: readonly [number, number] | undefined;
}

export interface LevelEffect {
  readonly wireFeedMPerMin: number;
  readonly meanCurrentA: number;
  readonly meanPowerW: number;
}

export interface DoublePulseResult extends SaidBeat {
  readonly canonical: CanonicalBeat;
  readonly ripplePitchMm?: number;
  readonly effect?: {
    readonly high: LevelEffect;
    readonly low: LevelEffect;
    readonly meanCurrentA: number;
    readonly meanPowerW: number;
    /** A single pulse at the mean feed, for comparison. */
    readonly singlePowerW: number;
    /** Thickness of a fillet of the wire's own metal whose reference current is this mean, mm. */
    readonly equivalentThicknessMm: number;
  };
  readonly warnings: readonly Warning[];
}

export function doublePulse(input: DoublePulseInput): Outcome<DoublePulseResult> {
  const canonical = canonicalOf(input.from);
  if (!canonical.ok) return canonical;
  const beat = canonical.value;
  const warnings: Warning[] = [];
  const caution = (code: Phrase, message: Phrase) => warnings.push({ code, level: 'caution', message });
  const pitch = input.travelMmPerMin === undefined ? undefined : ripplePitchMm(input.travelMmPerMin, beat.frequencyHz);
  if (pitch !== undefined && (pitch < usualPitchMm[0] || pitch > usualPitchMm[1])) {
    caution(
      'ripple-pitch',
      message('double-pulse.caution.ripple-pitch', {
        pitch: amount('shortLength', pitch, 2),
        least: bare('shortLength', usualPitchMm[0]),
        most: amount('shortLength', usualPitchMm[1]),
      }),
    );
  }
  const limits = input.feedLimitsMPerMin;
  if (limits) {
    for (const [name, feed] of [
      ['high', beat.highFeedMPerMin],
      ['low', beat.lowFeedMPerMin],
    ] as const) {
      if (feed < limits[0] || feed > limits[1]) {
        caution(
          `${name}-beyond-limits`,
          message('double-pulse.error.level-outside', {
            name,
            feed: amount('wireFeed', feed, 1),
            least: bare('wireFeed', limits[0]),
            most: amount('wireFeed', limits[1]),
          }),
        );
      }
    }
  }
  const effect = input.wire && effectOf(beat, input.wire, caution);
  return success({
    canonical: beat,
    ...sayBeat(beat, input.to),
    ...(pitch === undefined ? {} : { ripplePitchMm: pitch }),
    ...(effect ? { effect } : {}),
    warnings,
  });
}

function effectOf(
  beat: CanonicalBeat,
  { filler, gas, diameterMm, extensionMm }: NonNullable<DoublePulseInput['wire']>,
  caution: (code: string, message: Phrase) => void,
): DoublePulseResult['effect'] {
  const wire = wireInGas(filler, gas, diameterMm);
  const lineMm = pulseLineMm(wire.family, diameterMm);
  const level = (wireFeedMPerMin: number): LevelEffect | undefined => {
    const pulse = solveDefaultPulse(wire, extensionMm, wireFeedMPerMin);
    if (typeof pulse === 'string') return undefined;
    const { meanA, rmsA } = pulseMeans(pulse);
    return {
      wireFeedMPerMin,
      meanCurrentA: meanA,
      meanPowerW: arcElectrical(wire, meanA, rmsA, lineMm, extensionMm, 0).meanPowerW,
    };
  };
  const [high, low, single] = [level(beat.highFeedMPerMin), level(beat.lowFeedMPerMin), level(beat.meanFeedMPerMin)];
  if (!high)
    caution(
      'high-not-pulsable',
      message('double-pulse.error.high-level-cannot-pulse', { highFeed: amount('wireFeed', beat.highFeedMPerMin, 1) }),
    );
  if (!low)
    caution(
      'low-not-pulsable',
      message('double-pulse.error.low-level-cannot-pulse', { lowFeed: amount('wireFeed', beat.lowFeedMPerMin, 1) }),
    );
  if (!high || !low || !single) return undefined;
  const ownShare = metalFactor(usualMetal(wire.family), wire.family).factor;
  const mix = (a: number, b: number) => beat.highShare * a + (1 - beat.highShare) * b;
  const meanCurrentA = mix(high.meanCurrentA, low.meanCurrentA);
  return {
    high,
    low,
    meanCurrentA,
    meanPowerW: mix(high.meanPowerW, low.meanPowerW),
    singlePowerW: single.meanPowerW,
    equivalentThicknessMm: (meanCurrentA / (currentRule.baseA * ownShare)) ** (1 / currentRule.exponent),
  };
}

/** The metal a wire is mostly laid on; brazing wires join steel. */
export function usualMetal(family: FillerFamily): MaterialGroup {
  return family === 'copper-silicon' ? 'steel' : family;
}
