/** What was known before the weld, and how it moves the chance of a cause. The multipliers are assumed. */
import { amount, message, type Said } from '../../base/messages/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { type FillerCode, sameSizeMm } from '../../metal/consumables/index.ts';
import { wearPartNames, wearUnits, type WearPart } from '../../machine/wear/index.ts';
import type { StepKind } from '../../machine/setup/index.ts';
import type { DialsOff } from './dials-off.ts';
import { causeCodes, causes, type CauseCode } from './causes/index.ts';

export interface Facts {
  readonly tipArcMinutes?: number | undefined;
  readonly leadReadDaysAgo?: number | undefined;
  /** Beside the seam before the arc, °C. */
  readonly plateC?: number | undefined;
  readonly loaded?: { readonly filler: FillerCode; readonly gas: string; readonly diameterMm: number } | undefined;
  /** Use of the gun's parts and what such parts last in this shop, each in its own unit. */
  readonly worn?: readonly { readonly part: WearPart; readonly used: number; readonly expected: number }[] | undefined;
  /** Steps of the set-up walk that were ticked. */
  readonly ticked?: readonly StepKind[] | undefined;
}

export interface Known {
  readonly priors: Readonly<Record<CauseCode, number>>;
  /** Facts that moved a cause, for its because. */
  readonly because: ReadonlyMap<CauseCode, readonly Said[]>;
}

/** A mismatch that was read is believed; a match that was read leaves a slip of the eye. */
const readMismatch = 0.97;
const least = 0.0005;
const readMatch = 0.1;
const tickedLeaves = 0.35;
/** Somebody looked and found it in order; a look misses one in ten. */
const foundInOrder = 0.1;
/** Arc minutes after which a contact tip is as likely worn as not. */
const tipLifeMinutes = 480;
const warmC = 60;

/** What a part past its life does to a weld. */
const wornAs: Readonly<Record<WearPart, CauseCode>> = {
  'contact-tip': 'tip-worn',
  liner: 'liner',
  'drive-rolls': 'rolls',
  // Spatter in the nozzle: the flow at the meter is not the flow at the arc.
  'gas-nozzle': 'gas-low',
};
/** Half as likely when new, twice at the life that is expected, never more than four times. */
const newPart = 0.5;
const atLife = 2;
const mostWorn = 4;

const checkedBy: Partial<Record<StepKind, readonly CauseCode[]>> = {
  polarity: ['polarity', 'return-poor'],
  gas: ['gas-wrong', 'leak'],
  flow: ['gas-low', 'gas-high'],
  rolls: ['rolls', 'slip'],
  tension: ['slip'],
  liner: ['liner'],
  wire: ['wire-wrong', 'size-wrong'],
  tip: ['tip-worn', 'tip-loose', 'tip-tight'],
  clean: ['surface', 'coating'],
  process: ['line-wrong'],
};

/** What is off by less is a dial's step or a reading. */
export const noticed = { trimMm: 0.3, feedShare: 0.03, stiffness: 1 } as const;

/** What earlier welds and looks left behind. */
export interface Earlier {
  readonly before?: Partial<Record<CauseCode, number>> | undefined;
  readonly inOrder?: readonly CauseCode[] | undefined;
}

export function knownBefore(program: Program, facts: Facts, dials: DialsOff | undefined, earlier: Earlier = {}): Known {
  const priors = Object.fromEntries(causeCodes.map((code) => [code, causes[code].prior])) as Record<CauseCode, number>;
  const because = new Map<CauseCode, Said[]>();
  const move = (code: CauseCode, prior: number, fact: Said) => {
    priors[code] = Math.min(Math.max(prior, least), readMismatch);
    because.set(code, [...(because.get(code) ?? []), fact]);
  };
  for (const code of causeCodes) {
    const believed = earlier.before?.[code];
    // Half-way: somebody may have put it right since.
    if (believed !== undefined && causes[code].stays)
      move(code, Math.sqrt(believed * priors[code]), message('judge.fact-before', { before: percent(believed) }));
  }
  for (const code of earlier.inOrder ?? []) move(code, priors[code] * foundInOrder, message('judge.fact-in-order'));
  // What the program does not have cannot be off.
  if (!program.slowBeat) priors['beat-off'] = least;
  for (const step of facts.ticked ?? []) {
    for (const code of checkedBy[step] ?? []) move(code, priors[code] * tickedLeaves, message('judge.fact-ticked'));
  }
  if (facts.tipArcMinutes !== undefined) {
    const worn = 0.02 + 0.6 * (1 - 2 ** -((facts.tipArcMinutes / tipLifeMinutes) ** 2));
    move('tip-worn', worn, message('judge.fact-tip', { minutes: amount('minutes', facts.tipArcMinutes, 0) }));
  }
  for (const { part, used, expected } of facts.worn ?? []) {
    if (expected <= 0 || (part === 'contact-tip' && facts.tipArcMinutes !== undefined)) continue;
    const times = Math.min(newPart + (atLife - newPart) * (used / expected) ** 2, mostWorn);
    const code = wornAs[part];
    const unit = wearUnits[part];
    move(
      code,
      priors[code] * times,
      message('judge.fact-worn', {
        part: wearPartNames[part],
        used: amount(unit, used, 0),
        expected: amount(unit, expected, 0),
      }),
    );
  }
  if (facts.leadReadDaysAgo !== undefined) {
    const stale = Math.min(0.4 + facts.leadReadDaysAgo / 50, 2);
    const fact = message('judge.fact-lead', { days: facts.leadReadDaysAgo });
    move('lead-high', priors['lead-high'] * stale, fact);
    move('return-poor', priors['return-poor'] * stale, fact);
  }
  if (facts.plateC !== undefined) {
    const over = Math.max(facts.plateC - warmC, 0);
    move('plate-hot', over === 0 ? 0.01 : 0.1 + 0.7 * (1 - Math.exp(-over / 60)), plateFact(facts.plateC));
  }
  if (facts.loaded) {
    const { filler, gas, diameterMm } = facts.loaded;
    const read = (code: CauseCode, agrees: boolean) =>
      move(
        code,
        agrees ? priors[code] * readMatch : readMismatch,
        agrees ? message('judge.fact-loaded-right') : message('judge.fact-loaded'),
      );
    read('wire-wrong', filler === program.filler);
    read('gas-wrong', gas === program.gas);
    read('size-wrong', Math.abs(diameterMm - program.diameterMm) < sameSizeMm);
  }
  if (dials) {
    const turn = (low: CauseCode, high: CauseCode, off: number, least: number) => {
      move(low, off < -least ? readMismatch : priors[low] * readMatch, dialFact(off < -least));
      move(high, off > least ? readMismatch : priors[high] * readMatch, dialFact(off > least));
    };
    turn('trim-low', 'trim-high', dials.trimMm, noticed.trimMm);
    turn('feed-low', 'feed-high', dials.feedShare, noticed.feedShare);
    const isOff = Math.abs(dials.stiffness) > noticed.stiffness;
    move('stiffness-off', isOff ? readMismatch : priors['stiffness-off'] * readMatch, dialFact(isOff));
  }
  return { priors, because };
}

function dialFact(isOff: boolean): Said {
  return isOff ? message('judge.fact-dials') : message('judge.fact-dials-right');
}

function plateFact(plateC: number): Said {
  return message('judge.fact-plate', { plate: amount('temperature', plateC, 0) });
}

function percent(share: number) {
  return amount('percent', 100 * share, 0);
}
