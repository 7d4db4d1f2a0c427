/** What a simulated arc says in numbers: each with the spread of its runs or the model's own error, and the sum behind it. */
import { bead } from '@fox-tempo/core/bead';
import { arcEnergyKjPerMm, migEfficiency } from '@fox-tempo/core/heat';
import type { Program } from '@fox-tempo/core/machine';
import type { Plan } from '@fox-tempo/core/plan';
import type { SimulationMetrics } from '@fox-tempo/core/simulation';
import type { QuantityName } from '@fox-tempo/core/units';
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

/** Spread of the seeds, widened by the model's own relative error where the plan knows it. */
function bandOf(values: readonly number[], plan: Plan, key?: keyof Plan['bands']): readonly [number, number] | null {
  if (values.length === 0) return null;
  const low = Math.min(...values);
  const high = Math.max(...values);
  const planned = key === undefined ? undefined : plan[key as 'meanCurrentA'];
  const band = key === undefined ? undefined : plan.bands[key];
  if (!band || typeof planned !== 'number' || planned === 0) return values.length > 1 ? [low, high] : null;
  return [low * (band[0] / planned), high * (band[1] / planned)];
}

export function figureRows(
  { simulation, seeds, input }: ArcRun,
  ghost: SimulationMetrics | null,
  program: Program,
  plan: Plan,
): FigureRow[] {
  const m = simulation.metrics;
  const measured = `${input.seconds} s of simulated arc`;
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
      'Mean current',
      'current',
      (x) => x.meanCurrentA,
      `mean of i over ${measured}; spread of ${seeds.length} runs, and the melting table’s own error`,
      { band: 'meanCurrentA' },
    ),
    row(
      'rms',
      'Rms current',
      'current',
      (x) => x.rmsCurrentA,
      `root of the mean of i² over ${measured}: what warms wire, leads and source`,
    ),
    row(
      'volts',
      'Voltage at the tip',
      'voltage',
      (x) => x.meanVoltageV,
      `mean of u = V0 + Ra i + E l and what the wire drops, over ${measured}`,
      { band: 'voltageV' },
    ),
    row(
      'power',
      'True power',
      'power',
      (x) => x.meanPowerW,
      `mean of u · i at every step; mean U × mean I is ${(product / 1000).toFixed(2)} kW, off by ${offPercent.toFixed(1)} %`,
      { band: 'meanPowerW' },
    ),
    ...(m.pulseFrequencyHz > 0
      ? [
          row(
            'hz',
            'Fast pulse rate',
            'frequency',
            (x) => x.pulseFrequencyHz,
            'pulses counted; the source moves them so that the mean voltage keeps to its set-point',
          ),
          row(
            'drops',
            'Drops a pulse',
            'plain',
            (x) => x.dropsPerPulse,
            'drops that left, shorts among them, over pulses; one is wanted',
            { digits: 2 },
          ),
        ]
      : []),
    row('shorts', 'Shorts a second', 'plain', (x) => x.shortsPerS, 'times the drop touched the pool', { digits: 0 }),
    row(
      'arc',
      'Arc length',
      'shortLength',
      (x) => x.meanArcLengthMm,
      `underside of the drop to the plate while lit; swings from ${m.minArcLengthMm.toFixed(1)} to ${m.maxArcLengthMm.toFixed(1)} mm`,
      { digits: 1 },
    ),
    row('size', 'Drop over wire', 'plain', (x) => x.dropFactor, 'mean diameter of what left over the wire’s diameter', {
      digits: 2,
    }),
    row(
      'steady',
      'Steadiness',
      'plain',
      (x) => x.stabilityIndex,
      '1 for drops like clockwork, 0.37 for drops at random: e to the minus spread of their intervals',
      { digits: 2 },
    ),
    ...(m.regularityIndex > 0
      ? [
          row(
            'regularity',
            'Spread of shorts',
            'plain' as const,
            (x: SimulationMetrics) => x.regularityIndex,
            'spread over mean of the shorts plus that of the arcs between them; 0.6 to 1.2 in good dip',
            { digits: 2 },
          ),
        ]
      : []),
    row(
      'spatter',
      'Spatter index',
      'plain',
      (x) => x.spatterIndex,
      m.lostShare > 0
        ? `a hundredth of the sum of (current at rupture / 100 A)² a second, and a tenth of the ${(100 * m.lostShare).toFixed(0)} % of wire bent away or burst off`
        : 'a hundredth of the sum of (current at rupture / 100 A)² a second; compares settings, weighs nothing',
      { digits: 2 },
    ),
    row(
      'heat',
      'Heat per length',
      'heatInput',
      (x) => migEfficiency * arcEnergyKjPerMm(x.meanPowerW, program.travelMmPerMin),
      `${migEfficiency} × ${m.meanPowerW.toFixed(0)} W / ${program.travelMmPerMin.toFixed(0)} mm/min = ${heat.toFixed(3)} kJ/mm`,
      { band: 'heatInputKjPerMm' },
    ),
    ...(laid.ok
      ? [
          {
            key: 'leg',
            label: 'Leg at this pace',
            of: 'shortLength' as const,
            value: laid.value.legMm,
            band: bandOf([laid.value.legMm], plan, 'legMm'),
            ghost: null,
            because: `feed × wire area × yield / travel = ${laid.value.areaMm2.toFixed(1)} mm²; leg = √(2 A / 1.10)`,
          },
        ]
      : []),
  ];
}
