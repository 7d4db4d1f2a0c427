/**
 * The `pulse` question: a feed, and as much of the waveform as the welder fixes; the rest is solved so that the wire fed is the wire melted.
 * Nothing fixed: one drop per pulse. One of background and frequency fixed: the other follows. Both fixed: the peak (or its time) follows.
 * All four fixed: nothing is solved; the answer says what that waveform melts and where the arc settles.
 */
import { pulseLineMm, wireInGas, type Nudges } from '../arc/index.ts';
import { failure, rangeIssues, ranges, success, type Issue, type Outcome, type Warning } from '../outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../units/factors.ts';
import { meltedByPulse, type PulseSite } from './balance.ts';
import { dropFactorFor, dropFactorLimits } from './drop.ts';
import { defaultSlewAPerMs } from './default-pulse.ts';
import { backgroundFloorA } from './one-drop.ts';
import { pulseReference, type PulseReference } from './reference.ts';
import { referenceWithin } from './default-pulse.ts';
import { detachingImpulseA2s, dropMomentMs, neededImpulseA2s, pulseMeans, type FastPulse } from './waveform.ts';
import { gasWarnings, pulseGateIssues } from './gates.ts';
import type { PulseInput } from './pulse-input.ts';
import { solveWaveform, type SolvedWaveform } from './solve-waveform.ts';

export interface PulseResult extends FastPulse {
  readonly meanCurrentA: number;
  readonly rmsCurrentA: number;
  readonly dropFactor: number;
  readonly dropsPerPulse: number;
  readonly meltedMPerMin: number;
  readonly extensionMm: number;
  /** Only when the stick-out was given. */
  readonly arcLengthMm?: number;
  readonly transitionCurrentA: number;
  /** Drop leaves this long after the foot of the rise; absent when a single pulse is too weak. */
  readonly dropMomentMs?: number;
  readonly solvedFor: readonly string[];
  readonly warnings: readonly Warning[];
  readonly because: string;
}

/** Drops per pulse by impulse, counted as one inside the band in which a pulse detaches exactly one. */
export const oneDropBand = [0.75, 1.35] as const;

/** Solves a pulse. Issues: ranges, gates of wire and gas, `one-of`, `no-solution`, `outside-pulse-range`. Currents A, times ms, feed m/min. */
export function solvePulse(input: PulseInput, nudges?: Nudges): Outcome<PulseResult> {
  const {
    diameterMm,
    wireFeedMPerMin,
    extensionMm,
    ctwdMm,
    peakCurrentA,
    peakTimeMs,
    backgroundCurrentA,
    frequencyHz,
  } = input;
  const slewAPerMs = input.slewAPerMs ?? defaultSlewAPerMs;
  const issues: Issue[] = rangeIssues({
    diameterMm,
    wireFeedMPerMin,
    extensionMm,
    ctwdMm,
    slewAPerMs,
    peakCurrentA,
    peakTimeMs,
    backgroundCurrentA,
    frequencyHz,
  });
  if ((extensionMm === undefined) === (ctwdMm === undefined)) {
    issues.push({
      path: 'extensionMm',
      code: 'one-of',
      message: 'Give exactly one of extensionMm and ctwdMm.',
      got: { extensionMm, ctwdMm },
    });
  }
  if (peakCurrentA !== undefined && backgroundCurrentA !== undefined && backgroundCurrentA >= peakCurrentA) {
    issues.push({
      path: 'backgroundCurrentA',
      code: 'background-above-peak',
      message: `Background ${backgroundCurrentA} A must lie below the peak of ${peakCurrentA} A.`,
      limit: peakCurrentA,
      got: backgroundCurrentA,
    });
  }
  issues.push(...pulseGateIssues(input.filler, input.gas), ...machineIssues(input));
  if (issues.length > 0) return failure(...issues);

  const wire = wireInGas(input.filler, input.gas, diameterMm, nudges);
  const lineMm = pulseLineMm(wire.family, diameterMm);
  const extension = extensionMm ?? (ctwdMm ?? 0) - lineMm;
  if (extension < ranges.extensionMm.min) {
    return failure({
      path: 'ctwdMm',
      code: 'stick-out-too-short',
      message: `A stick-out of ${ctwdMm} mm leaves ${extension.toFixed(1)} mm of wire above a ${lineMm} mm arc; at least ${ranges.extensionMm.min} mm is needed, or the arc burns back to the tip.`,
      limit: lineMm + ranges.extensionMm.min,
      got: ctwdMm,
      hint: 'Hold the gun further out.',
    });
  }
  const site: PulseSite = { wire, extensionMm: extension };
  const own = pulseReference(wire);
  const reference = referenceWithin(own, wire.transitionA, slewAPerMs, input.machine?.maxCurrentA);
  const rate = wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN;
  const waveform = solveWaveform(site, reference, rate, input, slewAPerMs);
  if (!waveform.ok) return waveform;
  const pulse = waveform.value.pulse;
  if (1000 / pulse.frequencyHz < pulse.peakTimeMs + pulseMeans(pulse).rampMs) {
    return failure({
      path: frequencyHz === undefined ? 'peakTimeMs' : 'frequencyHz',
      code: 'pulses-overlap',
      message: `At ${pulse.frequencyHz.toFixed(0)} Hz a period lasts ${(1000 / pulse.frequencyHz).toFixed(2)} ms; a peak of ${pulse.peakTimeMs.toFixed(2)} ms with its flanks does not fit.`,
      limit: Number((1000 / pulse.frequencyHz).toFixed(2)),
      got: pulse.peakTimeMs,
      hint: 'Shorten the peak or lower the frequency.',
    });
  }
  const described = describe(site, reference, rate, input, waveform.value, lineMm);
  if (reference === own) return success(described);
  const held: Warning = {
    code: 'peak-held-by-machine',
    level: 'note',
    message: `The machine gives ${reference.peakCurrentA} A at most; the peak of ${own.peakCurrentA.toFixed(0)} A is lowered and held for ${reference.peakTimeMs.toFixed(2)} ms instead.`,
  };
  return success({ ...described, warnings: [...described.warnings, held] });
}

/** What was asked of the machine beyond what it gives. */
function machineIssues({ machine, peakCurrentA, wireFeedMPerMin }: PulseInput): Issue[] {
  const issues: Issue[] = [];
  if (machine?.maxCurrentA !== undefined && peakCurrentA !== undefined && peakCurrentA > machine.maxCurrentA) {
    issues.push({
      path: 'peakCurrentA',
      code: 'beyond-machine',
      message: `A peak of ${peakCurrentA} A is more than this machine gives, ${machine.maxCurrentA} A.`,
      limit: machine.maxCurrentA,
      got: peakCurrentA,
      hint: 'Leave the peak out: a lower one is held longer instead.',
    });
  }
  const feeds = machine?.wireFeedMPerMin;
  if (feeds && (wireFeedMPerMin < feeds[0] || wireFeedMPerMin > feeds[1])) {
    issues.push({
      path: 'wireFeedMPerMin',
      code: 'beyond-machine',
      message: `${wireFeedMPerMin} m/min is outside what this machine feeds, ${feeds[0]} to ${feeds[1]} m/min.`,
      limit: feeds,
      got: wireFeedMPerMin,
      hint: 'Take another wire diameter.',
    });
  }
  return issues;
}

function describe(
  site: PulseSite,
  reference: PulseReference,
  rate: number,
  input: PulseInput,
  solved: SolvedWaveform,
  lineMm: number,
): PulseResult {
  const { wire } = site;
  const { pulse } = solved;
  const means = pulseMeans(pulse);
  const oneDrop = solved.solvedFor.length === 2;
  const impulses = detachingImpulseA2s(pulse, wire.transitionA) / neededImpulseA2s(reference);
  const dropsPerPulse = oneDrop
    ? solved.dropsPerPulse
    : impulses >= oneDropBand[0] && impulses <= oneDropBand[1]
      ? 1
      : impulses;
  const dropFactor = dropFactorFor(wire, rate, Math.max(pulse.frequencyHz * dropsPerPulse, 1e-6));
  const melted = meltedByPulse(site, pulse);
  const warnings: Warning[] = [...gasWarnings(input.filler, input.gas)];
  const note = (code: string, message: string, level: Warning['level'] = 'caution') =>
    warnings.push({ code, level, message });

  if (solved.stretched) {
    note(
      'peak-time-stretched',
      `The peak is stretched from ${reference.peakTimeMs.toFixed(2)} to ${pulse.peakTimeMs.toFixed(2)} ms to melt this much wire; the drop leaves before the peak ends.`,
      'note',
    );
  }
  if (means.reachedPeakA < pulse.peakCurrentA - 0.5) {
    note(
      'peak-not-reached',
      `At ${pulse.slewAPerMs} A/ms the current reaches only ${means.reachedPeakA.toFixed(0)} A of the ${pulse.peakCurrentA.toFixed(0)} A peak.`,
    );
  }
  if (dropsPerPulse < oneDropBand[0]) {
    note(
      'less-than-one-drop',
      `A pulse carries ${(100 * dropsPerPulse).toFixed(0)} % of what detaches a drop: drops leave late and large.`,
    );
  } else if (dropsPerPulse > oneDropBand[1]) {
    note(
      'several-drops',
      oneDrop
        ? `So much wire is past one drop a pulse: the pulse streams, ${dropsPerPulse.toFixed(1)} drops each over a background of ${pulse.backgroundCurrentA.toFixed(0)} A.`
        : `A pulse carries ${dropsPerPulse.toFixed(1)} times what detaches a drop: several small drops leave in one pulse.`,
      oneDrop ? 'note' : 'caution',
    );
  }
  if (!oneDrop && dropsPerPulse === 1 && (dropFactor < dropFactorLimits.min || dropFactor > dropFactorLimits.max)) {
    note(
      'drop-size',
      `The drop would be ${dropFactor.toFixed(2)} wire diameters; ${dropFactorLimits.min} to ${dropFactorLimits.max} transfers cleanly.`,
    );
  }
  const floorA = backgroundFloorA(wire.transitionA);
  if (pulse.backgroundCurrentA < floorA - 0.5) {
    note(
      'background-below-floor',
      `A background of ${pulse.backgroundCurrentA.toFixed(0)} A is below ${floorA.toFixed(0)} A; the arc may go out between pulses.`,
    );
  }

  const settled = settledArc(site, pulse, rate, input, lineMm, solved.solvedFor.length === 0);
  if (settled.note) note('arc-settles-elsewhere', settled.note);
  const drop = dropMomentMs(pulse, reference, wire.transitionA);
  return {
    ...pulse,
    meanCurrentA: means.meanA,
    rmsCurrentA: means.rmsA,
    dropFactor,
    dropsPerPulse,
    meltedMPerMin: melted / MM_PER_S_PER_M_PER_MIN,
    extensionMm: settled.extensionMm,
    ...(settled.arcLengthMm === undefined ? {} : { arcLengthMm: settled.arcLengthMm }),
    transitionCurrentA: wire.transitionA,
    ...(drop === undefined ? {} : { dropMomentMs: drop }),
    solvedFor: solved.solvedFor,
    warnings,
    because:
      `feed ${Number(input.wireFeedMPerMin.toFixed(2))} m/min × ${wire.areaMm2.toFixed(3)} mm² = ${(rate * wire.areaMm2).toFixed(1)} mm³/s; ` +
      `one drop of ${dropFactor.toFixed(2)} d per pulse → ${pulse.frequencyHz.toFixed(0)} Hz; ` +
      `${means.reachedPeakA.toFixed(0)} A × ${pulse.peakTimeMs.toFixed(2)} ms and ${pulse.backgroundCurrentA.toFixed(0)} A between → mean ${means.meanA.toFixed(0)} A, rms ${means.rmsA.toFixed(0)} A`,
  };
}

/** Where the arc ends up: on its line when the waveform was solved for it, else where the extension makes up the balance. */
function settledArc(
  site: PulseSite,
  pulse: FastPulse,
  rate: number,
  input: PulseInput,
  lineMm: number,
  nothingSolved: boolean,
): { extensionMm: number; arcLengthMm?: number; note?: string } {
  if (!nothingSolved) {
    return input.ctwdMm === undefined
      ? { extensionMm: site.extensionMm }
      : { extensionMm: site.extensionMm, arcLengthMm: lineMm };
  }
  const { meanA, rmsA } = pulseMeans(pulse);
  const { wire } = site;
  const needed = (rate - wire.arcMeltMmPerAs * meanA) / (wire.extensionMeltPerA2s * rmsA * rmsA);
  if (input.ctwdMm === undefined) {
    const offMPerMin = (meltedByPulse(site, pulse) - rate) / MM_PER_S_PER_M_PER_MIN;
    return {
      extensionMm: site.extensionMm,
      ...(Math.abs(offMPerMin) > 0.01
        ? {
            note: `This waveform melts ${Math.abs(offMPerMin).toFixed(2)} m/min ${offMPerMin > 0 ? 'more' : 'less'} than is fed; it balances at an extension of ${needed.toFixed(1)} mm.`,
          }
        : {}),
    };
  }
  const arcLengthMm = input.ctwdMm - needed;
  if (needed >= ranges.extensionMm.min && arcLengthMm > 0) return { extensionMm: needed, arcLengthMm };
  return {
    extensionMm: site.extensionMm,
    note:
      arcLengthMm <= 0
        ? 'This waveform melts too little: the wire reaches the plate and stubs.'
        : 'This waveform melts too much: the arc climbs to the contact tip.',
  };
}
