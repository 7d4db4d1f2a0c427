/** What is left in cylinders and on spools, as arc minutes and parts, counted down by what has been welded since it was read. */
import { amount, type Phrase, message, sum } from '../../base/messages/index.ts';
import { fillerOf, gasOf, type FillerCode, wireAreaMm2 } from '../../metal/consumables/index.ts';
import { co2LPerKg, co2Minutes, compressedMinutes, keptBackBar, spoolMinutes } from './stock.ts';
import type { PartTakes } from './part-takes.ts';
import { trueFlowFactor } from '../../metal/consumables/true-flow.ts';
import { wireKgPerM } from '../../base/units/convert.ts';

/** A cylinder as it was last read. CO₂ is a liquid and is weighed. */
export interface CylinderReading {
  readonly gas: string;
  /** Water volume, L. */
  readonly volumeL: number;
  /** Gauge, bar; null for weighed gas. */
  readonly pressureBar: number | null;
  /** Gas left by the scale, kg; null for compressed gas. */
  readonly massKg: number | null;
}

export interface SpoolReading {
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly massKg: number;
}

/** What one part takes of a program. */
export interface PartUse {
  readonly wireFeedMPerMin: number;
  readonly gasFlowLPerMin: number;
  /** Of one part, with what flows before and after each start. */
  readonly gasL: number;
  readonly wireKg: number;
  readonly starts: number;
}

export interface Outlook {
  /** Arc minutes at the program's flow or feed. */
  readonly arcMinutes: number;
  /** Whole parts left; undefined when a part takes none. */
  readonly partsLeft: number | undefined;
  /** L of gas or kg of wire that one part takes. */
  readonly perPart: number;
  readonly because: Phrase;
  readonly words: 'plenty' | 'low' | 'not enough for one part';
}

/** Below this many parts a refill should be at hand. */
const lowParts = 5;

/** True when a gas is stored as a liquid and its pressure says nothing. */
export function isWeighed(gas: string): boolean {
  return gasOf(gas).co2Pct === 100;
}

/** Gas that is free to use, L: the last 5 bar kept back; liquid CO₂ by its mass. */
export function usableGasL({ gas, volumeL, pressureBar, massKg }: CylinderReading): number {
  if (isWeighed(gas)) return Math.max(massKg ?? 0, 0) * co2LPerKg;
  return volumeL * Math.max((pressureBar ?? 0) - keptBackBar, 0);
}

export function cylinderOutlook(cylinder: CylinderReading, use: PartUse): Outlook {
  const { gasFlowLPerMin: flow } = use;
  const usable = usableGasL(cylinder);
  const perPart = use.gasL;
  const arcMinutes =
    flow <= 0
      ? Infinity
      : isWeighed(cylinder.gas)
        ? co2Minutes(Math.max(cylinder.massKg ?? 0, 0), flow)
        : compressedMinutes(cylinder.volumeL, cylinder.pressureBar ?? 0, flow);
  const because = isWeighed(cylinder.gas)
    ? message('consumption.because.liquid-co2', {
        mass: amount('spoolMass', cylinder.massKg ?? 0, 1),
        co2LPer: amount('gasPerMass', co2LPerKg),
        flow: amount('gasFlow', flow),
      })
    : message('consumption.because.parts-left', {
        volume: amount('volume', cylinder.volumeL),
        pressure: amount('plain', cylinder.pressureBar ?? 0, 0),
        keptBack: keptBackBar,
        flow: amount('gasFlow', flow),
        perPart: amount('volume', perPart, 1),
        starts: use.starts,
      });
  return outlook(arcMinutes, usable, perPart, because);
}

export function spoolOutlook(spool: SpoolReading, use: PartUse): Outlook {
  const { densityKgPerM3 } = fillerOf(spool.filler);
  const kgPerM = wireKgPerM(wireAreaMm2(spool.diameterMm), densityKgPerM3);
  // More may have been drawn than was ever weighed; there is then none left.
  const left = Math.max(spool.massKg, 0);
  const perPart = use.wireKg;
  return outlook(
    spoolMinutes(left, spool.diameterMm, densityKgPerM3, use.wireFeedMPerMin),
    left,
    perPart,
    message('consumption.sum', {
      mass: amount('spoolMass', spool.massKg, 2),
      kgPerM: amount('wireMassPerLength', 1000 * kgPerM, 2),
      wireFeed: amount('wireFeed', use.wireFeedMPerMin, 1),
    }),
  );
}

function outlook(arcMinutes: number, left: number, perPart: number, because: Phrase): Outlook {
  const partsLeft = perPart > 0 ? Math.floor(left / perPart + 1e-9) : undefined;
  const words =
    partsLeft === undefined || partsLeft >= lowParts ? 'plenty' : partsLeft === 0 ? 'not enough for one part' : 'low';
  return { arcMinutes, partsLeft, perPart, because: sum(because), words };
}

/** What one part takes, with the feed and the flow it is welded at. */
export function partUse(
  program: {
    readonly wireFeedMPerMin: number;
    /** As an argon gauge reads it. */
    readonly gasFlowLPerMin: number;
    readonly gas: string;
  },
  { gasL, wireKg, passes }: PartTakes,
): PartUse {
  return {
    wireFeedMPerMin: program.wireFeedMPerMin,
    gasFlowLPerMin: program.gasFlowLPerMin * trueFlowFactor(program.gas),
    gasL,
    wireKg,
    starts: passes,
  };
}
