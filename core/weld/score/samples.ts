/** A score at many moments: phase, gas, wire, level, current, voltage and place. Walks the phases once, so ten thousand moments are cheap. */
import type { Program } from '../../setting/program/index.ts';
import { hasBeat, isLit, percentAt, type Phase, type PlayedPhase } from '../sequence/index.ts';
import { electricalOf, type ElectricalOf } from './electrical.ts';
import type { GunPath } from './gun-path.ts';
import { phaseTrimMm } from './totals.ts';

export interface ScoreSample {
  readonly timeS: number;
  readonly phase: Phase;
  readonly gas: boolean;
  readonly wireFeedMPerMin: number;
  /** Percent of main, with the slow beat where it runs. */
  readonly levelPercent: number;
  /** Mean over the fast pulse; 0 without an arc. */
  readonly currentA: number;
  readonly voltageV: number;
  readonly mm: number;
}

export function sampleScore(
  program: Program,
  { played, gun }: { readonly played: readonly PlayedPhase[]; readonly gun: GunPath },
  everyS: number,
  electrical: ElectricalOf = electricalOf(program),
): ScoreSample[] {
  const samples: ScoreSample[] = [];
  let at = 0;
  let piece = 0;
  // Most moments stand at the level of the one before.
  let arc = electrical.at(0);
  let lastLevel = Number.NaN;
  let lastPhase: Phase | null = null;
  const untilS = played.at(-1)?.toS ?? 0;
  const count = Math.floor(untilS / everyS + 1e-9);
  for (let index = 0; index <= count; index++) {
    const timeS = index * everyS;
    while (at < played.length - 1 && timeS >= (played[at]?.toS ?? 0)) at++;
    while (piece < gun.pieces.length - 1 && timeS > (gun.pieces[piece]?.toS ?? 0)) piece++;
    const phase = played[at];
    if (!phase) break;
    const level = percentAt(phase, timeS, program.slowBeat);
    const lit = isLit(phase, timeS);
    // While the drive stands the source burns on at the level it had.
    const burns = phase.name === 'burn-back' ? (played[at - 1]?.toPercent ?? 0) : level;
    if (lit && (burns !== lastLevel || phase.name !== lastPhase)) {
      arc = electrical.at((program.wireFeedMPerMin * burns) / 100, phaseTrimMm(program, phase.name));
      [lastLevel, lastPhase] = [burns, phase.name];
    }
    const leg = gun.pieces[piece];
    samples.push({
      timeS,
      phase: phase.name,
      gas: phase.gas,
      wireFeedMPerMin: (program.wireFeedMPerMin * level) / 100,
      levelPercent: level,
      currentA: lit ? arc.currentA : 0,
      voltageV: lit ? arc.voltageV : 0,
      mm: leg ? leg.fromMm + ((leg.toMm - leg.fromMm) * (timeS - leg.fromS)) / (leg.toS - leg.fromS) : 0,
    });
  }
  return samples;
}

/** Highest and lowest level a phase runs at, with the beat, percent of main. */
export function levelSpan(
  program: Pick<Program, 'slowBeat'>,
  { name, fromPercent, toPercent }: PlayedPhase,
): readonly [number, number] {
  const low = Math.min(fromPercent, toPercent);
  const high = Math.max(fromPercent, toPercent);
  const beat = hasBeat(name) ? program.slowBeat : null;
  if (!beat) return [low, high];
  return [(low * beat.lowFeedMPerMin) / beat.meanFeedMPerMin, (high * beat.highFeedMPerMin) / beat.meanFeedMPerMin];
}
