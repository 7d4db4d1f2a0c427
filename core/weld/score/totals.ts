/** What each phase of a score takes and lays: seconds, millimetres, wire, gas and energy. Levels that slope are summed in slices. */
import { wireInGas } from '../../metal/arc/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { hasBeat, isLit, schoolFacts, type Phase, type PlayedPhase } from '../sequence/index.ts';
import { electricalOf, type ElectricalOf } from './electrical.ts';
import type { SeamScore } from './intended.ts';
import { feedMmPerS, travelMmPerS, litresIn, thousandth, wireGPerMm } from '../../base/units/convert.ts';

export interface PhaseSum {
  readonly phase: Phase;
  readonly fromS: number;
  readonly seconds: number;
  readonly mm: number;
  readonly wireG: number;
  readonly gasL: number;
  /** At the contact tip. */
  readonly energyKj: number;
  /** Levels at its two ends, percent of main; 0 without wire. */
  readonly percent: readonly [number, number];
  /** Mean current at its two ends, A; null without an arc. */
  readonly currentA: readonly [number, number] | null;
  readonly trimMm: number;
  /** How many such phases are summed here; more than one in stitches. */
  readonly count: number;
}

export interface ScoreTotals {
  readonly phases: readonly PhaseSum[];
  readonly seconds: number;
  readonly arcS: number;
  readonly mm: number;
  readonly wireG: number;
  readonly gasL: number;
  readonly energyKj: number;
  /** Wire laid in start, second level, slopes and end beyond what main would have laid over the same millimetres, g. */
  readonly addedWireG: number;
}

const slices = 24;

/** Trim of a phase beside the program's own, mm. */
export function phaseTrimMm({ sequence }: Pick<Program, 'sequence'>, phase: Phase): number {
  if (schoolFacts[sequence.trigger].ends !== 'none') {
    if (phase === 'start') return sequence.startTrimMm;
    if (phase === 'end') return sequence.endTrimMm;
  }
  return phase === 'second' ? sequence.secondTrimMm : 0;
}

export function scoreTotals(
  program: Program,
  { played, gun }: SeamScore,
  electrical: ElectricalOf = electricalOf(program),
): ScoreTotals {
  const wire = wireInGas(program.filler, program.gas, program.diameterMm);
  const gPerMm = wireGPerMm(wire.areaMm2, wire.densityKgPerM3);
  const one = (phase: PlayedPhase, at: number): PhaseSum => {
    const { name, fromS, toS, fromPercent, toPercent, gas } = phase;
    const seconds = toS - fromS;
    const trimMm = phaseTrimMm(program, name);
    const mm = gun.mmAt(toS) - gun.mmAt(fromS);
    // The source burns on at the level it had while the drive stands.
    const burnsAt = name === 'burn-back' ? (played[at - 1]?.toPercent ?? 0) : null;
    let wireMm = 0;
    let energyJ = 0;
    for (let slice = 0; slice < slices; slice++) {
      const share = (slice + 0.5) / slices;
      const level = fromPercent + (toPercent - fromPercent) * share;
      const feed = (program.wireFeedMPerMin * level) / 100;
      wireMm += feedMmPerS(feed) * (seconds / slices);
      if (!isLit(phase, fromS + seconds * share)) continue;
      energyJ += powerAt(program, electrical, burnsAt ?? level, name, trimMm) * (seconds / slices);
    }
    const lit = isLit(phase, toS - 1e-6);
    const currentOf = (percent: number) => electrical.at((program.wireFeedMPerMin * percent) / 100, trimMm).currentA;
    return {
      phase: name,
      fromS,
      seconds,
      mm,
      wireG: wireMm * gPerMm,
      gasL: gas ? litresIn(program.gasFlowLPerMin, seconds) : 0,
      energyKj: thousandth(energyJ),
      percent: [fromPercent, toPercent],
      currentA: lit && fromPercent > 0 ? [currentOf(fromPercent), currentOf(toPercent)] : null,
      trimMm,
      count: 1,
    };
  };
  const sums = merged(
    played.map(one).filter(({ phase }) => phase !== 'idle'),
    program.sequence.trigger === 'stitch',
  );
  const sum = (pick: (phase: PhaseSum) => number) => sums.reduce((total, phase) => total + pick(phase), 0);
  const mainGPerMm = (feedMmPerS(program.wireFeedMPerMin) * gPerMm) / travelMmPerS(program.travelMmPerMin);
  const arcS = played.reduce((total, phase) => {
    const from = phase.name === 'run-in' ? (phase.litS ?? phase.toS) : phase.fromS;
    return total + (isLit(phase, phase.toS - 1e-6) ? phase.toS - from : 0);
  }, 0);
  return {
    phases: sums,
    seconds: sum(({ seconds }) => seconds),
    arcS,
    mm: gun.endMm,
    wireG: sum(({ wireG }) => wireG),
    gasL: sum(({ gasL }) => gasL),
    energyKj: sum(({ energyKj }) => energyKj),
    addedWireG: sums
      .filter(({ phase }) => ['start', 'slope-in', 'second', 'slope-out', 'end'].includes(phase))
      .reduce((total, { wireG, mm }) => total + wireG - mm * mainGPerMm, 0),
  };
}

/** Power at a level, W; with a slow beat the mean over it, each of its levels for its share. */
function powerAt(program: Program, electrical: ElectricalOf, percent: number, phase: Phase, trimMm: number): number {
  const beat = hasBeat(phase) ? program.slowBeat : null;
  const factor = percent / 100;
  if (!beat) return electrical.at(program.wireFeedMPerMin * factor, trimMm).powerW;
  return (
    beat.highShare * electrical.at(beat.highFeedMPerMin * factor, trimMm).powerW +
    (1 - beat.highShare) * electrical.at(beat.lowFeedMPerMin * factor, trimMm).powerW
  );
}

/** Stitches repeat: their phases are summed under one name each, in the order in which they first come. */
function merged(sums: PhaseSum[], repeats: boolean): PhaseSum[] {
  if (!repeats) return sums;
  const byName = new Map<Phase, PhaseSum>();
  for (const next of sums) {
    const before = byName.get(next.phase);
    byName.set(
      next.phase,
      before
        ? {
            ...before,
            seconds: before.seconds + next.seconds,
            mm: before.mm + next.mm,
            wireG: before.wireG + next.wireG,
            gasL: before.gasL + next.gasL,
            energyKj: before.energyKj + next.energyKj,
            count: before.count + 1,
          }
        : next,
    );
  }
  return [...byName.values()];
}
