/**
 * The `pulse` question: a feed, and as much of the waveform as the welder fixes; the rest is solved so that the wire fed is the wire melted.
 * Nothing fixed: one drop per pulse. One of background and frequency fixed: the other follows. Both fixed: the peak (or its time) follows.
 * All four fixed: nothing is solved; the answer says what that waveform melts and where the arc settles.
 */
import { amount, bare, type Phrase, message, sum } from '../../base/messages/index.ts';
import { pulseLineMm, wireInGas, type Nudges } from '../../metal/arc/index.ts';
import {
  failure,
  rangeIssues,
  ranges,
  success,
  type Issue,
  type Outcome,
  type Warning,
} from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import { meltedByPulse, type PulseSite } from './balance.ts';
import { dropFactorFor, dropFactorLimits } from './drop.ts';
import { defaultSlewAPerMs, referenceWithin } from './default-pulse.ts';
import { backgroundFloorA } from './one-drop.ts';
import { pulseReference, type PulseReference } from './reference.ts';
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
  readonly because: Phrase;
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
      message: message('pulse.error.extension-or-ctwd'),
      got: { extensionMm, ctwdMm },
    });
  }
  if (peakCurrentA !== undefined && backgroundCurrentA !== undefined && backgroundCurrentA >= peakCurrentA) {
    issues.push({
      path: 'backgroundCurrentA',
      code: 'background-above-peak',
      message: message('pulse.error.background-above-peak', {
        backgroundCurrent: amount('current', backgroundCurrentA),
        peakCurrent: amount('current', peakCurrentA),
      }),
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
      message: message('pulse.error.ctwd-too-short', {
        ctwd: amount('shortLength', ctwdMm ?? 0),
        extension: amount('shortLength', extension, 1),
        line: amount('shortLength', lineMm),
        least: amount('shortLength', ranges.extensionMm.min),
      }),
      limit: lineMm + ranges.extensionMm.min,
      got: ctwdMm,
      hint: message('pulse.hint.hold-further'),
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
      message: message('pulse.error.peak-longer-than-period', {
        frequency: amount('frequency', pulse.frequencyHz, 0),
        period: amount('pulseTime', 1000 / pulse.frequencyHz, 2),
        peakTime: amount('pulseTime', pulse.peakTimeMs, 2),
      }),
      limit: Number((1000 / pulse.frequencyHz).toFixed(2)),
      got: pulse.peakTimeMs,
      hint: message('pulse.hint.shorten-peak'),
    });
  }
  const described = describe(site, reference, rate, input, waveform.value, lineMm);
  if (reference === own) return success(described);
  const held: Warning = {
    code: 'peak-held-by-machine',
    level: 'note',
    message: message('pulse.caution.peak-lowered', {
      most: amount('current', reference.peakCurrentA),
      wanted: amount('current', own.peakCurrentA, 0),
      peakTime: amount('pulseTime', reference.peakTimeMs, 2),
    }),
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
      message: message('pulse.error.peak-above-machine', {
        peakCurrent: amount('current', peakCurrentA),
        maxCurrent: amount('current', machine.maxCurrentA),
      }),
      limit: machine.maxCurrentA,
      got: peakCurrentA,
      hint: message('pulse.hint.leave-peak-out'),
    });
  }
  const feeds = machine?.wireFeedMPerMin;
  if (feeds && (wireFeedMPerMin < feeds[0] || wireFeedMPerMin > feeds[1])) {
    issues.push({
      path: 'wireFeedMPerMin',
      code: 'beyond-machine',
      message: message('pulse.error.feed-outside-machine', {
        wireFeed: amount('wireFeed', wireFeedMPerMin),
        least: bare('wireFeed', feeds[0]),
        most: amount('wireFeed', feeds[1]),
      }),
      limit: feeds,
      got: wireFeedMPerMin,
      hint: message('pulse.hint.other-wire-size'),
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
  const note = (code: string, message: Phrase, level: Warning['level'] = 'caution') =>
    warnings.push({ code, level, message });

  if (solved.stretched) {
    note(
      'peak-time-stretched',
      message('pulse.caution.peak-extended', {
        from: bare('pulseTime', reference.peakTimeMs, 2),
        to: amount('pulseTime', pulse.peakTimeMs, 2),
      }),
      'note',
    );
  }
  if (means.reachedPeakA < pulse.peakCurrentA - 0.5) {
    note(
      'peak-not-reached',
      message('pulse.caution.slew-rate', {
        slewAPer: amount('slew', pulse.slewAPerMs),
        reachedPeak: amount('current', means.reachedPeakA, 0),
        peakCurrent: amount('current', pulse.peakCurrentA, 0),
      }),
    );
  }
  if (dropsPerPulse < oneDropBand[0]) {
    note(
      'less-than-one-drop',
      message('pulse.caution.weak-pulse', { dropsPerPulse: amount('percent', 100 * dropsPerPulse, 0) }),
    );
  } else if (dropsPerPulse > oneDropBand[1]) {
    note(
      'several-drops',
      oneDrop
        ? message('pulse.caution.streaming', {
            dropsPerPulse: amount('plain', dropsPerPulse, 1),
            backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0),
          })
        : message('pulse.caution.strong-pulse', { dropsPerPulse: amount('plain', dropsPerPulse, 1) }),
      oneDrop ? 'note' : 'caution',
    );
  }
  if (!oneDrop && dropsPerPulse === 1 && (dropFactor < dropFactorLimits.min || dropFactor > dropFactorLimits.max)) {
    note(
      'drop-size',
      message('pulse.caution.drop-size', {
        dropFactor: amount('plain', dropFactor, 2),
        least: dropFactorLimits.min,
        most: dropFactorLimits.max,
      }),
    );
  }
  const floorA = backgroundFloorA(wire.transitionA);
  if (pulse.backgroundCurrentA < floorA - 0.5) {
    note(
      'background-below-floor',
      message('pulse.caution.low-background', {
        backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0),
        floor: amount('current', floorA, 0),
      }),
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
    because: sum(
      message('pulse.because.frequency', {
        wireFeed: amount('wireFeed', Number(input.wireFeedMPerMin.toFixed(2))),
        wireArea: amount('area', wire.areaMm2, 3),
        wireRate: amount('metalRate', rate * wire.areaMm2, 1),
        dropFactor: amount('plain', dropFactor, 2),
        frequency: amount('frequency', pulse.frequencyHz, 0),
        reachedPeak: amount('current', means.reachedPeakA, 0),
        peakTime: amount('pulseTime', pulse.peakTimeMs, 2),
        backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0),
        mean: amount('current', means.meanA, 0),
        rms: amount('current', means.rmsA, 0),
      }),
    ),
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
): { extensionMm: number; arcLengthMm?: number; note?: Phrase } {
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
            note: message('pulse.because.balance', {
              off: amount('wireFeed', Math.abs(offMPerMin), 2),
              sense: offMPerMin > 0 ? 'more' : 'other',
              needed: amount('shortLength', needed, 1),
            }),
          }
        : {}),
    };
  }
  const arcLengthMm = input.ctwdMm - needed;
  if (needed >= ranges.extensionMm.min && arcLengthMm > 0) return { extensionMm: needed, arcLengthMm };
  return {
    extensionMm: site.extensionMm,
    note: arcLengthMm <= 0 ? message('pulse.caution.melts-too-little') : message('pulse.caution.melts-too-much'),
  };
}
