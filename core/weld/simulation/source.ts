/** Power sources as the loop sees them: constant voltage behind an inductance, or a pulse with a slew limit and an arc-length controller. */
import { arcElectrical, pulseLineMm, wireInGas, type WireInGas, nominalCircuitMOhm } from '../../metal/arc/index.ts';
import { success, type Outcome } from '../../base/outcome/index.ts';
import { pulseStickOutMm } from '../../setting/plan/practice.ts';
import { solvePulse, pulseMeans, type FastPulse, type PulseResult } from '../../setting/pulse/index.ts';
import { inductanceUh, shortRampAPerMs } from './params.ts';
import type { ControlSchool, PulseSourceInput, SimulationInput } from './input.ts';
import { feedMmPerS, lostVolts, secondsOfMs, thousandth } from '../../base/units/convert.ts';

/** One level of the pulse: what the machine runs when the arc needs no correction. */
export interface PulseLevel {
  readonly feedMmPerS: number;
  readonly peakA: number;
  readonly peakS: number;
  readonly backgroundA: number;
  readonly frequencyHz: number;
  /** Set-point of the mean voltage that the source sees at its own terminals, V. */
  readonly setPointV: number;
}

export interface ConstantVoltageSource {
  readonly kind: 'constant-voltage';
  readonly voltageV: number;
  readonly inductanceH: number;
  readonly circuitOhm: number;
}

export interface PulseSource {
  readonly kind: 'pulse';
  readonly control: ControlSchool;
  readonly circuitOhm: number;
  readonly slewAPerS: number;
  readonly shortRampAPerS: number;
  readonly high: PulseLevel;
  /** Equal to `high` without a slow beat. */
  readonly low: PulseLevel;
  /** Slow beat: frequency in Hz (0 without) and share of time at high. */
  readonly beatHz: number;
  readonly highShare: number;
}

export type Source = ConstantVoltageSource | PulseSource;

/** The source that an input describes. Issues: those of the pulse it is solved from. */
export function buildSource(input: SimulationInput): Outcome<Source> {
  const { source } = input;
  if (source.kind === 'constant-voltage') {
    return success({
      kind: 'constant-voltage',
      voltageV: source.voltageV,
      inductanceH: (source.inductanceUh ?? inductanceUh(source.stiffness ?? 0)) * 1e-6,
      circuitOhm: thousandth(source.circuitMOhm ?? nominalCircuitMOhm),
    });
  }
  const wire = wireInGas(input.filler, input.gas, input.diameterMm);
  const beat = source.slowBeat;
  const high = buildLevel(input, wire, beat?.highFeedMPerMin ?? input.wireFeedMPerMin);
  if (!high.ok) return high;
  const low = beat ? buildLevel(input, wire, beat.lowFeedMPerMin) : high;
  if (!low.ok) return low;
  const stiffness = source.stiffness ?? 0;
  return success({
    kind: 'pulse',
    control: source.control ?? 'frequency',
    circuitOhm: thousandth(source.circuitMOhm ?? nominalCircuitMOhm),
    slewAPerS: (source.pulse?.slewAPerMs ?? slewByStiffness(stiffness)) * 1000,
    shortRampAPerS: shortRampAPerMs(stiffness) * 1000,
    high: high.value,
    low: low.value,
    beatHz: beat?.frequencyHz ?? 0,
    highShare: beat?.highShare ?? 1,
  });
}

/** Slew within 100..600 A/ms: a soft setting rounds the flanks. */
function slewByStiffness(stiffness: number): number {
  return Math.min(Math.max(600 * 2 ** (Math.min(stiffness, 0) / 5), 100), 600);
}

/**
 * The waveform at the extension that the trim leaves. A source that answers by its frequency keeps the background of its line when the trim
 * is moved, so that the trim is heard as pitch; where that cannot be balanced, and in the other schools, all of it is solved anew.
 */
function solveForTrim(
  input: SimulationInput,
  wireAndFeed: Pick<SimulationInput, 'filler' | 'gas' | 'diameterMm' | 'wireFeedMPerMin'>,
  given: NonNullable<PulseSourceInput['pulse']>,
  extensionMm: number,
  lineExtensionMm: number,
): Outcome<PulseResult> {
  const { source } = input;
  const anew = () => {
    const asGiven = solvePulse({ ...wireAndFeed, extensionMm, ...given });
    // A level of a beat that the given peak cannot carry gets the peak that the wire itself wants there.
    const isLevel = source.kind === 'pulse' && source.slowBeat !== undefined;
    return asGiven.ok || !isLevel ? asGiven : solvePulse({ ...wireAndFeed, extensionMm });
  };
  const isFree = given.backgroundCurrentA === undefined && given.frequencyHz === undefined;
  if (source.kind !== 'pulse' || (source.control ?? 'frequency') !== 'frequency' || !isFree) return anew();
  const onLine = solvePulse({ ...wireAndFeed, extensionMm: lineExtensionMm, ...given });
  if (!onLine.ok || Math.abs(extensionMm - lineExtensionMm) < 1e-9) return onLine.ok ? onLine : anew();
  const { peakCurrentA, peakTimeMs, backgroundCurrentA } = onLine.value;
  const held = solvePulse({ ...wireAndFeed, extensionMm, ...given, peakCurrentA, peakTimeMs, backgroundCurrentA });
  return held.ok ? held : anew();
}

function buildLevel(input: SimulationInput, wire: WireInGas, feedMPerMin: number): Outcome<PulseLevel> {
  const { source } = input;
  if (source.kind !== 'pulse') throw new Error('a level belongs to a pulse source');
  const lineMm = pulseLineMm(wire.family, wire.diameterMm);
  const targetMm = Math.max(lineMm + (source.trim ?? 0), 0);
  // The line is a static figure: the drop counts as nothing in it.
  // A machine that holds a voltage does not know where the hand is: its waveform was made for the usual stick-out.
  const madeForMm = source.voltageV === undefined ? input.ctwdMm : pulseStickOutMm(wire.diameterMm);
  const extensionMm = Math.max(madeForMm - (source.voltageV === undefined ? targetMm : lineMm), 3);
  const given = source.pulse ?? {};
  const wireAndFeed = {
    filler: input.filler,
    gas: input.gas,
    diameterMm: input.diameterMm,
    wireFeedMPerMin: feedMPerMin,
  };
  const solved = solveForTrim(input, wireAndFeed, given, extensionMm, Math.max(madeForMm - lineMm, 3));
  if (!solved.ok) return solved;
  const pulse: FastPulse = solved.value;
  const { meanA, rmsA } = pulseMeans(pulse);
  const tipV = source.voltageV ?? arcElectrical(wire, meanA, rmsA, targetMm, extensionMm, 0).meanVoltageV;
  return success({
    feedMmPerS: feedMmPerS(feedMPerMin) * (1 - (input.feedSlip ?? 0)),
    peakA: pulse.peakCurrentA,
    peakS: secondsOfMs(pulse.peakTimeMs),
    backgroundA: pulse.backgroundCurrentA,
    frequencyHz: pulse.frequencyHz,
    setPointV: tipV + lostVolts(meanA, source.madeForMOhm ?? nominalCircuitMOhm) + (source.setPointOffsetV ?? 0),
  });
}
