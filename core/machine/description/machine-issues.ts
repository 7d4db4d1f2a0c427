/** Everything that makes a machine file impossible to use, each named with its place: what cannot be inverted, leans on itself, or says one thing twice. */
import type { Issue } from '../../outcome/index.ts';
import type { Dial, Machine, TriggerMode } from './machine.ts';
import { quantityFacts, type DialQuantity } from './quantities.ts';
import { isNumeric, quantityOf, type DialScale, type SteppedScale } from './scales.ts';

export function machineIssues(machine: Machine): Issue[] {
  const { dials, chartLines, limits, triggerModes, feeders } = machine;
  return [
    ...dials.flatMap((dial, at) => scaleIssues(dial.scale, `dials.${at}.scale`, dial.label)),
    ...repeated(dials.map((dial) => dial.id)).map(([at, id]) => twice(`dials.${at}.id`, `the dial id "${id}"`, id)),
    ...repeated(chartLines.map((line) => line.number)).map(([at, number]) =>
      twice(`chartLines.${at}.number`, `chart line ${number}`, number),
    ),
    ...repeated(feeders.map((feeder) => feeder.id)).map(([at, id]) =>
      twice(`feeders.${at}.id`, `the feeder "${id}"`, id),
    ),
    ...percentIssues(dials),
    ...sameQuantityIssues(dials),
    ...draggingIssues(dials),
    ...chartDialIssues(dials),
    ...limitIssues(limits),
    ...triggerModes.flatMap((mode, at) => triggerIssues(mode, `triggerModes.${at}`)),
  ];
}

/** Positions of the finest dial: a thousandth of a per cent. */
const mostSteps = 100_000;
/** No dial, switch or display shows a larger figure. */
const largestFigure = 1_000_000;

function scaleIssues(scale: DialScale, path: string, label: string): Issue[] {
  if (scale.kind === 'chart-line') return [];
  if (scale.kind === 'named') {
    const said = repeated(scale.positions.flatMap((position) => position.is));
    return said.map(([, word]) => ({
      path: `${path}.positions`,
      code: 'overlapping-positions',
      message: `Two positions of ${label} both mean "${word}": a program could not choose between them.`,
      got: word,
    }));
  }
  if (scale.kind === 'stepped') return steppedIssues(scale, path, label);
  const issues: Issue[] = [];
  const { min, max, step } = scale;
  if (min >= max) {
    issues.push({
      path: `${path}.max`,
      code: 'reversed-range',
      message: `${label} must end above where it begins; got ${min} to ${max}.`,
      limit: min,
      got: max,
      hint: 'A dial that runs the other way keeps its numbers rising and takes a negative quantity per unit.',
    });
  } else if (step > max - min) {
    issues.push({
      path: `${path}.step`,
      code: 'step-too-wide',
      message: `A step of ${step} is wider than all of ${label}, ${min} to ${max}.`,
      limit: max - min,
      got: step,
    });
  }
  if (min < max && (max - min) / step > mostSteps) {
    issues.push({
      path: `${path}.step`,
      code: 'step-too-fine',
      message: `A step of ${step} makes ${((max - min) / step).toExponential(1)} positions of ${label}; a dial has up to ${mostSteps}.`,
      limit: (max - min) / mostSteps,
      got: step,
    });
  }
  for (const [key, figure] of Object.entries(scale)) {
    if (typeof figure !== 'number' || (Number.isFinite(figure) && Math.abs(figure) <= largestFigure)) continue;
    issues.push({
      path: `${path}.${key}`,
      code: 'out-of-range',
      message: `${label}: ${key} must lie between −${largestFigure} and ${largestFigure}; got ${figure}.`,
      limit: largestFigure,
      got: figure,
    });
  }
  const flat =
    (scale.kind === 'linear' && scale.quantityPerUnit === 0) ||
    (scale.kind === 'line-offset' && scale.voltsPerUnit === 0) ||
    (scale.kind === 'inverse' && scale.product === 0);
  if (flat) issues.push(cannotInvert(path, label, 'it moves nothing'));
  if (scale.kind === 'inverse' && min <= 0 && max >= 0) {
    issues.push(cannotInvert(path, label, 'its travel holds 0, where an inverse scale has no figure'));
  }
  if (scale.kind === 'linear' && scale.also?.quantity === scale.quantity) {
    issues.push({
      path: `${path}.also.quantity`,
      code: 'drags-itself',
      message: `${label} cannot drag along the quantity that it moves, ${quantityFacts(scale.quantity).name}.`,
      got: scale.quantity,
    });
  }
  return issues;
}

function steppedIssues({ positions, quantity }: SteppedScale, path: string, label: string): Issue[] {
  if (positions.length < 2) return [cannotInvert(`${path}.positions`, label, 'it has fewer than two positions')];
  const figures = positions.map((position) => position.quantity);
  const rising = figures.every((figure, at) => at === 0 || figure > (figures[at - 1] ?? figure));
  const falling = figures.every((figure, at) => at === 0 || figure < (figures[at - 1] ?? figure));
  if (rising || falling) return [];
  const wrong = figures.findIndex((figure, at) => at > 0 && figure <= (figures[at - 1] ?? figure));
  return [
    cannotInvert(
      `${path}.positions.${wrong}`,
      label,
      `its positions neither rise nor fall throughout in ${quantityFacts(quantity).name}`,
    ),
  ];
}

function cannotInvert(path: string, label: string, why: string): Issue {
  return {
    path,
    code: 'cannot-be-inverted',
    message: `${label} cannot be read back, because ${why}.`,
    hint: 'Every dial value must stand for one figure, and every figure for one dial value.',
  };
}

function percentIssues(dials: readonly Dial[]): Issue[] {
  return dials.flatMap(({ id, label, scale }, at): Issue[] => {
    if (scale.kind !== 'percent-of') return [];
    const path = `dials.${at}.scale.of`;
    const base = dials.find((dial) => dial.id === scale.of);
    if (!base) {
      return [
        {
          path,
          code: 'unknown-dial',
          message: `${label} is a percentage of "${scale.of}", which is no dial here.`,
          got: scale.of,
        },
      ];
    }
    if (!isNumeric(base.scale)) {
      return [
        {
          path,
          code: 'not-a-number',
          message: `${label} is a percentage of ${base.label}, which has no number.`,
          got: scale.of,
        },
      ];
    }
    const loop = loopFrom(id, dials);
    return loop
      ? [
          {
            path,
            code: 'percent-cycle',
            message: `${label} leans on itself: ${loop.join(' → ')}.`,
            got: scale.of,
            hint: 'One of these dials must be absolute.',
          },
        ]
      : [];
  });
}

/** The dials from `id` back to itself, when percentages lead there. */
function loopFrom(id: string, dials: readonly Dial[]): string[] | undefined {
  const way = [id];
  let at = id;
  for (;;) {
    const scale = dials.find((dial) => dial.id === at)?.scale;
    if (scale?.kind !== 'percent-of') return undefined;
    way.push(scale.of);
    if (scale.of === id) return way;
    if (way.length > dials.length + 1) return undefined;
    at = scale.of;
  }
}

/** Two dials for one quantity in one mode: which of them would a program be told to? */
function sameQuantityIssues(dials: readonly Dial[]): Issue[] {
  const issues: Issue[] = [];
  const seen: { quantity: DialQuantity; dial: Dial }[] = [];
  for (const [at, dial] of dials.entries()) {
    if (!isNumeric(dial.scale)) continue;
    const quantity = quantityOf(dial.scale);
    const other = seen.find((one) => one.quantity === quantity && modesOverlap(one.dial, dial));
    if (other) {
      issues.push({
        path: `dials.${at}.scale.quantity`,
        code: 'overlapping-dials',
        message: `${other.dial.label} and ${dial.label} both move ${quantityFacts(quantity).name}, in the same mode.`,
        got: quantity,
        hint: 'Limit them to different modes, or take one off.',
      });
    } else {
      seen.push({ quantity, dial });
    }
  }
  return issues;
}

function modesOverlap(a: Dial, b: Dial): boolean {
  return !a.modes || !b.modes || a.modes.some((mode) => b.modes?.includes(mode));
}

/** Two dials that each drag what the other moves could be chased for ever. */
function draggingIssues(dials: readonly Dial[]): Issue[] {
  const linear = dials.flatMap((dial, at) =>
    dial.scale.kind === 'linear' && dial.scale.also ? [{ dial, at, scale: dial.scale }] : [],
  );
  return linear.flatMap(({ dial, at, scale }) => {
    const other = linear.find((one) => one.scale.quantity === scale.also?.quantity && one.dial.id !== dial.id);
    return other
      ? [
          {
            path: `dials.${at}.scale.also`,
            code: 'dragging-cycle',
            message: `${dial.label} drags along what ${other.dial.label} moves, and that one drags something itself.`,
            hint: 'Only one of the two may drag a second quantity.',
          },
        ]
      : [];
  });
}

function chartDialIssues(dials: readonly Dial[]): Issue[] {
  const chart = dials.flatMap((dial, at) => (dial.scale.kind === 'chart-line' ? [at] : []));
  return chart.slice(1).map((at) => ({
    path: `dials.${at}.scale.kind`,
    code: 'two-chart-dials',
    message: 'Only one control can pick the chart line.',
  }));
}

function limitIssues({ wireFeedMPerMin: [slowest, fastest], voltageV, duty }: Machine['limits']): Issue[] {
  const issues: Issue[] = [];
  const reversed = (path: string, low: number, high: number): Issue => ({
    path,
    code: 'reversed-range',
    message: `The upper limit must lie above the lower one; got ${low} to ${high}.`,
    got: [low, high],
  });
  if (slowest >= fastest) issues.push(reversed('limits.wireFeedMPerMin', slowest, fastest));
  if (voltageV && voltageV[0] >= voltageV[1]) issues.push(reversed('limits.voltageV', voltageV[0], voltageV[1]));
  const points = [...(duty ?? [])].sort((a, b) => a.percent - b.percent);
  const bad = points.findIndex((point, at) => at > 0 && point.currentA > (points[at - 1]?.currentA ?? Infinity));
  if (bad > 0) {
    issues.push({
      path: 'limits.duty',
      code: 'duty-rises',
      message: `More current for longer is no rating plate: ${points[bad]?.currentA ?? 0} A at ${points[bad]?.percent ?? 0} %.`,
      got: points[bad],
    });
  }
  return issues;
}

function triggerIssues({ label, states, moves }: TriggerMode, path: string): Issue[] {
  const issues: Issue[] = [];
  for (const [at, move] of moves.entries()) {
    for (const end of ['from', 'to'] as const) {
      if (!states.includes(move[end])) {
        issues.push({
          path: `${path}.moves.${at}.${end}`,
          code: 'unknown-state',
          message: `${label} moves ${end} "${move[end]}", which is none of its states.`,
          limit: [...states],
          got: move[end],
        });
      }
    }
    const twin = moves.findIndex((other) => other.from === move.from && other.on === move.on);
    if (twin < at) {
      issues.push({
        path: `${path}.moves.${at}`,
        code: 'two-ways',
        message: `${label} has two moves from "${move.from}" on ${move.on}.`,
        got: move.to,
      });
    }
  }
  const reached = new Set([states[0]]);
  for (let round = 0; round < states.length; round++) {
    for (const move of moves) if (reached.has(move.from)) reached.add(move.to);
  }
  const lost = states.find((state) => !reached.has(state));
  if (lost !== undefined) {
    issues.push({
      path: `${path}.states`,
      code: 'unreachable-state',
      message: `Nothing leads to "${lost}" in ${label}.`,
      got: lost,
    });
  }
  return issues;
}

function repeated<T>(values: readonly T[]): (readonly [number, T])[] {
  return values.flatMap((value, at) => (values.indexOf(value) < at ? [[at, value] as const] : []));
}

function twice(path: string, what: string, got: unknown): Issue {
  return { path, code: 'said-twice', message: `There is already ${what}.`, got };
}
