import { describe, expect, it } from '@jest/globals';
import { solvePulse } from '@fox-tempo/core/setting/pulse';
import { waveformCsv, waveformData, waveformWords } from './waveform-data.ts';

const result = solvePulse({
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 5.5,
  extensionMm: 13,
});
if (!result.ok) throw new Error('the reference pulse must solve');
const data = waveformData(result.value);

describe('the pulse as a chart', () => {
  it('draws three periods with one drop in each, after its rise and before the next', () => {
    expect(data.endMs).toBeCloseTo(3000 / result.value.frequencyHz, 9);
    expect(data.drops).toHaveLength(3);
    data.drops.forEach((drop, index) => {
      expect(drop).toBeGreaterThan(index * data.periodMs + data.firstPeak[0]);
      expect(drop).toBeLessThan((index + 1) * data.periodMs);
    });
    const times = data.points.map(([time]) => time);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  it('marks the peak at half height over its own time', () => {
    expect(data.firstPeak[1] - data.firstPeak[0]).toBeCloseTo(result.value.peakTimeMs, 9);
  });

  it('says itself in words and in rows', () => {
    expect(waveformWords(data)).toContain('450 amperes for 1.98 milliseconds');
    expect(waveformCsv(data).trim().split('\r\n')).toHaveLength(data.points.length + 1);
  });

  it('draws no drop where a pulse is too weak', () => {
    const weak = solvePulse({
      filler: 'steel-solid',
      gas: 'M21-ArC-18',
      diameterMm: 1.2,
      wireFeedMPerMin: 5.5,
      extensionMm: 13,
      peakCurrentA: 330,
      peakTimeMs: 1.5,
      backgroundCurrentA: 120,
      frequencyHz: 150,
    });
    expect(weak.ok && waveformData(weak.value).drops).toEqual([]);
  });
});
