/** Every figure of a program under the names that dials use, as this machine would have to be told them; and the way back. */
import type { Phrase } from '../../base/messages/index.ts';
import {
  canonicalOf,
  sayBeat,
  type BeatInput,
  type BeatSchool,
  type CanonicalBeat,
} from '../../setting/double-pulse/index.ts';
import { arcOf, type ArcOf } from './arc-of.ts';
import { calibrationOf, nominalCircuitMOhm, type CalibratedWire } from '../../metal/arc/index.ts';
import type { LineFit } from '../teaching/line-fit.ts';
import type { Program } from '../../setting/program/program.ts';
import type { DialQuantity } from '../description/quantities.ts';
import { lostVolts } from '../../base/units/convert.ts';

export type Figures = Partial<Record<DialQuantity, number>>;

export interface Wished {
  readonly figures: Figures;
  readonly arc: ArcOf;
  /** Set when the machine's school cannot say the beat: why, and what it would really run. */
  readonly beatMiss?: { readonly why: Phrase; readonly nearest: CanonicalBeat | undefined };
  /** How far the machine's own taught line lies from ours, mm of arc; 0 where it was not taught. */
  readonly lineOffsetMm: number;
}

/** A taught line further from ours than this is not believed, mm. */
export const believableOffsetMm = 3;

export function wishedFigures(
  program: Program,
  machine: Circuit & { readonly beatSchool: BeatSchool | null },
  line: LineFit | undefined,
  /** Feed at which the dial really stands, where its steps are coarse: the leads lose what flows there. */
  dialledFeedMPerMin?: number,
  /** How far the dial of the arc's length misses: at another arc the same feed wants another current. */
  trimMissMm = 0,
): Wished {
  const school = machine.beatSchool;
  const arc = arcOf(program, program.ctwdMm, program.trimMm, calibrationOf(machine.corrections, program));
  const dialledArc =
    trimMissMm === 0
      ? arc
      : arcOf(program, program.ctwdMm, program.trimMm + trimMissMm, calibrationOf(machine.corrections, program));
  const beat = program.slowBeat;
  const said = beat && school ? sayBeat(beat, school) : undefined;
  const setFeed = said ? setFeedOf(said.to) : program.wireFeedMPerMin;
  const lineOffsetMm = neutralOffsetMm(machine, line, arc, dialledFeedMPerMin ?? setFeed);
  const { sequence } = program;
  // Levels lean on the mean feed, whichever level of a slow beat the main dial shows.
  const level = (percent: number) => (program.wireFeedMPerMin * percent) / 100;
  const figures: Figures = {
    wireFeedMPerMin: setFeed,
    ...defined('meanCurrentA', dialledArc.currentAt(setFeed)),
    ...defined('chartThicknessMm', line?.thicknessAt(setFeed)),
    trimMm: program.trimMm - lineOffsetMm,
    stiffness: program.stiffness,
    ...(program.pulse
      ? {
          peakCurrentA: program.pulse.peakCurrentA,
          peakTimeMs: program.pulse.peakTimeMs,
          backgroundCurrentA: program.pulse.backgroundCurrentA,
          frequencyHz: program.pulse.frequencyHz,
        }
      : {}),
    gasFlowLPerMin: program.gasFlowLPerMin,
    ...(said ? beatFigures(said.to) : {}),
    startFeedMPerMin: level(sequence.startPercent),
    startS: sequence.startS,
    slopeInS: sequence.slopeInS,
    slopeOutS: sequence.slopeOutS,
    endFeedMPerMin: level(sequence.endPercent),
    startTrimMm: program.trimMm + sequence.startTrimMm - lineOffsetMm,
    endTrimMm: program.trimMm + sequence.endTrimMm - lineOffsetMm,
    secondFeedMPerMin: level(sequence.secondPercent),
    secondTrimMm: program.trimMm + sequence.secondTrimMm - lineOffsetMm,
    spotS: sequence.spotS,
    stitchOnS: sequence.stitchOnS,
    stitchOffS: sequence.stitchOffS,
    endS: sequence.endS,
    runInFeedMPerMin: level(sequence.runInPercent),
    burnBackMs: sequence.burnBackMs,
    preGasS: sequence.preGasS,
    postGasS: sequence.postGasS,
  };
  return {
    figures,
    arc,
    lineOffsetMm,
    ...(said && !said.representable ? { beatMiss: { why: said.why ?? '', nearest: said.nearest } } : {}),
  };
}

/** What the arc loses between the machine's terminals and the contact tip, and what the machine knows of it. */
export interface Circuit {
  /** Leads, gun and return clamp as measured last, else as entered. */
  readonly circuitMOhm: number;
  /** Set where the machine was aligned to its leads: it makes up for so much by itself. */
  readonly leadCompensation?: { readonly mOhm: number; readonly on?: string | undefined } | null | undefined;
  readonly corrections?: readonly CalibratedWire[] | undefined;
}

/**
 * Where the arc lies against our line when the machine's dial stands at neutral, mm. From its own taught volts where there are some, else
 * from its leads alone: dl = -(R - known) I / E. The dial has to make up for it, so that one program is one arc on every machine.
 */
export function neutralOffsetMm(circuit: Circuit, line: LineFit | undefined, arc: ArcOf, feedMPerMin: number): number {
  const known = circuit.leadCompensation?.mOhm;
  const taught = line && offsetOfLine(line, arc, feedMPerMin, circuit.circuitMOhm - (known ?? 0));
  if (taught !== undefined) return taught;
  const current = arc.currentAt(feedMPerMin);
  if (current === undefined) return 0;
  const offset = -lostVolts(current, circuit.circuitMOhm - (known ?? nominalCircuitMOhm)) / arc.wire.eVPerMm;
  return Math.min(Math.max(offset, -believableOffsetMm), believableOffsetMm);
}

/** Where a taught line's neutral arc lies against ours, from its own volts at this feed: Δl = ΔU / E. Undefined without volts. */
export function offsetOfLine(line: LineFit, arc: ArcOf, feedMPerMin: number, lostMOhm: number): number | undefined {
  const machineVolts = line.voltsAt(feedMPerMin);
  const ours = arc.lineVoltsAt(feedMPerMin);
  const current = arc.currentAt(feedMPerMin);
  if (machineVolts === undefined || ours === undefined || current === undefined) return undefined;
  const offset = (machineVolts - lostVolts(current, lostMOhm) - ours) / arc.wire.eVPerMm;
  return Math.abs(offset) <= believableOffsetMm ? offset : undefined;
}

/** The beat that figures read from dials amount to, or undefined when they do not make one. */
export function beatFromFigures(school: BeatSchool, figures: Figures): CanonicalBeat | undefined {
  const frequencyHz = figures.beatFrequencyHz;
  const share = figures.beatHighSharePercent;
  const feed = figures.wireFeedMPerMin;
  if (frequencyHz === undefined) return undefined;
  let beat: BeatInput | undefined;
  if (school === 'swing' && feed !== undefined && figures.beatSwingPercent !== undefined) {
    beat = { school, meanFeedMPerMin: feed, swingPercent: figures.beatSwingPercent, frequencyHz };
  } else if (school === 'top' && feed !== undefined && figures.beatLowPercent !== undefined && share !== undefined) {
    beat = {
      school,
      setFeedMPerMin: feed,
      lowPercent: figures.beatLowPercent,
      highSharePercent: share,
      frequencyHz,
    };
  } else if (school === 'two-level' && share !== undefined) {
    const { beatHighFeedMPerMin: highFeedMPerMin = feed, beatLowFeedMPerMin: lowFeedMPerMin } = figures;
    if (highFeedMPerMin !== undefined && lowFeedMPerMin !== undefined) {
      beat = { school, highFeedMPerMin, lowFeedMPerMin, highSharePercent: share, frequencyHz };
    }
  }
  const outcome = beat && canonicalOf(beat);
  return outcome?.ok ? outcome.value : undefined;
}

/** What the main feed dial has to show in a school. */
function setFeedOf(beat: BeatInput): number {
  switch (beat.school) {
    case 'top':
      return beat.setFeedMPerMin;
    case 'swing':
      return beat.meanFeedMPerMin;
    case 'two-level':
      return beat.highFeedMPerMin ?? 0;
  }
}

function beatFigures(beat: BeatInput): Figures {
  const rate = { beatFrequencyHz: beat.frequencyHz };
  switch (beat.school) {
    case 'top':
      return {
        ...rate,
        beatHighFeedMPerMin: beat.setFeedMPerMin,
        beatLowFeedMPerMin: (beat.setFeedMPerMin * beat.lowPercent) / 100,
        beatLowPercent: beat.lowPercent,
        beatHighSharePercent: beat.highSharePercent,
      };
    case 'swing':
      return { ...rate, beatSwingPercent: beat.swingPercent };
    case 'two-level':
      return {
        ...rate,
        ...defined('beatHighFeedMPerMin', beat.highFeedMPerMin),
        ...defined('beatLowFeedMPerMin', beat.lowFeedMPerMin),
        beatHighSharePercent: beat.highSharePercent,
      };
  }
}

function defined(quantity: DialQuantity, value: number | undefined): Figures {
  return value === undefined ? {} : { [quantity]: value };
}
