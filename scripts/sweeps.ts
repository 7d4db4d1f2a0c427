/**
 * Sweeps of the simulated arc as tables: npm run sweeps -- [trim | stick-out | alloys | gases]
 * Also called by the script that draws docs/physics, so that the tables there are the code's own.
 */
import { standardSite } from '@fox-tempo/core/site';
import { inEnglish } from '@fox-tempo/words/english';
import { pathToFileURL } from 'node:url';
import { planSeam, type PlanInput } from '@fox-tempo/core/setting/plan';
import { simulate, type SimulationInput, type SimulationMetrics } from '@fox-tempo/core/weld/simulation';

export interface Table {
  readonly title: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

const steel: Omit<SimulationInput, 'source'> = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 5.5,
  ctwdMm: 17.5,
  seconds: 2,
  seed: 7,
};

function run(input: SimulationInput): { metrics: SimulationMetrics; transferMode: string } {
  const result = simulate(input);
  if (!result.ok) throw new Error(inEnglish(result.issues.map((issue) => issue.message)).join(' '));
  return result.value;
}
const n = (value: number, digits: number) => value.toFixed(digits);

/** From crackle through hum to too long. */
export function trimSweep(): Table {
  return {
    title: 'Trim at 5.5 m/min, steel 1.2 mm in argon with 18 % CO2, frequency school',
    head: ['trim mm', 'arc mm', 'shorts/s', 'drops/pulse', 'Hz', 'mean V', 'true power / (U x I)', 'what it is'],
    rows: [-4.4, -4, -3.5, -3, -2, -1, 0, 1, 2, 3, 4].map((trim) => {
      const { metrics: m, transferMode } = run({ ...steel, source: { kind: 'pulse', trim } });
      return [
        n(trim, 1),
        n(m.meanArcLengthMm, 2),
        n(m.shortsPerS, 1),
        n(m.dropsPerPulse, 2),
        n(m.pulseFrequencyHz, 0),
        n(m.meanVoltageV, 1),
        n(m.meanPowerW / (m.meanVoltageV * m.meanCurrentA), 3),
        transferMode,
      ];
    }),
  };
}

/** The hand 6 mm further out, in constant voltage and in each pulse school. */
export function stickOutChange(): Table {
  const sources: [string, Partial<SimulationInput>, SimulationInput['source']][] = [
    [
      'constant voltage, dip',
      { diameterMm: 1, wireFeedMPerMin: 4.5, ctwdMm: 12 },
      { kind: 'constant-voltage', voltageV: 19 },
    ],
    ['constant voltage, spray', { wireFeedMPerMin: 10 }, { kind: 'constant-voltage', voltageV: 34 }],
    ['pulse, frequency follows', {}, { kind: 'pulse', voltageV: 24.7, control: 'frequency' }],
    ['pulse, background follows', {}, { kind: 'pulse', voltageV: 24.7, control: 'background' }],
    ['pulse, peak follows', {}, { kind: 'pulse', voltageV: 24.7, control: 'peak' }],
  ];
  return {
    title: 'Stick-out 6 mm further out at the same dials',
    head: ['source', 'mean A', 'then', 'arc mm', 'then', 'Hz', 'then', 'W', 'then'],
    rows: sources.map(([name, change, source]) => {
      const near = { ...steel, ...change };
      const [a, b] = [near.ctwdMm, near.ctwdMm + 6].map((ctwdMm) => run({ ...near, ctwdMm, source }).metrics) as [
        SimulationMetrics,
        SimulationMetrics,
      ];
      return [
        name,
        n(a.meanCurrentA, 0),
        n(b.meanCurrentA, 0),
        n(a.meanArcLengthMm, 2),
        n(b.meanArcLengthMm, 2),
        n(a.pulseFrequencyHz, 0),
        n(b.pulseFrequencyHz, 0),
        n(a.meanPowerW, 0),
        n(b.meanPowerW, 0),
      ];
    }),
  };
}

/** One aluminium seam in AlSi5 and in AlMg5. */
export function alloys(): Table {
  const seam: PlanInput = {
    seam: { materialGroup: 'aluminium', thicknessesMm: [3, 3], joint: 'tee', position: 'PB', gapMm: 0, lengthMm: 500 },
    arcHabit: 'by-joint',
    site: standardSite,
    filler: 'aluminium-4043',
    gas: 'I1',
    diameterMm: 1.2,
    mode: 'pulse',
  };
  return {
    title: 'Aluminium tee 3 + 3 mm in PB, 1.2 mm wire in argon: the same seam in two alloys',
    head: ['wire', 'feed m/min', 'mean A', 'tip V', 'Hz', 'travel mm/min', 'kJ/mm'],
    rows: (['aluminium-4043', 'aluminium-5356'] as const).map((filler) => {
      const plan = planSeam({ ...seam, filler });
      if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
      const p = plan.value;
      return [
        filler,
        n(p.wireFeedMPerMin, 2),
        n(p.meanCurrentA, 0),
        n(p.voltageV, 1),
        n(p.frequencyHz ?? 0, 0),
        n(p.travelMmPerMin, 0),
        n(p.heatInputKjPerMm, 3),
      ];
    }),
  };
}

/** Argon mix against CO2 in dip, volt by volt. */
export function gases(): Table {
  const dip = { ...steel, diameterMm: 1, wireFeedMPerMin: 4.5, ctwdMm: 12, seconds: 1 };
  return {
    title: 'Dip, steel 1.0 mm at 4.5 m/min: argon with 18 % CO2 against CO2',
    head: [
      'volts',
      'mix: shorts/s',
      'rupture A',
      'steady',
      'what it is',
      'CO2: shorts/s',
      'rupture A',
      'steady',
      'what it is',
    ],
    rows: [14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26].map((voltageV) => [
      n(voltageV, 0),
      ...(['M21-ArC-18', 'C1'] as const).flatMap((gas) => {
        const { metrics: m, transferMode } = run({ ...dip, gas, source: { kind: 'constant-voltage', voltageV } });
        return [n(m.shortsPerS, 0), n(m.ruptureCurrentA, 0), n(m.stabilityIndex, 2), transferMode];
      }),
    ]),
  };
}

export const sweeps = { trim: trimSweep, 'stick-out': stickOutChange, alloys, gases } as const;

function print({ title, head, rows }: Table): void {
  const widths = head.map((cell, column) => Math.max(cell.length, ...rows.map((row) => (row[column] ?? '').length)));
  const line = (cells: readonly string[]) => cells.map((cell, column) => cell.padStart(widths[column] ?? 0)).join('  ');
  console.log(`\n${title}\n\n${line(head)}\n${rows.map(line).join('\n')}`);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const asked = process.argv[2];
  const names = (Object.keys(sweeps) as (keyof typeof sweeps)[]).filter(
    (name) => asked === undefined || name === asked,
  );
  if (names.length === 0)
    console.error(`There is no sweep "${asked ?? ''}"; known are ${Object.keys(sweeps).join(', ')}.`);
  for (const name of names) print(sweeps[name]());
}
