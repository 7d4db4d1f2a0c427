/**
 * Holds the plan against ordinary practice: npm run practice [table.csv]
 * Prints how many of the figures that hang on its rules lie inside (or within 15 % of the middle), what every constant jittered by 3 % does to that, and how rows
 * are met that the constants were not fitted with: each group is left out, the constants are fitted to the rest, and the group is scored.
 */

import { readFileSync } from 'node:fs';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { planInput, questionOfVerb } from '@fox-tempo/contract';
import { planSetting, type PlanFigures } from '@fox-tempo/core/setting/plan';
import { currentRule, notFitted, sizeRule, thicknessRule, travelRule } from '@fox-tempo/core/setting/plan-rules';
import type { Table } from './sweeps.ts';

type Row = Readonly<Record<string, string>>;

const figures = [
  ['feed', 'MPerMin', (plan: PlanFigures) => plan.wireFeedMPerMin],
  ['current', 'A', (plan: PlanFigures) => plan.meanCurrentA],
  ['volt', 'V', (plan: PlanFigures) => plan.voltageV],
  ['travel', 'MmPerMin', (plan: PlanFigures) => plan.travelMmPerMin],
  ['size', '', (plan: PlanFigures, row: Row) => (row['sizeIs'] === 'leg' ? plan.legMm : plan.areaMm2)],
  ['gas', 'LPerMin', (plan: PlanFigures) => plan.gasFlowLPerMin],
  ['ctwd', 'Mm', (plan: PlanFigures) => plan.ctwdMm],
  ['freq', 'Hz', (plan: PlanFigures) => plan.frequencyHz],
  ['totalArea', 'Mm2', (plan: PlanFigures) => plan.totalAreaMm2],
] as const;

export function readPractice(file = fileURLToPath(new URL('../docs/physics/practice.csv', import.meta.url))): Row[] {
  const [head = '', ...lines] = readFileSync(file, 'utf8').trim().split('\n');
  const keys = head.split(',');
  return lines.map((line) => Object.fromEntries(line.split(',').map((value, at) => [keys[at] ?? '', value])));
}

function planOf(row: Row): PlanFigures | undefined {
  const note = row['note'] ?? '';
  const isV = row['joint'] === 'butt-V60';
  const leg = /leg (\d+)/.exec(note)?.[1];
  const parsed = planInput.safeParse({
    seam: {
      materialGroup: row['material'],
      thicknessesMm: [Number(row['t1Mm']), Number(row['t2Mm'])],
      joint: isV ? 'butt' : row['joint'],
      position: row['position'],
      gapMm: Number(/gap (\d(\.\d)?)/.exec(note)?.[1] ?? (isV ? 2 : 0)),
      lengthMm: 200,
      ...(leg ? { legMm: Number(leg) } : {}),
      ...(isV ? { preparation: { kind: 'v', angleDeg: 60, rootFaceMm: 1 } } : {}),
    },
    arcHabit: 'by-joint',
    filler: row['filler'],
    gas: row['gas'],
    diameterMm: Number(row['diameterMm']),
    mode: row['mode'],
  });
  if (!parsed.success) return undefined;
  const plan = planSetting(questionOfVerb(parsed.data));
  return plan.ok ? plan.value : undefined;
}

export interface Score {
  readonly hits: number;
  readonly all: number;
  readonly whole: number;
  readonly jobs: number;
  /** Sum of squared logarithms beyond the ranges: what a fit makes small. */
  readonly loss: number;
}

export function score(rows: readonly Row[]): Score {
  let [hits, all, whole, loss] = [0, 0, 0, 0];
  for (const row of rows) {
    const plan = planOf(row);
    let missed = false;
    for (const [name, unit, read] of figures) {
      const [low, high] = [Number(row[`${name}${unit}Low`]), Number(row[`${name}${unit}High`])];
      if (!low || !high) continue;
      const value = plan && read(plan, row);
      const isHit =
        typeof value === 'number' &&
        ((value >= low && value <= high) || Math.abs((2 * value) / (low + high) - 1) <= 0.15);
      all++;
      if (isHit) hits++;
      else missed = true;
      const beyond = typeof value === 'number' ? Math.max(Math.log(low / value), Math.log(value / high), 0) : 1;
      loss += beyond * beyond;
    }
    if (!missed) whole++;
  }
  return { hits, all, whole, jobs: rows.length, loss };
}

interface Knob {
  get: () => number;
  set: (value: number) => void;
}

/** Every fitted number of the wishes, found by walking the rules. */
function knobs(): Knob[] {
  const found: Knob[] = [];
  const walk = (rules: Record<string, unknown>) => {
    for (const [key, value] of Object.entries(rules)) {
      if (notFitted.has(key)) continue;
      if (typeof value === 'number')
        found.push({ get: () => rules[key] as number, set: (next) => (rules[key] = next) });
      else if (typeof value === 'object' && value !== null) walk(value as Record<string, unknown>);
    }
  };
  for (const rules of [thicknessRule, currentRule, travelRule, sizeRule]) walk(rules);
  return found;
}

/** Restores the constants after something was tried with them. */
function tried<T>(all: readonly Knob[], work: () => T): T {
  const before = all.map((knob) => knob.get());
  try {
    return work();
  } finally {
    all.forEach((knob, at) => knob.set(before[at] ?? 0));
  }
}

/** Coordinate search by 3 and 1 percent: enough to move a rule where other rows pull it. */
function fit(all: readonly Knob[], rows: readonly Row[]): void {
  let best = score(rows).loss;
  for (const step of [0.03, 0.01]) {
    for (const knob of all) {
      for (const by of [1 + step, 1 - step]) {
        const was = knob.get();
        knob.set(was * by);
        const { loss } = score(rows);
        if (loss < best) best = loss;
        else knob.set(was);
      }
    }
  }
}

const groups: readonly (readonly [string, (row: Row) => boolean])[] = [
  ['steel in pulse', (row) => row['material'] === 'steel' && row['mode'] === 'pulse'],
  ['steel in dip', (row) => row['material'] === 'steel' && row['mode'] === 'dip'],
  ['spray and cored', (row) => row['mode'] === 'spray' || row['mode'] === 'cored'],
  ['stainless', (row) => row['material'] === 'stainless'],
  ['aluminium', (row) => row['material'] === 'aluminium'],
  ['brazed', (row) => row['material'] === 'galvanised'],
  ['out of position', (row) => ['PF', 'PG', 'PD'].includes(row['position'] ?? '')],
  ['butts and corners', (row) => /butt|corner/.test(row['joint'] ?? '')],
];

/** A small even stream of numbers around zero, the same on every run. */
function normals(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
  return () => (uniform() + uniform() + uniform() + uniform() - 2) * Math.sqrt(3);
}

const percent = ({ hits, all }: Score) => `${((100 * hits) / all).toFixed(0)} %`;

export function practiceTable(rows: readonly Row[]): Table {
  const all = knobs();
  const whole = score(rows);
  const jittered = Array.from({ length: 12 }, (_, seed) =>
    tried(all, () => {
      const next = normals(seed + 1);
      for (const knob of all) knob.set(knob.get() * (1 + 0.03 * next()));
      const { hits, all: count } = score(rows);
      return (100 * hits) / count;
    }),
  ).sort((a, b) => a - b);
  const middle = jittered[Math.floor(jittered.length / 2)] ?? 0;
  return {
    title: `${all.length} constants, ${rows.length} jobs`,
    head: ['rows', 'jobs', 'inside, as shipped', 'inside, fitted without them'],
    rows: [
      ['all', String(whole.jobs), `${percent(whole)}, ${whole.whole} jobs whole`, ''],
      [
        'all, every constant jittered by 3 %',
        '12 draws',
        `${middle.toFixed(0)} % in the middle, ${(jittered[0] ?? 0).toFixed(0)} to ${(jittered.at(-1) ?? 0).toFixed(0)} %`,
        '',
      ],
      ...groups.map(([name, isOf]) => {
        const inside = rows.filter(isOf);
        const without = tried(all, () => {
          fit(
            all,
            rows.filter((row) => !isOf(row)),
          );
          return score(inside);
        });
        return [name, String(inside.length), percent(score(inside)), percent(without)];
      }),
    ],
  };
}

if (process.argv[1] !== undefined && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const table = practiceTable(readPractice(process.argv[2]));
  process.stdout.write(`${table.title}\n${[table.head, ...table.rows].map((row) => row.join(' | ')).join('\n')}\n`);
}
