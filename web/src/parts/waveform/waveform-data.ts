/** The fast pulse as a chart wants it: corner points, levels, and the moments at which drops leave. Times in ms, currents in A. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { leadMs, pulseMeans, waveformPoints, type PulseResult } from '@fox-tempo/core/setting/pulse';
import { csvOf } from '@fox-tempo/contract';

export interface WaveformData {
  readonly points: readonly (readonly [timeMs: number, currentA: number])[];
  readonly drops: readonly number[];
  readonly endMs: number;
  readonly meanA: number;
  readonly rmsA: number;
  readonly peakA: number;
  readonly backgroundA: number;
  /** Half-height ends of the first peak. */
  readonly firstPeak: readonly [number, number];
  readonly periodMs: number;
}

export function waveformData(pulse: PulseResult, periods = 3): WaveformData {
  const { meanA, rmsA, reachedPeakA, rampMs } = pulseMeans(pulse);
  const periodMs = 1000 / pulse.frequencyHz;
  const foot = leadMs(pulse);
  const drop = pulse.dropMomentMs;
  return {
    points: waveformPoints(pulse, periods).map(({ timeMs, currentA }) => [timeMs, currentA] as const),
    drops: drop === undefined ? [] : Array.from({ length: periods }, (_, index) => index * periodMs + foot + drop),
    endMs: periods * periodMs,
    meanA,
    rmsA,
    peakA: reachedPeakA,
    backgroundA: pulse.backgroundCurrentA,
    firstPeak: [foot + rampMs / 2, foot + rampMs / 2 + pulse.peakTimeMs],
    periodMs,
  };
}

/** One row per corner, for a spreadsheet. */
export function waveformCsv({ points }: WaveformData): string {
  return csvOf(
    ['timeMs', 'currentA'],
    points.map(([time, current]) => [time.toFixed(4), current.toFixed(2)]),
  );
}

/** The chart in one sentence, for those who do not see it. */
export function waveformWords(data: WaveformData): string {
  const drop = data.drops[0];
  return t('view.waveform.description', {
    peak: amount('plain', data.peakA, 0),
    peakTime: amount('plain', data.firstPeak[1] - data.firstPeak[0], 2),
    background: amount('plain', data.backgroundA, 0),
    period: amount('plain', data.periodMs, 1),
    mean: amount('plain', data.meanA, 0),
    rms: amount('plain', data.rmsA, 0),
    drop:
      drop === undefined
        ? t('view.waveform.too-weak')
        : t('view.waveform.drop-leaves-after', {
            firstPeak: amount('plain', drop - data.firstPeak[0], 2),
          }),
  });
}
