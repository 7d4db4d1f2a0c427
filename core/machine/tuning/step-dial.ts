/** Turning one dial of a machine by so many of its steps, and what that does to the program: the way from hand to physics. */
import { chartLineFor, isNumeric, quantityAt, quantityOf, type Machine } from '../description/index.ts';
import { taughtLine, cardOf, wishedFigures, type DialSetting } from '../dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { noTune, type PulseNumber, type Tune } from './tune.ts';

/** What a dial can move on the bench. */
type BenchQuantity = 'wireFeedMPerMin' | 'trimMm' | 'stiffness' | PulseNumber;

export interface DialMove {
  readonly dialId: string;
  readonly quantity: BenchQuantity;
  /** What is then set on the dial. */
  readonly value: number;
  /** The quantity where the dial then stands, held between the dial's ends. */
  readonly figure: number;
  readonly atEnd: boolean;
}

/** Undefined where the machine has no dial for the quantity, or it is no number. */
export function stepDial(
  machine: Machine,
  program: Program,
  quantity: BenchQuantity,
  steps: number,
): DialMove | undefined {
  const { dials } = cardOf(machine, program);
  const setting = dials.find((dial) => dial.quantity === quantity) ?? standIn(dials, quantity);
  const dial = machine.dials.find((one) => one.id === setting?.dialId);
  if (
    !setting ||
    !dial ||
    dial.unitTested === false ||
    !isNumeric(dial.scale) ||
    quantityOf(dial.scale) !== setting.quantity
  )
    return undefined;
  const { scale } = dial;
  const line = chartLineFor(machine.chartLines, program) ?? null;
  const wished = wishedFigures(
    program,
    machine,
    taughtLine(line),
    dials.find((one) => one.quantity === 'wireFeedMPerMin')?.reachedQuantity,
  );
  const context = { fieldVPerMm: wished.arc.wire.eVPerMm, reached: () => undefined };
  const now = quantityAt(scale, setting.value, context) ?? 0;
  // Up means more of the quantity, whichever way the dial runs.
  const nextUp = quantityAt(scale, scale.kind === 'stepped' ? setting.value + 1 : setting.value + scale.step, context);
  const sense = nextUp === undefined || nextUp > now ? 1 : -1;
  const [min, max] = scale.kind === 'stepped' ? [0, scale.positions.length - 1] : [scale.min, scale.max];
  const asked = setting.value + sense * steps * (scale.kind === 'stepped' ? 1 : scale.step);
  const value = Math.min(Math.max(Number(asked.toFixed(6)), min), max);
  const reached = quantityAt(scale, value, context);
  if (reached === undefined) return undefined;
  // The dial's own zero lies where the machine's line does, and what other dials drag stays as it is.
  const dragged = (setting.reachedQuantity ?? now) - now;
  const offset = quantity === 'trimMm' ? wished.lineOffsetMm : 0;
  const feedAt = (figure: number) => {
    if (setting.quantity === 'meanCurrentA') return wished.arc.feedAt(figure);
    return setting.quantity === 'chartThicknessMm' ? taughtLine(line)?.feedAtThickness(figure) : figure;
  };
  const feed = quantity === 'wireFeedMPerMin' ? feedAt(reached) : undefined;
  if (quantity === 'wireFeedMPerMin' && feed === undefined) return undefined;
  const figure = feed === undefined ? reached + dragged + offset : meanFeed(program, feed, machine);
  return { dialId: dial.id, quantity, value, figure, atEnd: value !== Number(asked.toFixed(6)) };
}

/** On a machine that is told amperes or a thickness, that dial moves the feed. */
function standIn(dials: readonly DialSetting[], quantity: BenchQuantity): DialSetting | undefined {
  if (quantity !== 'wireFeedMPerMin') return undefined;
  return dials.find((dial) => dial.quantity === 'meanCurrentA' || dial.quantity === 'chartThicknessMm');
}

/** The mean feed when the master dial shows this figure; in a beat it may show the high level. */
function meanFeed({ slowBeat, wireFeedMPerMin }: Program, shown: number, { beatSchool }: Machine): number {
  if (!slowBeat || beatSchool === null || beatSchool === 'swing') return shown;
  return (shown * wireFeedMPerMin) / slowBeat.highFeedMPerMin;
}

/** The tune with one quantity moved. */
export function withQuantity(tune: Tune, quantity: Exclude<BenchQuantity, 'wireFeedMPerMin'>, figure: number): Tune {
  return { ...noTune, ...tune, [quantity]: figure };
}
