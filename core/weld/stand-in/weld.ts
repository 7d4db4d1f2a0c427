/** A weld on a simulated machine: the same arc and metal as everywhere, with what is hidden at the machine and the noise of a hand. */
import { areaForTravel, filletLegMm, throatMm } from '../../setting/bead/index.ts';
import { fillerOf, wireAreaMm2 } from '../../metal/consumables/index.ts';
import { showThrough } from '../../setting/heat-input/index.ts';
import { arcOf, faultsTogether, simulationOf, type Faults } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import { simulate, type SimulationMetrics, type SimulationTrace, type TransferMode } from '../simulation/index.ts';
import { symptomCodes, type SymptomCode } from '../../evidence/trial/index.ts';
import { chanceOf, moved, type Chance } from './chance.ts';
import { hiddenFaults, type HiddenFault, type HiddenFaultCode } from './hidden-faults.ts';
import { lostVolts } from '../../base/units/convert.ts';

export interface StandInTask {
  /** As the dials really stand, and as the card wants them. */
  readonly program: Program;
  readonly card: Program;
  readonly circuitMOhm: number;
  readonly faults: readonly HiddenFaultCode[];
  /** Feed dial over the card's, where somebody turned it; the set-point follows the line. */
  readonly feedFactor?: number | undefined;
  /** Kept of current and voltage every so many seconds; left out: nothing. */
  readonly traceEveryS?: number | undefined;
  readonly joint: { readonly isFillet: boolean; readonly thicknessMm: number };
  readonly lengthMm: number;
  /** Plate before the arc, °C. */
  readonly plateC: number;
  /** Travel of this hand over the program's, beside a fault of the moment. */
  readonly pace: number;
  readonly seed: number;
}

export interface StandInWeld {
  readonly seconds: number;
  readonly travelMmPerMin: number;
  readonly displayedCurrentA: number;
  readonly displayedVoltageV: number;
  readonly pulseHz: number;
  readonly shortsPerS: number;
  readonly transferMode: TransferMode;
  /** Meant as dip: there shorts are the rule. */
  readonly isDip: boolean;
  /** Null in a butt. */
  readonly legsMm: readonly [number, number] | null;
  readonly throatMm: number | null;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly backMm: number;
  readonly plateC: number;
  /** Grains in the counting patch. */
  readonly grains: number;
  /** 0 to 3. */
  readonly soot: number;
  readonly wireEndMm: number;
  /** What is there to be seen, heard and found by a careful eye. */
  readonly there: Readonly<Record<SymptomCode, boolean>>;
  readonly metrics: SimulationMetrics;
  readonly trace: SimulationTrace;
}

const simulatedS = 0.8;
/** Spread of a hand and of what nobody holds, about this welder's own (assumed). */
const handPace = 0.05;
const handMm = 0.8;
const lean = 0.06;
/** Odds and strengths of faults differ from shop to shop; by so many logits, and between these factors. */
const oddsLogits = 0.5;
const strengths = [0.8, 1.2] as const;
/** What is noted without any fault. */
const imagined = 0.01;

export function weldOnStandIn(task: StandInTask): Outcome<StandInWeld> {
  const chance = chanceOf(task.seed);
  const hidden = task.faults.map((code) => ({
    fault: faultOf(code),
    strength: strengths[0] + (strengths[1] - strengths[0]) * chance.uniform(),
  }));
  const sum = (of: (fault: HiddenFault) => number | undefined) =>
    hidden.reduce((total, { fault, strength }) => total + strength * (of(fault) ?? 0), 0);
  const program: Program = {
    ...task.program,
    trimMm: task.program.trimMm + sum(({ trimMm }) => trimMm),
    stiffness: Math.min(task.program.stiffness + sum(({ stiffness }) => stiffness), 10),
  };
  const faults = hidden.reduce<Faults>(
    (all, { fault, strength }) => faultsTogether(all, fault.arc?.(program, strength) ?? {}),
    {
      ctwdMm: program.ctwdMm + handMm * chance.normal(),
    },
  );
  const run = simulate(
    simulationOf(program, { circuitMOhm: task.circuitMOhm, seconds: simulatedS, seed: task.seed, faults }),
    task.traceEveryS,
  );
  if (!run.ok) return failure(...run.issues);
  const { metrics, transferMode, trace } = run.value;
  const travelMmPerMin =
    program.travelMmPerMin * task.pace * Math.exp(sum(({ pace }) => pace) + handPace * chance.normal());
  const plateC = task.plateC + sum(({ warmC }) => warmC);
  const thicknessMm = task.joint.thicknessMm * hidden.reduce((all, { fault }) => all * (fault.thickness ?? 1), 1);
  const gapMm = sum((fault) => fault.gapMm);
  const areaMm2 = metalMm2(program, faults, travelMmPerMin);
  const legMm = Math.max(filletLegMm(areaMm2, gapMm), 0.5);
  const half = Math.exp((sum((fault) => fault.lean) + lean * chance.normal()) / 2);
  const legsMm: [number, number] = [legMm * half * rough(chance, 0.02), (legMm / half) * rough(chance, 0.02)];
  // A long arc spreads the metal, a short one heaps it, about the card's own.
  const { lineMm } = arcOf(task.card, task.card.ctwdMm, task.card.trimMm);
  const flat = Math.exp(0.1 * (metrics.meanArcLengthMm - lineMm - task.card.trimMm));
  const widthMm = (task.joint.isFillet ? legMm * Math.SQRT2 : Math.sqrt(3 * areaMm2)) * flat * rough(chance, 0.06);
  const heightMm = (areaMm2 / (task.joint.isFillet ? 6 : 1.5) / widthMm) * rough(chance, 0.1);
  const through = showThrough(
    fillerOf(program.filler).family,
    metrics.meanCurrentA,
    metrics.meanVoltageV,
    travelMmPerMin,
    thicknessMm,
    plateC,
  );
  const reach = through.index * (1 + 0.15 * gapMm) * rough(chance, 0.06);
  const own = ownSigns({
    isDip: program.mode === 'dip',
    metrics,
    transferMode,
    legsMm,
    reach,
    isFillet: task.joint.isFillet,
    flat,
  });
  const there = Object.fromEntries(
    symptomCodes.map((code) => {
      const missed = hidden.reduce((all, { fault, strength }) => {
        const brings = fault.brings[code];
        return (
          all *
          (1 - (brings === undefined ? 0 : moved(Math.min(brings * strength, 0.97), oddsLogits * chance.normal())))
        );
      }, 1);
      return [code, chance.happens(1 - (1 - imagined) * missed * (1 - (own[code] ?? 0)))];
    }),
  ) as Record<SymptomCode, boolean>;
  const reallyMOhm = task.circuitMOhm + (faults.leadExtraMOhm ?? 0);
  return success({
    seconds: (60 * task.lengthMm) / travelMmPerMin,
    travelMmPerMin,
    displayedCurrentA: metrics.meanCurrentA + 2.5 * chance.normal(),
    displayedVoltageV: metrics.meanVoltageV + lostVolts(metrics.meanCurrentA, reallyMOhm) + 0.25 * chance.normal(),
    pulseHz: metrics.pulseFrequencyHz,
    shortsPerS: metrics.shortsPerS,
    transferMode,
    isDip: program.mode === 'dip',
    legsMm: task.joint.isFillet ? legsMm : null,
    throatMm: task.joint.isFillet ? throatMm(Math.min(...legsMm)) : null,
    widthMm,
    heightMm,
    backMm: there['printed-through'] ? Math.max(0.2, 3 * (reach - 0.7)) : 0,
    plateC,
    grains: Math.round((there['spatter-coarse'] ? 35 : there['spatter-fine'] ? 12 : 2) * (0.5 + chance.uniform())),
    soot: there.soot ? 2 : 0,
    wireEndMm: there['wire-ball'] ? 5 : there['wire-long'] ? 28 : 10 + 3 * chance.normal(),
    there,
    metrics,
    trace,
  });
}

function rough(chance: Chance, share: number): number {
  return Math.exp(share * chance.normal());
}

/** Section of the metal that stays, mm²: what the rolls really fed, of the wire that is really loaded. */
function metalMm2(program: Program, faults: Faults, travelMmPerMin: number): number {
  const { wire } = arcOf(program, program.ctwdMm, program.trimMm);
  const section = wireAreaMm2(faults.diameterMm ?? program.diameterMm) / wireAreaMm2(program.diameterMm);
  const feed = program.wireFeedMPerMin * (faults.feedFactor ?? 1) * (1 - (faults.slip ?? 0)) * section;
  return areaForTravel(wire, feed, travelMmPerMin);
}

interface Shape {
  /** Meant as dip: there shorts are the rule. */
  readonly isDip: boolean;
  readonly metrics: SimulationMetrics;
  readonly transferMode: TransferMode;
  readonly legsMm: readonly [number, number];
  readonly reach: number;
  readonly isFillet: boolean;
  readonly flat: number;
}

/** What arc and metal show by themselves: a rise from never to nearly always about where a careful eye or ear notes it (assumed). */
function ownSigns({
  isDip,
  metrics,
  transferMode,
  legsMm,
  reach,
  isFillet,
  flat,
}: Shape): Partial<Record<SymptomCode, number>> {
  const rise = (value: number, half: number, width: number) => 0.95 / (1 + Math.exp((half - value) / width));
  return {
    crackle: isDip ? 0 : rise(metrics.shortsPerS, 3, 1),
    'frying-rough': isDip ? rise(metrics.regularityIndex, 1.6, 0.2) : 0,
    flutter: isDip ? 0 : rise(metrics.meanArcLengthMm, 6.2, 0.4),
    'stubbing-start': transferMode === 'stubbing' ? 0.8 : 0,
    'spatter-coarse': transferMode === 'stubbing' || transferMode === 'globular' ? 0.6 : 0,
    'tip-burnt': transferMode === 'burn-back' ? 0.7 : 0,
    'printed-through': rise(reach, 0.8, 0.05),
    hole: rise(reach, 1.15, 0.04),
    'no-root-fusion': rise(-reach, -0.24, 0.02),
    'legs-unequal': isFillet ? rise(Math.abs(Math.log(legsMm[0] / legsMm[1])), 0.3, 0.05) : 0,
    'bead-flat-wide': rise(flat, 1.22, 0.03),
    'bead-high': rise(-flat, -0.84, 0.02),
  };
}

function faultOf(code: HiddenFaultCode): HiddenFault {
  return hiddenFaults[code];
}
