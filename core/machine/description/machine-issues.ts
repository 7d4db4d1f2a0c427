/** Everything that makes a machine file impossible to use, each named with its place: what cannot be inverted, leans on itself, or says one thing twice. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import type { Issue } from '../../base/outcome/index.ts';
import type { Dial, Machine, TriggerMode } from './machine.ts';
import { quantityFacts, type DialQuantity } from './quantities.ts';
import { isNumeric, quantityOf, type DialScale, type SteppedScale } from './scales.ts';

export function machineIssues(machine: Machine): Issue[] {
  const { dials, chartLines, limits, triggerModes, feeders } = machine;
  return [
    ...dials.flatMap((dial, at) => scaleIssues(dial.scale, `dials.${at}.scale`, dial.label)),
    ...repeated(dials.map((dial) => dial.id)).map(([at, id]) =>
      twice(`dials.${at}.id`, message('machine.the-dial-id', { id }), id),
    ),
    ...repeated(chartLines.map((line) => line.number)).map(([at, number]) =>
      twice(`chartLines.${at}.number`, message('machine.chart-line', { number }), number),
    ),
    ...repeated(feeders.map((feeder) => feeder.id)).map(([at, id]) =>
      twice(`feeders.${at}.id`, message('machine.the-feeder', { id }), id),
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
      message: message('machine.error.positions-mean-the-same', { label, word }),
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
      message: message('machine.error.range-order', { label, min, max }),
      limit: min,
      got: max,
      hint: message('machine.hint.inverted-dial'),
    });
  } else if (step > max - min) {
    issues.push({
      path: `${path}.step`,
      code: 'step-too-wide',
      message: message('machine.error.step-too-wide', { step, label, min, max }),
      limit: max - min,
      got: step,
    });
  }
  if (min < max && (max - min) / step > mostSteps) {
    issues.push({
      path: `${path}.step`,
      code: 'step-too-fine',
      message: message('machine.error.too-many-positions', {
        step,
        count: ((max - min) / step).toExponential(1),
        label,
        mostSteps,
      }),
      limit: (max - min) / mostSteps,
      got: step,
    });
  }
  for (const [key, figure] of Object.entries(scale)) {
    if (typeof figure !== 'number' || (Number.isFinite(figure) && Math.abs(figure) <= largestFigure)) continue;
    issues.push({
      path: `${path}.${key}`,
      code: 'out-of-range',
      message: message('machine.error.figure-range', { label, key, largestFigure, figure }),
      limit: largestFigure,
      got: figure,
    });
  }
  const flat =
    (scale.kind === 'linear' && scale.quantityPerUnit === 0) ||
    (scale.kind === 'line-offset' && scale.voltsPerUnit === 0) ||
    (scale.kind === 'inverse' && scale.product === 0);
  if (flat) issues.push(cannotInvert(path, label, message('machine.it-moves-nothing')));
  if (scale.kind === 'inverse' && min <= 0 && max >= 0) {
    issues.push(cannotInvert(path, label, message('machine.ambiguous.inverse-scale-at-zero')));
  }
  if (scale.kind === 'linear' && scale.also?.quantity === scale.quantity) {
    issues.push({
      path: `${path}.also.quantity`,
      code: 'drags-itself',
      message: message('machine.error.moves-own-quantity', { label, quantity: quantityFacts(scale.quantity).name }),
      got: scale.quantity,
    });
  }
  return issues;
}

function steppedIssues({ positions, quantity }: SteppedScale, path: string, label: string): Issue[] {
  if (positions.length < 2)
    return [cannotInvert(`${path}.positions`, label, message('machine.ambiguous.too-few-positions'))];
  const figures = positions.map((position) => position.quantity);
  const rising = figures.every((figure, at) => at === 0 || figure > (figures[at - 1] ?? figure));
  const falling = figures.every((figure, at) => at === 0 || figure < (figures[at - 1] ?? figure));
  if (rising || falling) return [];
  const wrong = figures.findIndex((figure, at) => at > 0 && figure <= (figures[at - 1] ?? figure));
  return [
    cannotInvert(
      `${path}.positions.${wrong}`,
      label,
      message('machine.ambiguous.positions-not-monotonic', { quantity: quantityFacts(quantity).name }),
    ),
  ];
}

function cannotInvert(path: string, label: string, why: Phrase): Issue {
  return {
    path,
    code: 'cannot-be-inverted',
    message: message('machine.error.cannot-be-read-back', { label, why }),
    hint: message('machine.hint.one-figure-per-value'),
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
          message: message('machine.error.percentage-of-unknown-dial', { label, value: scale.of }),
          got: scale.of,
        },
      ];
    }
    if (!isNumeric(base.scale)) {
      return [
        {
          path,
          code: 'not-a-number',
          message: message('machine.error.percentage-of-unnumbered', { label, base: base.label }),
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
            message: message('machine.leans-on-itself', { label, loop: loop.join(' → ') }),
            got: scale.of,
            hint: message('machine.hint.one-dial-absolute'),
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
        message: message('machine.error.two-dials-one-quantity', {
          first: other.dial.label,
          second: dial.label,
          quantity: quantityFacts(quantity).name,
        }),
        got: quantity,
        hint: message('machine.hint.limit-to-modes'),
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
            message: message('machine.error.two-second-quantities', { first: dial.label, second: other.dial.label }),
            hint: message('machine.hint.one-second-quantity'),
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
    message: message('machine.error.two-chart-pickers'),
  }));
}

function limitIssues({ wireFeedMPerMin: [slowest, fastest], voltageV, duty }: Machine['limits']): Issue[] {
  const issues: Issue[] = [];
  const reversed = (path: string, low: number, high: number): Issue => ({
    path,
    code: 'reversed-range',
    message: message('machine.error.upper-above-lower', { low, high }),
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
      message: message('machine.error.rating-plate-order', {
        current: amount('current', points[bad]?.currentA ?? 0),
        percent: amount('percent', points[bad]?.percent ?? 0),
      }),
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
          message: message('machine.error.unknown-state', { label, end, state: move[end] }),
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
        message: message('machine.error.two-moves-from-state', { label, from: move.from, on: move.on }),
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
      message: message('machine.error.state-unreachable', { lost, label }),
      got: lost,
    });
  }
  return issues;
}

function repeated<T>(values: readonly T[]): (readonly [number, T])[] {
  return values.flatMap((value, at) => (values.indexOf(value) < at ? [[at, value] as const] : []));
}

function twice(path: string, what: Phrase, got: unknown): Issue {
  return { path, code: 'said-twice', message: message('machine.there-is-already', { what }), got };
}
