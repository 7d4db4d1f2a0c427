/**
 * Runs timestamped presses through the sequence machine: which phase when, and from it gas, wire and level at any moment.
 * The arc lights a given time after the wire starts; whoever has a simulated arc says `arc` itself.
 */
import type { CanonicalBeat } from '../../setting/double-pulse/index.ts';
import { atRest, bounceS, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS, levelAt, transition } from './transition.ts';

export interface TriggerEvent {
  readonly atS: number;
  readonly action: 'press' | 'release';
}

/** One phase as it was run. */
export interface PlayedPhase {
  readonly name: Phase;
  readonly fromS: number;
  readonly toS: number;
  /** Level at its two ends, percent of main, the slow beat left out. */
  readonly fromPercent: number;
  readonly toPercent: number;
  /** When the arc lit within it; null where it burned throughout or not at all. */
  readonly litS: number | null;
  /** The gas is on. */
  readonly gas: boolean;
}

export interface Play {
  readonly rules: SequenceRules;
  readonly events: readonly TriggerEvent[];
  readonly untilS: number;
  /** From wire start to arc, s. */
  readonly ignitionS: number;
  /** The trigger was down when the machine was switched on. */
  readonly heldAtStart?: boolean;
}

/** Presses that count: in order of time, bounces left out. A press that is still down counts. */
export function withoutBounces(events: readonly TriggerEvent[]): TriggerEvent[] {
  const kept: TriggerEvent[] = [];
  for (const event of [...events].sort((a, b) => a.atS - b.atS)) {
    const last = kept.at(-1);
    if (event.action === 'release' && last?.action === 'press' && event.atS - last.atS < bounceS - 1e-9) kept.pop();
    else kept.push(event);
  }
  return kept;
}

/** Every phase from 0 to `untilS`, in order, without a gap. */
export function playSequence({ rules, events, untilS, ignitionS, heldAtStart = false }: Play): PlayedPhase[] {
  const played: PlayedPhase[] = [];
  let state: SequenceState = { ...atRest, held: heldAtStart };
  const moveTo = (next: SequenceState, atS: number) => {
    if (next.phase !== state.phase || next.sinceS !== state.sinceS) closePhase(played, state, atS, rules);
    state = next;
  };
  const runTo = (toS: number) => {
    for (;;) {
      const lightsS = state.phase === 'run-in' && state.litS === null ? state.sinceS + ignitionS : null;
      const dueS = deadlineS(state, rules);
      if (lightsS !== null && lightsS <= toS && (dueS === null || lightsS <= dueS)) {
        moveTo(transition(state, { kind: 'arc', atS: lightsS }, rules), lightsS);
        continue;
      }
      if (dueS === null || dueS > toS) return;
      // A deadline that a release has moved into the past is due at once.
      const atS = Math.max(dueS, state.sinceS, played.at(-1)?.toS ?? 0);
      moveTo(transition(state, { kind: 'time', atS }, rules), atS);
    }
  };
  for (const event of withoutBounces(events)) {
    if (event.atS > untilS) break;
    runTo(event.atS);
    moveTo(transition(state, { kind: event.action, atS: event.atS }, rules), event.atS);
  }
  runTo(untilS);
  closePhase(played, state, untilS, rules);
  return played;
}

/** Writes down a phase that ends. */
export function closePhase(played: PlayedPhase[], state: SequenceState, toS: number, rules: SequenceRules): void {
  const { phase, sinceS, litS } = state;
  if (toS <= sinceS) return;
  // A state entered on the way through (a zero-length phase) leaves no trace; neither does one that began before the last ended.
  played.push({
    name: phase,
    fromS: sinceS,
    toS,
    fromPercent: levelAt(state, sinceS, rules),
    toPercent: levelAt(state, toS, rules),
    litS: phase === 'run-in' ? litS : null,
    gas: rules.hasGas && phase !== 'idle',
  });
}

/** True where an arc burns. */
export function isLit({ name, litS }: PlayedPhase, atS: number): boolean {
  if (name === 'run-in') return litS !== null && atS >= litS;
  return name !== 'idle' && name !== 'pre-gas' && name !== 'post-gas';
}

/** Level at a moment of a played phase, percent of main; with the slow beat where it runs. */
export function percentAt(
  { name, fromS, toS, fromPercent, toPercent }: PlayedPhase,
  atS: number,
  beat: CanonicalBeat | null,
): number {
  const share = toS > fromS ? Math.min(Math.max((atS - fromS) / (toS - fromS), 0), 1) : 1;
  const level = fromPercent + (toPercent - fromPercent) * share;
  return hasBeat(name) && beat ? level * beatFactor(beat, atS - fromS) : level;
}

/** The slow beat runs at main and second level only. */
export function hasBeat(phase: Phase): boolean {
  return phase === 'main' || phase === 'second';
}

/** Level of the beat over its mean, so many seconds after it began, high first. */
export function beatFactor(
  { meanFeedMPerMin, highFeedMPerMin, lowFeedMPerMin, highShare, frequencyHz }: CanonicalBeat,
  s: number,
): number {
  const within = (s * frequencyHz) % 1;
  return (within < highShare ? highFeedMPerMin : lowFeedMPerMin) / meanFeedMPerMin;
}

/** The phase at a moment, by halving; undefined outside. */
export function phaseAt(played: readonly PlayedPhase[], atS: number): PlayedPhase | undefined {
  let low = 0;
  let high = played.length - 1;
  while (low <= high) {
    const middle = (low + high) >> 1;
    const phase = played[middle];
    if (phase === undefined) return undefined;
    if (atS < phase.fromS) high = middle - 1;
    else if (atS >= phase.toS && middle < played.length - 1) low = middle + 1;
    else return atS <= phase.toS ? phase : undefined;
  }
  return undefined;
}
