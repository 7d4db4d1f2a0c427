/** How a machine stands: what it is switched to, what is threaded, connected and fitted on each feeder, what its dials show. */
import { message, type Phrase } from '../../base/messages/index.ts';
import { fillerOf, type FillerCode, sameWire } from '../../metal/consumables/index.ts';
import { usualFeeder, type Machine, type Polarity, type TipRule } from '../description/index.ts';
import { type Program } from '../../setting/program/index.ts';

/** Processes a source may be switched to; only the first two are this application's, the others are states to come back from. */
export const setupProcesses = ['gas-metal', 'self-shielded', 'lift-tig', 'stick'] as const;
export type SetupProcess = (typeof setupProcesses)[number];

export const processWords: Record<SetupProcess, Phrase> = {
  'gas-metal': message('setup.process.gas-shielded'),
  'self-shielded': message('setup.process.self-shielded'),
  'lift-tig': message('setup.process.tig'),
  stick: message('setup.process.stick'),
};

export const grooves = ['V', 'U', 'knurled'] as const;
export type Groove = (typeof grooves)[number];
export const liners = ['steel', 'polymer'] as const;
export type Liner = (typeof liners)[number];

export interface FeederState {
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly gas: string;
  readonly groove: Groove;
  /** Size stamped on the roll, mm. */
  readonly rollMm: number;
  readonly liner: Liner;
  /** Size stamped on the contact tip, mm. */
  readonly tipMm: number;
  /** Contact tip behind the nozzle's edge, mm; negative stands out. */
  readonly recessMm: number;
  readonly flowLPerMin: number;
}

export interface MachineState {
  readonly process: SetupProcess;
  readonly polarity: Polarity;
  /** The feeder that is switched on. */
  readonly feederId: string;
  readonly feeders: Readonly<Record<string, FeederState>>;
  /** Dial readings by dial id. */
  readonly dials: Readonly<Record<string, number>>;
}

/** A machine that nobody entered: nothing threaded, nothing connected, no dial read. */
export function unknownState({ feeders }: Pick<Machine, 'feeders'>): MachineState {
  return {
    process: 'gas-metal',
    polarity: 'electrode-positive',
    feederId: feeders[0]?.id ?? usualFeeder.id,
    feeders: {},
    dials: {},
  };
}

export interface NeededSetup extends FeederState {
  readonly process: SetupProcess;
  readonly polarity: Polarity;
  readonly ctwdMm: number;
}

/**
 * What a program needs on the machine. Rules of practice: V groove for solid steel and stainless, U for aluminium and brazing wire, knurled for
 * cored; polymer liner for soft wire; tip as stamped, one size up for aluminium (it swells); wire positive but for self-shielded.
 */
export function neededSetup(
  { filler: code, diameterMm, gas, mode, gasFlowLPerMin, ctwdMm }: Program,
  /** Of the gun; left out: the usual one. */
  tipRule: TipRule = 'one-size-up',
): NeededSetup {
  const filler = fillerOf(code);
  const soft = filler.family === 'aluminium' || filler.family === 'copper-silicon';
  const selfShielded = filler.shielding === 'self';
  return {
    process: selfShielded ? 'self-shielded' : 'gas-metal',
    polarity: selfShielded ? 'electrode-negative' : 'electrode-positive',
    filler: code,
    diameterMm,
    gas,
    groove: filler.construction === 'cored' ? 'knurled' : soft ? 'U' : 'V',
    rollMm: nominalMm(diameterMm),
    liner: soft ? 'polymer' : 'steel',
    tipMm: tipFor(filler.family === 'aluminium' && tipRule === 'one-size-up', nominalMm(diameterMm)),
    recessMm: mode === 'dip' ? 0 : 3,
    flowLPerMin: gasFlowLPerMin,
    ctwdMm,
  };
}

/** Metric size that rolls and tips are stamped with, mm. */
function nominalMm(diameterMm: number): number {
  return [0.6, 0.8, 0.9, 1.0, 1.2, 1.4, 1.6].reduce((best, size) =>
    Math.abs(size - diameterMm) < Math.abs(best - diameterMm) ? size : best,
  );
}

const oneSizeUp: Record<string, number> = { '0.8': 0.9, '0.9': 1.0, '1': 1.2, '1.2': 1.4, '1.6': 1.6 };

function tipFor(isUp: boolean, nominal: number): number {
  return isUp ? (oneSizeUp[String(nominal)] ?? nominal) : nominal;
}

/** Wire and gas right on a feeder. */
export function holds(feeder: FeederState, needed: Pick<FeederState, 'filler' | 'diameterMm' | 'gas'>): boolean {
  return sameWire(feeder, needed) && feeder.gas === needed.gas;
}
