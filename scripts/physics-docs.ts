/** Draws the pictures of docs/physics from the code, and writes the tables between the marks in its pages: npm run physics */
import { standardSite } from '@fox-tempo/core/site';
import { inEnglish } from '@fox-tempo/words/english';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { FillerCode } from '@fox-tempo/core/metal/consumables';
import { melt } from '@fox-tempo/core/metal/melting';
import { planSeam } from '@fox-tempo/core/setting/plan';
import { solvePulse } from '@fox-tempo/core/setting/pulse';
import { simulate, type SimulationInput } from '@fox-tempo/core/weld/simulation';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TitleComponent } from 'echarts/components';
import { init, use as registerCharts } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { withAssumptions } from './lib/assumptions.ts';
import { practiceTable, readPractice } from './practice.ts';
import { sweeps as armSweeps, type Table } from './sweeps.ts';

const sweeps = { ...armSweeps, practice: () => practiceTable(readPractice()) };

registerCharts([LineChart, ScatterChart, GridComponent, LegendComponent, TitleComponent, SVGRenderer]);

const folder = fileURLToPath(new URL('../docs/physics/', import.meta.url));
const ink = '#25211B';
const palette = ['#A8431C', '#2F5D86', '#2C6653', '#83560A', '#6A6053', '#A3182B'];

interface Series {
  readonly name: string;
  readonly points: readonly (readonly [number, number])[];
  /** Drawn as marks: observations, not the model. */
  readonly marks?: boolean;
  /** Second axis at the right. */
  readonly right?: boolean;
}

function draw(file: string, title: string, x: string, y: string, series: readonly Series[], right?: string): void {
  const chart = init(null, null, { renderer: 'svg', ssr: true, width: 760, height: 420 });
  const axis = (name: string) => ({
    type: 'value' as const,
    name,
    nameLocation: 'middle' as const,
    nameGap: 34,
    scale: true,
    nameTextStyle: { color: ink },
    axisLabel: { color: ink },
  });
  chart.setOption({
    animation: false,
    color: palette,
    backgroundColor: '#FCF9F2',
    textStyle: { fontFamily: 'sans-serif' },
    title: { text: title, left: 16, top: 8, textStyle: { color: ink, fontSize: 15 } },
    legend: { top: 34, left: 16, itemGap: 24, itemWidth: 18, textStyle: { color: ink, padding: [0, 14, 0, 0] } },
    grid: { left: 62, right: right ? 62 : 24, top: 84, bottom: 54 },
    xAxis: axis(x),
    yAxis: right ? [axis(y), { ...axis(right), splitLine: { show: false } }] : axis(y),
    series: series.map(({ name, points, marks, right: isRight }) => ({
      name,
      type: marks ? ('scatter' as const) : ('line' as const),
      yAxisIndex: isRight ? 1 : 0,
      showSymbol: false,
      symbolSize: 9,
      data: points.map((point) => [...point]),
      ...(isRight ? { lineStyle: { type: 'dashed' as const } } : {}),
    })),
  });
  // Ids count up over a process; a picture must not change because another was drawn before it.
  writeFileSync(`${folder}${file}`, `${chart.renderToSVGString().replace(/zr\d+-/g, 'zr-')}\n`);
  chart.dispose();
}

const range = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);

function melting(): void {
  const wires: [string, FillerCode, number, number, number, number][] = [
    ['steel 0.889 mm, 10 mm', 'steel-solid', 0.889, 10, 5, 17],
    ['steel 1.143 mm, 12 mm', 'steel-solid', 1.143, 12, 4, 14],
    ['AlSi5 1.2 mm, 13 mm', 'aluminium-4043', 1.2, 13, 4, 14],
    ['AlMg5 1.2 mm, 13 mm', 'aluminium-5356', 1.2, 13, 4, 16],
    ['stainless 1.0 mm, 11 mm', 'stainless-solid', 1, 11, 4, 14],
  ];
  const lines = wires.map(([name, filler, diameterMm, extensionMm, from, to]): Series => ({
    name,
    points: range(from, to, 0.5).flatMap((wireFeedMPerMin) => {
      const result = melt({ filler, diameterMm, extensionMm, wireFeedMPerMin });
      return result.ok ? [[wireFeedMPerMin, result.value.currentA] as const] : [];
    }),
  }));
  const published: Series = {
    name: 'published operating points',
    marks: true,
    points: [
      [9.53, 195],
      [12.7, 230],
      [15.24, 275],
      [8.89, 285],
      [12.06, 335],
      [7, 150],
    ],
  };
  draw('melting.svg', 'Steady current against wire feed', 'wire feed, m/min', 'current, A', [...lines, published]);
}

function pulse(): void {
  const steel = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.2, extensionMm: 13 } as const;
  const solved = range(1.5, 14, 0.25).flatMap((wireFeedMPerMin) => {
    const result = solvePulse({ ...steel, wireFeedMPerMin });
    return result.ok ? [result.value] : [];
  });
  const against = (read: (value: (typeof solved)[number]) => number) =>
    solved.map((value) => [value.meltedMPerMin, read(value)] as const);
  draw(
    'pulse.svg',
    'One drop a pulse: steel 1.2 mm in argon with 18 % CO2, 13 mm of wire',
    'wire feed, m/min',
    'A or Hz',
    [
      { name: 'frequency, Hz', points: against((value) => value.frequencyHz) },
      { name: 'background, A', points: against((value) => value.backgroundCurrentA) },
      { name: 'mean, A', points: against((value) => value.meanCurrentA) },
      { name: 'rms, A', points: against((value) => value.rmsCurrentA) },
      {
        name: 'reference case',
        marks: true,
        points: [
          [5.5, 115],
          [5.5, 114],
          [5.5, 190],
        ],
      },
    ],
  );
}

function simulated(input: SimulationInput) {
  const result = simulate(input);
  if (!result.ok) throw new Error(inEnglish(result.issues[0]?.message));
  return result.value.metrics;
}

function trim(): void {
  const at = range(-4.6, 4, 0.2).map((value) => ({
    trim: value,
    m: simulated({
      filler: 'steel-solid',
      gas: 'M21-ArC-18',
      diameterMm: 1.2,
      wireFeedMPerMin: 5.5,
      ctwdMm: 17.5,
      seconds: 1.5,
      seed: 7,
      source: { kind: 'pulse', trim: value },
    }),
  }));
  draw(
    'trim.svg',
    'Trim: from crackle through hum to too long (simulated)',
    'trim, mm against the line',
    'arc length, mm',
    [
      { name: 'mean arc, mm', points: at.map(({ trim: x, m }) => [x, m.meanArcLengthMm] as const) },
      { name: 'lowest arc, mm', points: at.map(({ trim: x, m }) => [x, m.minArcLengthMm] as const) },
      { name: 'shorts a second', right: true, points: at.map(({ trim: x, m }) => [x, m.shortsPerS] as const) },
    ],
    'shorts a second',
  );
}

function dip(): void {
  const line = (gas: string) =>
    range(13, 27, 0.5).map(
      (voltageV) =>
        [
          voltageV,
          simulated({
            filler: 'steel-solid',
            gas,
            diameterMm: 1,
            wireFeedMPerMin: 4.5,
            ctwdMm: 12,
            seconds: 1,
            seed: 7,
            source: { kind: 'constant-voltage', voltageV },
          }),
        ] as const,
    );
  const [mix, co2] = [line('M21-ArC-18'), line('C1')];
  draw(
    'dip.svg',
    'Dip, steel 1.0 mm at 4.5 m/min (simulated)',
    'voltage of the source, V',
    'shorts a second',
    [
      { name: 'argon with 18 % CO2: shorts', points: mix.map(([v, m]) => [v, m.shortsPerS] as const) },
      { name: 'CO2: shorts', points: co2.map(([v, m]) => [v, m.shortsPerS] as const) },
      {
        name: 'argon mix: current at rupture',
        right: true,
        points: mix.map(([v, m]) => [v, m.ruptureCurrentA] as const),
      },
      { name: 'CO2: current at rupture', right: true, points: co2.map(([v, m]) => [v, m.ruptureCurrentA] as const) },
    ],
    'current at rupture, A',
  );
}

function plan(): void {
  const line = (joint: 'tee' | 'butt' | 'corner-outside', name: string): Series => ({
    name,
    points: range(1, 8, 0.25).flatMap((t) => {
      const result = planSeam({
        seam: { materialGroup: 'steel', thicknessesMm: [t, t], joint, position: 'PB', gapMm: 0, lengthMm: 300 },
        arcHabit: 'by-joint',
        site: standardSite,
        filler: 'steel-solid',
        gas: 'M21-ArC-18',
        diameterMm: 1.2,
        mode: 'pulse',
      });
      return result.ok ? [[t, result.value.meanCurrentA] as const] : [];
    }),
  });
  draw('plan.svg', 'Planned mean current, steel in PB, 1.2 mm wire', 'thickness of both parts, mm', 'mean current, A', [
    line('tee', 'tee'),
    line('butt', 'butt'),
    line('corner-outside', 'outside corner'),
    {
      name: 'general practice, fillet (middle of the ranges)',
      marks: true,
      points: [
        [1, 73],
        [2, 117],
        [3, 150],
        [5, 210],
        [6, 231],
        [8, 269],
      ],
    },
  ]);
}

function markdown({ title, head, rows }: Table): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [`*${title}*`, '', line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n');
}

/** Fills `<!-- table NAME -->` … `<!-- end -->` in every page. */
function tables(): void {
  for (const file of readdirSync(folder).filter((name) => name.endsWith('.md'))) {
    const text = readFileSync(folder + file, 'utf8');
    const filled = text.replace(/<!-- table ([\w-]+) -->[\s\S]*?<!-- end -->/g, (whole, name: string) =>
      Object.hasOwn(sweeps, name)
        ? `<!-- table ${name} -->\n\n${markdown(sweeps[name as keyof typeof sweeps]())}\n\n<!-- end -->`
        : whole,
    );
    if (filled !== text) writeFileSync(folder + file, filled);
  }
}

melting();
pulse();
trim();
dip();
plan();
tables();

const limits = fileURLToPath(new URL('../docs/limits.md', import.meta.url));
writeFileSync(limits, withAssumptions(readFileSync(limits, 'utf8')));
