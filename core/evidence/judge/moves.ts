/** What to change: one lever at a time, in this machine's own steps, with what it should then show and what else it does. */
import { amount, message, type Said } from '../../base/messages/index.ts';
import type { Machine } from '../../machine/description/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { stepDial } from '../../machine/tuning/index.ts';
import { causes, type CauseCode } from './causes/index.ts';
import { predict, type Found, type Shown } from './predict.ts';

export interface Change {
  readonly quantity: 'trimMm' | 'wireFeedMPerMin' | 'travelMmPerMin' | 'ctwdMm';
  readonly from: number;
  readonly to: number;
}

export interface Move {
  readonly code: string;
  readonly words: Said;
  readonly kind: 'set' | 'hand' | 'set-up';
  readonly dialId?: string;
  /** Dial steps on the machine; more of the quantity is up. */
  readonly steps?: number;
  /** What is then set on the dial. */
  readonly dialValue?: number;
  readonly change?: Change;
  /** Chance that it mends what is wrong; a lever that only hides it counts for less. */
  readonly gain: number;
  readonly minutes: number;
  /** Causes it puts right; none where it only hides one. */
  readonly mends: readonly CauseCode[];
  readonly predicted: Found;
  readonly sideEffects: readonly Said[];
}

export interface Limits {
  /** Least and largest leg, mm. */
  readonly legMm?: readonly [number, number] | undefined;
}

export interface MoveQuestion {
  readonly program: Program;
  readonly machine: Machine | undefined;
  readonly circuitMOhm: number;
  readonly limits: Limits;
  /** What is found when all is well. */
  readonly sound: Found;
  readonly chance: ReadonlyMap<string, number>;
  /** Each cause as the model shows it. */
  readonly shown: (cause: CauseCode) => Shown | undefined;
}

/** A cause less likely than this gets no move of its own. */
const worthMoving = 0.03;
/** Hiding a cause lets the weld pass until the cause grows; assumed. */
const hidden = 0.35;
/** Set-up faults go first where they are nearly as likely. */
const setUpFirst = 0.05;
const perMinute = 0.01;
const outsideLimits = 0.3;
/** A mm of arc is brought back by trim where the arc is this far off. */
const noticedArcMm = 0.5;

export function moves(question: MoveQuestion): Move[] {
  const likely = [...question.chance]
    .filter(([, chance]) => chance >= worthMoving)
    .sort(([, a], [, b]) => b - a)
    .map(([code]) => code as CauseCode);
  const list: Move[] = [];
  for (const code of likely) {
    list.push(mending(question, code, likely));
    const hide = hiding(question, code);
    if (hide) list.push(hide);
  }
  const best = new Map<string, Move>();
  for (const move of list) {
    const before = best.get(move.code);
    if (!before || worth(move) > worth(before)) best.set(move.code, move);
  }
  return [...best.values()].sort((a, b) => worth(b) - worth(a));
}

function worth({ gain, minutes, kind }: Move): number {
  return gain - perMinute * minutes + (kind === 'set-up' ? setUpFirst : 0);
}

/** Puts right what is wrong; afterwards the weld is as planned. */
function mending(question: MoveQuestion, code: CauseCode, likely: readonly CauseCode[]): Move {
  const { program, chance, sound } = question;
  const { kind, family, look } = causes[code];
  const same = likely.filter((one) => one === code || (family !== undefined && causes[one].family === family));
  const gain = Math.min(
    same.reduce((sum, one) => sum + (chance.get(one) ?? 0), 0),
    1,
  );
  const lever = levers(program, code, question.shown(code));
  const base = {
    gain,
    minutes: look.minutes,
    mends: same,
    predicted: sound,
    sideEffects: [message('judge.side-none-known')],
  };
  if (!lever) {
    return {
      ...base,
      code: family ? `mend-${family}` : `mend-${code}`,
      words: message('judge.move-mend', { look: look.words }),
      kind: kind === 'hand' ? 'hand' : 'set-up',
      minutes: look.minutes + 2,
    };
  }
  const { change, words } = lever;
  return {
    ...base,
    code: lever.code,
    words,
    kind: kind === 'hand' ? 'hand' : 'set',
    ...(change ? { change } : {}),
    ...onDial(question, change),
  };
}

/** Brings the arc back with the trim while the cause stays. */
function hiding(question: MoveQuestion, code: CauseCode): Move | undefined {
  const { program, circuitMOhm, sound, chance, limits } = question;
  const shown = question.shown(code);
  if (!shown || causes[code].kind === 'set' || shown.pace !== undefined) return undefined;
  const wrong = predict(program, circuitMOhm, [shown]);
  if (!wrong.ok) return undefined;
  const off = wrong.value.arcMm - sound.arcMm;
  if (Math.abs(off) < noticedArcMm) return undefined;
  const by = Math.min(Math.max(-off, -2.5), 2.5);
  const after = predict(program, circuitMOhm, [shown, { trimMm: by }]);
  if (!after.ok) return undefined;
  const leg = limits.legMm;
  const isOutside = leg !== undefined && (after.value.legMm < leg[0] || after.value.legMm > leg[1]);
  const change: Change = { quantity: 'trimMm', from: program.trimMm, to: program.trimMm + by };
  return {
    code: by > 0 ? 'trim-up' : 'trim-down',
    words: by > 0 ? message('judge.move-trim-up') : message('judge.move-trim-down'),
    kind: 'set',
    change,
    ...onDial(question, change),
    gain: hidden * (chance.get(code) ?? 0) - (isOutside ? outsideLimits : 0),
    minutes: 0.5,
    mends: [],
    predicted: after.value,
    sideEffects: [
      message('judge.side-hides'),
      by > 0 ? message('judge.side-wider') : message('judge.side-narrower'),
      ...(isOutside ? [message('judge.side-leg', { leg: amount('shortLength', after.value.legMm, 1) })] : []),
    ],
  };
}

interface Lever {
  readonly code: string;
  readonly words: Said;
  readonly change?: Change;
}

/** What is turned back, held or travelled otherwise; undefined where something has to be mended. */
function levers(program: Program, code: CauseCode, shown: Shown | undefined): Lever | undefined {
  const { trimMm, wireFeedMPerMin, travelMmPerMin, ctwdMm } = program;
  const faults = shown?.faults?.(program);
  const turn = (quantity: Change['quantity'], from: number, to: number): Change => ({ quantity, from, to });
  switch (code) {
    case 'trim-low':
    case 'trim-high':
      return {
        code: code === 'trim-low' ? 'trim-up' : 'trim-down',
        words: message('judge.move-set-trim'),
        change: turn('trimMm', trimMm + (shown?.trimMm ?? 0), trimMm),
      };
    case 'feed-low':
    case 'feed-high':
      return {
        code: code === 'feed-low' ? 'feed-up' : 'feed-down',
        words: message('judge.move-set-feed'),
        change: turn('wireFeedMPerMin', wireFeedMPerMin * (faults?.feedFactor ?? 1), wireFeedMPerMin),
      };
    case 'travel-slow':
    case 'travel-fast':
      return {
        code: code === 'travel-slow' ? 'travel-up' : 'travel-down',
        words: code === 'travel-slow' ? message('judge.move-travel-up') : message('judge.move-travel-down'),
        change: turn('travelMmPerMin', travelMmPerMin * (shown?.pace ?? 1), travelMmPerMin),
      };
    case 'stick-out-long':
    case 'stick-out-short':
      return {
        code: code === 'stick-out-long' ? 'hold-nearer' : 'hold-farther',
        words: code === 'stick-out-long' ? message('judge.move-hold-nearer') : message('judge.move-hold-farther'),
        change: turn('ctwdMm', faults?.ctwdMm ?? ctwdMm, ctwdMm),
      };
    case 'crater-short':
      return { code: 'crater-longer', words: message('judge.move-crater') };
    case 'burn-back-short':
      return { code: 'burn-back-up', words: message('judge.move-burn-back-up') };
    case 'burn-back-long':
      return { code: 'burn-back-down', words: message('judge.move-burn-back-down') };
    case 'start-cold':
      return { code: 'start-up', words: message('judge.move-start-up') };
    case 'plate-hot':
      return { code: 'let-cool', words: message('judge.move-cool') };
    default:
      return undefined;
  }
}

/** The change in steps of the machine's dial, where it has one for the quantity. */
function onDial(
  { machine, program }: MoveQuestion,
  change: Change | undefined,
): Pick<Move, 'dialId' | 'steps' | 'dialValue'> {
  if (!machine || !change || (change.quantity !== 'trimMm' && change.quantity !== 'wireFeedMPerMin')) return {};
  const here = stepDial(machine, program, change.quantity, 0);
  const next = stepDial(machine, program, change.quantity, 1);
  const perStep = here && next && !next.atEnd ? next.figure - here.figure : 0;
  if (!here || perStep <= 0) return {};
  const fromCard = Math.round((change.to - program[change.quantity]) / perStep);
  const dialValue = stepDial(machine, program, change.quantity, fromCard)?.value;
  return {
    dialId: here.dialId,
    steps: Math.round((change.to - change.from) / perStep),
    ...(dialValue === undefined ? {} : { dialValue }),
  };
}
