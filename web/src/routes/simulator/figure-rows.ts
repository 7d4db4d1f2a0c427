/** What a simulated arc says in numbers: each with the spread of its runs or the model's own error, and the sum behind it. */
import { amount, bare } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { bead } from '@fox-tempo/core/setting/bead';
import { arcEnergyKjPerMm, migEfficiency } from '@fox-tempo/core/setting/heat-input';
import type { Program } from '@fox-tempo/core/setting/program';
import type { Plan } from '@fox-tempo/core/setting/plan';
import type { SimulationMetrics } from '@fox-tempo/core/weld/simulation';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { ArcRun } from './use-arc.ts';

export interface FigureRow {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly of: QuantityName;
  readonly digits?: number;
  readonly band: readonly [number, number] | null;
  readonly ghost: number | null;
  readonly because: string;
}

/** Runs that differ by less than this share of the figure say nothing of its error. */
const noSpread = 0.002;

/**
 * The model's own relative error where the plan knows it, the same as on the sheet; else the spread of the runs. A spread of nothing is no band.
 */
function bandOf(values: readonly number[], plan: Plan, key?: keyof Plan['bands']): readonly [number, number] | null {
  const [first] = values;
  if (first === undefined) return null;
  const low = Math.min(...values);
  const high = Math.max(...values);
  const planned = key === undefined ? undefined : plan[key as 'meanCurrentA'];
  const band = key === undefined ? undefined : plan.bands[key];
  if (band && typeof planned === 'number' && planned !== 0)
    return [Math.min(low, first * (band[0] / planned)), Math.max(high, first * (band[1] / planned))];
  return high - low > noSpread * Math.abs(first) ? [low, high] : null;
}

export function figureRows(
  { simulation, seeds, input }: ArcRun,
  ghost: SimulationMetrics | null,
  program: Program,
  plan: Plan,
): FigureRow[] {
  const m = simulation.metrics;
  const measured = t('view.simulator.of-simulated-arc', { seconds: amount('phaseTime', input.seconds) });
  const product = m.meanVoltageV * m.meanCurrentA;
  const offPercent = 100 * (m.meanPowerW / product - 1);
  const laid = bead({
    filler: program.filler,
    diameterMm: program.diameterMm,
    wireFeedMPerMin: program.wireFeedMPerMin,
    travelMmPerMin: program.travelMmPerMin,
  });
  const heat = migEfficiency * arcEnergyKjPerMm(m.meanPowerW, program.travelMmPerMin);
  const row = (
    key: string,
    label: string,
    of: QuantityName,
    pick: (metrics: SimulationMetrics) => number,
    because: string,
    options: { band?: keyof Plan['bands']; digits?: number } = {},
  ): FigureRow => ({
    key,
    label,
    of,
    ...(options.digits === undefined ? {} : { digits: options.digits }),
    value: pick(m),
    band: bandOf(seeds.map(pick), plan, options.band),
    ghost: ghost ? pick(ghost) : null,
    because,
  });
  return [
    row(
      'mean',
      t('view.simulator.mean-current'),
      'current',
      (x) => x.meanCurrentA,
      t('view.simulator.because.mean-current', { measured, seeds: seeds.length }),
      { band: 'meanCurrentA' },
    ),
    row(
      'rms',
      t('view.simulator.rms-current'),
      'current',
      (x) => x.rmsCurrentA,
      t('view.simulator.because.rms-current', { measured }),
      { band: 'rmsCurrentA' },
    ),
    row(
      'volts',
      t('view.simulator.tip-voltage'),
      'voltage',
      (x) => x.meanVoltageV,
      t('view.simulator.because.voltage', { measured }),
      { band: 'voltageV' },
    ),
    row(
      'power',
      t('view.simulator.true-power'),
      'power',
      (x) => x.meanPowerW,
      t('view.simulator.because.power', {
        product: amount('kilowatts', product / 1000, 2),
        off: amount('percent', offPercent, 1),
      }),
      { band: 'meanPowerW' },
    ),
    ...(m.pulseFrequencyHz > 0
      ? [
          row(
            'hz',
            t('view.simulator.fast-pulse-rate'),
            'frequency',
            (x) => x.pulseFrequencyHz,
            t('view.simulator.because.frequency'),
            { band: 'frequencyHz' },
          ),
          row(
            'drops',
            t('view.simulator.drops-a-pulse'),
            'plain',
            (x) => x.dropsPerPulse,
            t('view.simulator.because.drops-per-pulse'),
            { digits: 2 },
          ),
        ]
      : []),
    row(
      'shorts',
      t('view.simulator.shorts-a-second'),
      'plain',
      (x) => x.shortsPerS,
      t('view.simulator.because.shorts'),
      { digits: 0 },
    ),
    row(
      'arc',
      t('view.simulator.arc-length'),
      'shortLength',
      (x) => x.meanArcLengthMm,
      t('view.simulator.because.arc-length', {
        minArcLength: bare('shortLength', m.minArcLengthMm, 1),
        maxArcLength: amount('shortLength', m.maxArcLengthMm, 1),
      }),
      { digits: 1 },
    ),
    row(
      'size',
      t('view.simulator.drop-over-wire'),
      'plain',
      (x) => x.dropFactor,
      t('view.simulator.because.drop-size'),
      {
        digits: 2,
      },
    ),
    row(
      'steady',
      t('view.simulator.steadiness'),
      'plain',
      (x) => x.stabilityIndex,
      t('view.simulator.because.evenness'),
      { digits: 2 },
    ),
    ...(m.regularityIndex > 0
      ? [
          row(
            'regularity',
            t('view.simulator.spread-of-shorts'),
            'plain' as const,
            (x: SimulationMetrics) => x.regularityIndex,
            t('view.simulator.because.dip-regularity'),
            { digits: 2 },
          ),
        ]
      : []),
    row(
      'spatter',
      t('view.simulator.spatter-index'),
      'plain',
      (x) => x.spatterIndex,
      m.lostShare > 0
        ? t('view.simulator.because.spatter-with-loss', { lostShare: amount('percent', 100 * m.lostShare, 0) })
        : t('view.simulator.because.spatter'),
      { digits: 2 },
    ),
    row(
      'heat',
      t('view.simulator.heat-per-length'),
      'heatInput',
      (x) => migEfficiency * arcEnergyKjPerMm(x.meanPowerW, program.travelMmPerMin),
      t('view.simulator.because.heat-input', {
        migEfficiency,
        meanPower: amount('watts', m.meanPowerW, 0),
        travel: amount('travel', program.travelMmPerMin, 0),
        heat: amount('heatInput', heat, 3),
      }),
      { band: 'heatInputKjPerMm' },
    ),
    ...(laid.ok
      ? [
          {
            key: 'leg',
            label: t('view.simulator.leg'),
            of: 'shortLength' as const,
            value: laid.value.legMm,
            band: bandOf([laid.value.legMm], plan, 'legMm'),
            ghost: null,
            because: t('view.simulator.because.leg', { area: amount('area', laid.value.areaMm2, 1) }),
          },
        ]
      : []),
  ];
}
