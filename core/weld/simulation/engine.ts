/**
 * The dynamic arc, one fixed step after the other: current, solid extension, pendant drop, detachment, shorts and ignition.
 * Explicit steps of 10 µs; nothing is allocated in the loop. Sources: melting after Lesnewich and Halmøy, detachment I²t = D after Allum
 * and Amin, dip transfer as a neck thinned by surface tension and by i²; the constants of the latter are assumed (params.ts).
 */
import { contact, type ArcState } from './arc-state.ts';
import { correctPulse, type PulseCommand } from './controller.ts';
import { arcDynamics, controller, disturbance, sourceLimits } from './params.ts';
import { nextNormal, type RandomStream } from '../../base/numeric/random.ts';
import type { Recorder } from './recorder.ts';
import type { PulseLevel } from './source.ts';
import { gapAt, heightSteps, type ArcModel } from './model.ts';

/** A factor that scatters around 1 with a spread in natural logarithms: no two bridges are alike. */
function spreadOf(random: RandomStream, noise: number, spread: number): number {
  return noise === 0 ? 1 : Math.exp(noise * spread * nextNormal(random));
}

/** How often tremor, beat and drive are looked at, steps: they move slowly against 10 µs. */
const SLOW_EVERY = 16;
/** Stands where a source without pulses has no level. */
const noLevel: PulseLevel = { feedMmPerS: 0, peakA: 0, peakS: 0, backgroundA: 0, frequencyHz: 1, setPointV: 0 };

/** The loop compares these every step; a property of an object would be looked up each time. */
const OPEN = contact.open;
const ARC = contact.arc;
const LIQUID = contact.liquid;
const SOLID = contact.solid;

/** Advances the arc by a number of steps, writing into the recorder. `powerOn` false: the source is off; `driveOn` false: the drive coasts down. */
export function advance(
  model: ArcModel,
  state: ArcState,
  steps: number,
  recorder: Recorder,
  powerOn = true,
  driveOn = true,
): void {
  const { setup, dropHeight, dropStepMm3, sphereMm3, detachA2s, atTransitionMm3, atTransitionPerMm } = model;
  const { neckS, neckA2s, fuseA2s } = model;
  const { wire, source, stepS: dt, noise } = setup;
  const { arcMeltMmPerAs, extensionMeltPerA2s, extensionOhmPerMm, areaMm2, v0V, raOhm, eVPerMm, transitionA } = wire;
  const {
    residualShare,
    largestDropFactor,
    bridgeV,
    bridgeOhm,
    extinctionA,
    extinctionS,
    fuseGapMm,
    buckleMm,
    shortestExtensionMm,
  } = arcDynamics;
  const isPulse = source.kind === 'pulse';
  const circuitOhm = source.circuitOhm;
  const perInductance = isPulse ? 0 : dt / source.inductanceH;
  const setV = isPulse ? 0 : source.voltageV;
  const openV = isPulse ? sourceLimits.openCircuitV : setV;
  const followsVolts = isPulse && source.control === 'frequency';
  const { pastPeakS, pastPeakShare, longestS, leastVs, mostVs } = controller.frequency;
  const bridging = arcDynamics.bridgingShare + arcDynamics.neckingStretch;
  const bridgeMelt = arcMeltMmPerAs * arcDynamics.bridgeMeltShare;
  const slewPerStep = isPulse ? source.slewAPerS * dt : 0;
  const rampPerStep = isPulse ? source.shortRampAPerS * dt : 0;
  const smallestMm3 = arcDynamics.smallestDropShare * sphereMm3;
  const liquidMm3 = arcDynamics.liquidTouchShare * sphereMm3;
  const decayPerStep = dt / arcDynamics.impulseDecayS;
  const averagePerStep = dt / arcDynamics.dropAnswerS;
  const largestA = sourceLimits.largestCurrentA;
  const ignitionA = sourceLimits.ignitionA;
  const inverseDropStep = 1 / dropStepMm3;
  const slowDt = dt * SLOW_EVERY;
  const poolRadPerS = 2 * Math.PI * arcDynamics.poolSwingHz * (1.2 / wire.diameterMm) ** 0.5;
  const poolPull = poolRadPerS * poolRadPerS * slowDt;
  const poolDrag = 2 * arcDynamics.poolDamping * poolRadPerS * slowDt;
  const measuring = state.timeS >= recorder.measureFromS - dt / 2;
  const traceSteps = recorder.traceEveryS > 0 ? Math.max(1, Math.round(recorder.traceEveryS / dt)) : 0;
  let untilTrace = 0;

  let t = state.timeS;
  let i = state.currentA;
  let u = state.voltageV;
  let ext = state.extensionMm;
  let drop = state.dropMm3;
  let impulse = state.impulseA2s;
  let touch = state.contact;
  let neck = state.neck;
  let pushed = state.pushedMm;
  let faint = state.faintS;
  let gap = state.gapMm;
  let poolDip = state.poolDipMm;
  let poolSpeed = state.poolDipMmPerS;
  let average = state.averageA;
  let feed = state.feedMmPerS;
  let phase = state.pulseS;
  let period = state.periodS;
  let peakA = state.peakA;
  let backA = state.backgroundA;
  let voltSeconds = state.pulseVoltSeconds;
  let need = state.dropNeed;
  let neckNeed = state.neckNeed;
  let shortFrom = state.shortFromS;
  let level = isPulse ? source.high : noLevel;
  let peakS = level.peakS;
  let earliestS = peakS + Math.min(pastPeakS, pastPeakShare * (1 / level.frequencyHz - peakS));
  let setPointV = level.setPointV;
  const command: PulseCommand = { periodS: period, peakA, backgroundA: backA, correction: state.correction };
  // What a drop may grow to below the transition current; follows the slow clock.
  let largestMm3 = 20 * sphereMm3;
  let untilSlow = 0;
  let isCold = recorder.litS < 0;

  let charge = 0;
  let square = 0;
  let volts = 0;
  let energy = 0;
  let arcSum = 0;
  let litSteps = 0;
  let extSum = 0;
  let minArc = recorder.minArcMm;
  let maxArc = recorder.maxArcMm;
  let minExt = recorder.minExtensionMm;
  if (measuring && recorder.measuredS === 0) {
    recorder.firstExtensionMm = ext;
    recorder.pulsesAtStart = recorder.pulses;
  }

  for (let step = 0; step < steps; step++) {
    if (untilSlow-- === 0) {
      untilSlow = SLOW_EVERY - 1;
      poolSpeed -= poolPull * poolDip + poolDrag * poolSpeed;
      poolDip += poolSpeed * slowDt;
      gap = gapAt(model, t) + poolDip;
      if (isPulse && source.beatHz > 0) {
        const beat = (t * source.beatHz) % 1;
        level = beat < source.highShare ? source.high : source.low;
        peakS = level.peakS;
        earliestS = peakS + Math.min(pastPeakS, pastPeakShare * (1 / level.frequencyHz - peakS));
      }
      const isRunIn = recorder.litS < 0 || t - recorder.litS < setup.runInAfterS;
      const wished = driveOn ? (isPulse ? level.feedMmPerS : setup.feedMmPerS) * (isRunIn ? setup.runInShare : 1) : 0;
      feed += ((wished - feed) * slowDt) / (arcDynamics.driveLagS + slowDt);
      const shared = atTransitionMm3 + atTransitionPerMm * ext;
      if (average < transitionA) {
        const sharedFactor = Math.cbrt(shared / sphereMm3);
        const factor = largestDropFactor - ((largestDropFactor - sharedFactor) * average) / transitionA;
        largestMm3 = sphereMm3 * factor * factor * factor;
      } else {
        // Above it the impulse decides; a steady arc near it must not grow a larger drop than on the other side.
        largestMm3 = isPulse ? 20 * sphereMm3 : shared;
      }
    }

    // Drop height from its volume.
    const at = drop * inverseDropStep;
    const slot = at < heightSteps ? at | 0 : heightSteps;
    const h0 = dropHeight[slot]!;
    const arc = gap - ext - (h0 + (dropHeight[slot + 1]! - h0) * (at - slot));

    // Voltage at the contact tip.
    const extOhm = extensionOhmPerMm * ext;
    if (touch === ARC) u = v0V + (raOhm + extOhm) * i + eVPerMm * (arc > 0 ? arc : 0);
    else if (touch === OPEN) u = powerOn ? openV : 0;
    else u = bridgeV * (i > 1 ? 1 : i) + (bridgeOhm + extOhm) * i;

    // Source.
    if (touch === OPEN) {
      i = 0;
      phase = 0;
    } else if (!powerOn) {
      i = i > dt * 4e5 ? i - dt * 4e5 : 0;
    } else if (!isPulse) {
      i += (setV - i * circuitOhm - u) * perInductance;
      if (i < 0) i = 0;
      else if (i > largestA) i = largestA;
    } else if (touch !== ARC) {
      i += rampPerStep;
      const most = touch === SOLID ? ignitionA : largestA;
      if (i > most) i = most;
    } else {
      const off = (phase < peakS ? peakA : backA) - i;
      i += off > slewPerStep ? slewPerStep : off < -slewPerStep ? -slewPerStep : off;
    }

    // Pulse clock and arc-length controller: on the balance of volt-seconds, or once a pulse on the mean voltage that the source saw over it.
    if (followsVolts) {
      if (touch !== OPEN) {
        phase += dt;
        voltSeconds += (u + i * circuitOhm - setPointV) * dt;
        if (voltSeconds < leastVs) voltSeconds = leastVs;
        else if (voltSeconds > mostVs) voltSeconds = mostVs;
        if (phase >= earliestS && (voltSeconds <= 0 || phase >= longestS)) {
          peakA = level.peakA;
          backA = level.backgroundA;
          setPointV = level.setPointV;
          phase = 0;
          recorder.pulses++;
        }
      }
    } else if (isPulse && touch !== OPEN) {
      phase += dt;
      voltSeconds += (u + i * circuitOhm) * dt;
      if (phase >= period) {
        const ran = period;
        correctPulse(command, source, level, level.setPointV - voltSeconds / phase, phase, transitionA);
        period = command.periodS;
        peakA = command.peakA;
        backA = command.backgroundA;
        // The clock keeps what went over, so that the frequency does not depend on the step.
        phase = Math.min(phase - ran, dt);
        voltSeconds = 0;
        recorder.pulses++;
      }
    }

    // Melting and feeding.
    const i2 = i * i;
    average += (i - average) * averagePerStep;
    // Before the first arc the wire is cold: it has to be heated before any of it melts.
    const melt = isCold
      ? 0
      : (touch === ARC ? arcMeltMmPerAs * i : touch === LIQUID ? bridgeMelt * i : 0) + extensionMeltPerA2s * ext * i2;
    ext += (feed - melt) * dt;
    drop += melt * areaMm2 * dt;
    if (ext < shortestExtensionMm) {
      ext = shortestExtensionMm;
      recorder.atTipS += dt;
    }

    if (touch === ARC) {
      // Detachment by impulse above the transition current, or because the drop has outgrown what holds it.
      if (i > transitionA) impulse += i2 * dt;
      else impulse -= impulse * decayPerStep;
      if ((impulse >= detachA2s * need && drop > smallestMm3) || drop > largestMm3) {
        impulse = 0;
        if (arc < bridging * (gap - ext - arc)) {
          // It reaches the pool before it is free.
          touch = LIQUID;
          neck = 1;
          pushed = 0;
          shortFrom = t;
        } else {
          const left = drop * (1 - residualShare);
          if (measuring) recorder.drop(t, left);
          drop -= left;
        }
        need = noise === 0 ? 1 : Math.max(0.6, 1 + noise * disturbance.dropSpread * nextNormal(state.random));
      }
      if (touch === LIQUID) neckNeed = spreadOf(state.random, noise, arcDynamics.neckSpread);
      else if (arc <= 0) {
        // A pool that swings up meets the wire with melt, whatever hangs on it.
        touch = drop > liquidMm3 || poolDip < 0 ? LIQUID : SOLID;
        neckNeed = spreadOf(state.random, noise, arcDynamics.neckSpread);
        neck = 1;
        pushed = 0;
        impulse = 0;
        shortFrom = t;
      } else if (i < extinctionA) {
        faint += dt;
        if (faint > extinctionS) {
          touch = OPEN;
          recorder.extinctions++;
          faint = 0;
        }
      } else faint = 0;
    } else if (touch === LIQUID) {
      neck -= (dt * (1 / neckS + i2 / neckA2s)) / neckNeed;
      if (gap - (poolDip < 0 ? poolDip : 0) - ext <= 0) {
        // The bridge has drained away and the solid wire stands on the plate.
        touch = SOLID;
        neck = 1;
        pushed = 0;
      } else if (neck <= 0) {
        if (measuring) recorder.short(t, t - shortFrom, i, drop * (1 - residualShare));
        drop *= residualShare;
        touch = ARC;
        // The breaking bridge pushes the pool down; it swings back within milliseconds and beyond.
        poolDip =
          (arcDynamics.poolDipMm + (arcDynamics.poolDipPer100AMm * i) / 100) *
          spreadOf(state.random, noise, arcDynamics.poolDipSpread);
        poolSpeed = 0;
        gap = gapAt(model, t) + poolDip;
      }
    } else if (touch === SOLID) {
      neck -= (dt * i2) / fuseA2s;
      // Wire that has nowhere to go bends.
      if (ext > gap) {
        pushed += ext - gap;
        ext = gap;
      }
      if (neck <= 0) {
        const isBuckled = pushed > buckleMm;
        if (pushed > recorder.pushedMm) recorder.pushedMm = pushed;
        if (isCold) {
          recorder.litS = t;
          isCold = false;
        } else if (measuring) recorder.short(t, t - shortFrom, i, drop);
        if (isBuckled) recorder.buckles++;
        const before = ext;
        ext = Math.max(gap - fuseGapMm - (isBuckled ? Math.min(pushed, 6) : 0), shortestExtensionMm);
        // What was bent away and what burst off is lost to the bead.
        if (measuring) {
          const lostMm3 = (before - ext + pushed) * areaMm2 + drop - arcDynamics.fusedDropShare * sphereMm3;
          if (lostMm3 > 0) recorder.lostMm3 += lostMm3;
        }
        drop = arcDynamics.fusedDropShare * sphereMm3;
        touch = ARC;
        phase = 0;
        voltSeconds = 0;
      }
    } else if (arc <= 0) {
      touch = SOLID;
      neck = 1;
      pushed = 0;
      shortFrom = t;
      recorder.touches++;
    }

    if (measuring) {
      charge += i;
      square += i2;
      volts += u;
      energy += u * i;
      extSum += ext;
      if (ext < minExt) minExt = ext;
      if (touch === ARC) {
        litSteps++;
        const length = arc > 0 ? arc : 0;
        arcSum += length;
        if (length > maxArc) maxArc = length;
        if (length < minArc) minArc = length;
      } else if (touch !== OPEN) minArc = 0;
    }
    if (traceSteps > 0 && untilTrace-- === 0) {
      untilTrace = traceSteps - 1;
      recorder.trace(t, i, u, touch === ARC && arc > 0 ? arc : 0, ext, drop, gap, touch);
    }
    t += dt;
  }

  state.timeS = t;
  state.currentA = i;
  state.voltageV = u;
  state.extensionMm = ext;
  state.dropMm3 = drop;
  state.impulseA2s = impulse;
  state.contact = touch;
  state.neck = neck;
  state.pushedMm = pushed;
  state.faintS = faint;
  state.gapMm = gap;
  state.poolDipMm = poolDip;
  state.poolDipMmPerS = poolSpeed;
  state.averageA = average;
  state.feedMmPerS = feed;
  state.pulseS = phase;
  state.periodS = period;
  state.peakA = peakA;
  state.backgroundA = backA;
  state.pulseVoltSeconds = voltSeconds;
  state.correction = command.correction;
  state.dropNeed = need;
  state.neckNeed = neckNeed;
  state.shortFromS = shortFrom;

  if (measuring) {
    recorder.measuredS += steps * dt;
    recorder.chargeAs += charge * dt;
    recorder.squareA2s += square * dt;
    recorder.voltSeconds += volts * dt;
    recorder.energyJ += energy * dt;
    recorder.arcMmS += arcSum * dt;
    recorder.arcLitS += litSteps * dt;
    recorder.extensionMmS += extSum * dt;
    recorder.minArcMm = minArc;
    recorder.maxArcMm = maxArc;
    recorder.minExtensionMm = minExt;
    recorder.lastExtensionMm = ext;
  }
}
