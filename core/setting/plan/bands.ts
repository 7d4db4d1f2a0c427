/**
 * Bands of a plan. Each constant is moved by its own error, one at a time, and the answers are combined in quadrature, upward and downward apart:
 * what a fixed feed does (current, volts, heat) and what feed the rules would propose are separate questions and get separate bands.
 */
import { constantErrors } from '../../metal/arc/index.ts';
import { fillerOf } from '../../metal/consumables/index.ts';
import { neutralPlanNudges, planFigures, type PlanFigures, type PlanNudges, type Workings } from './figures.ts';
import type { PlanInput } from './input.ts';
import { jointRule } from './joints.ts';
import { dipVolts } from './mode-model.ts';
import { referenceCurrentError } from './practice.ts';

export type Band = readonly [number, number];
export type Bands = Readonly<Partial<Record<keyof PlanFigures, Band>>>;

type Sigma = readonly [key: keyof PlanNudges, size: number];

/** Figures predicted for the feed that is set. */
const predicted = [
  'meanCurrentA',
  'rmsCurrentA',
  'frequencyHz',
  'backgroundCurrentA',
  'voltageV',
  'machineVoltageV',
  'meanPowerW',
  'travelMmPerMin',
  'heatInputKjPerMm',
  'arcSeconds',
  'wireGrams',
  'gasLitres',
] as const;

export function planBands(input: PlanInput, { figures, model }: Workings): Bands {
  const areaError = jointRule(input.seam.joint).areaError;
  const melting: Sigma = ['melting', fillerOf(input.filler).meltingError];
  const area: Sigma = ['area', areaError];
  const moved = perturbed({ ...input, wireFeedMPerMin: figures.wireFeedMPerMin }, [
    melting,
    area,
    // Dip's voltage is a rule of practice with an error of its own.
    ['arcVoltageV', input.mode === 'dip' ? dipVolts.errorV : constantErrors.arcVoltageV],
    ['arcResistance', constantErrors.arcResistance],
    ['arcField', constantErrors.arcField],
    ['detachment', constantErrors.detachment],
    ['transition', constantErrors.transition],
    ['dropFactor', constantErrors.dropFactor],
  ]);
  const reproposed = perturbed({ ...input, wireFeedMPerMin: undefined }, [
    melting,
    area,
    ['referenceCurrent', referenceCurrentError],
  ]);

  const bands: Partial<Record<keyof PlanFigures, Band>> = {};
  for (const key of predicted) {
    const value = figures[key];
    if (value !== null) bands[key] = spread(value, moved, (other) => other[key] ?? value);
  }
  bands.proposedFeedMPerMin = spread(figures.proposedFeedMPerMin, reproposed, (other) => other.proposedFeedMPerMin);
  if (input.wireFeedMPerMin === undefined) bands.wireFeedMPerMin = bands.proposedFeedMPerMin;
  if (figures.legMm !== null) {
    // A bead fuller or leaner by the area's error has a leg that moves by half of it.
    bands.legMm = [figures.legMm * (1 - areaError / 2), figures.legMm * (1 + areaError / 2)];
  }
  bands.arcLengthMm = model.arc.range;
  bands.ctwdMm = model.ctwdRangeMm;
  bands.gasFlowLPerMin = [
    Math.min(model.flow.range[0], figures.gasFlowLPerMin),
    Math.max(model.flow.range[1], figures.gasFlowLPerMin),
  ];
  return bands;
}

type Moves = readonly (readonly [PlanFigures | undefined, PlanFigures | undefined])[];

function perturbed(input: PlanInput, sigmas: readonly Sigma[]): Moves {
  return sigmas.map(([key, size]) => {
    const at = (sign: number) => {
      const outcome = planFigures(input, { ...neutralPlanNudges, [key]: neutralPlanNudges[key] + sign * size });
      return outcome.ok ? outcome.workings.figures : undefined;
    };
    return [at(-1), at(1)] as const;
  });
}

/** Combines one-at-a-time moves in quadrature; a move without a solution on one side borrows the other side's size. */
function spread(value: number, moves: Moves, read: (figures: PlanFigures) => number): Band {
  let up = 0;
  let down = 0;
  for (const pair of moves) {
    const deltas = pair.flatMap((figures) => (figures ? [read(figures) - value] : []));
    const lonely = deltas.length === 1 ? Math.abs(deltas[0] ?? 0) : 0;
    up += Math.max(0, lonely, ...deltas) ** 2;
    down += Math.min(0, -lonely, ...deltas) ** 2;
  }
  return [value - Math.sqrt(down), value + Math.sqrt(up)];
}
