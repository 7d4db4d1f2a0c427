/**
 * The sequence machine: from a state and a happening to the next state, pure, for every phase and every happening.
 * Odd input (docs/physics/sequence.md): let go during the gas before: no wire, straight to the gas after; a press on the down-slope resumes
 * main where the trigger is held to weld and is ignored where it latches; a trigger still down at the end does nothing until it is let go.
 */
import { schoolFacts } from './schools.ts';
import {
  leastPostGasS,
  longestTapS,
  noArcS,
  type Happening,
  type Phase,
  type SequenceRules,
  type SequenceState,
} from './state.ts';
import { secondsOfMs } from '../../base/units/convert.ts';

export interface Happened {
  readonly kind: Happening;
  readonly atS: number;
}

export function transition(state: SequenceState, { kind, atS }: Happened, rules: SequenceRules): SequenceState {
  switch (kind) {
    case 'press':
      return state.held ? state : pressed({ ...state, held: true }, atS, rules);
    case 'release':
      return state.held ? released({ ...state, held: false }, atS, rules) : state;
    case 'arc':
      return state.phase === 'run-in' && state.litS === null ? { ...state, litS: atS } : state;
    case 'time': {
      const due = deadlineS(state, rules);
      return due !== null && atS >= due - 1e-9 ? timedOut(state, atS, rules) : state;
    }
  }
}

/** When the present phase ends by itself; null where it waits for the hand or the arc alone. */
export function deadlineS(state: SequenceState, { sequence, habit, hasGas }: SequenceRules): number | null {
  const { phase, sinceS, litS } = state;
  const isPlainLatch = sequence.trigger === 'latch';
  switch (phase) {
    case 'pre-gas':
      return isPlainLatch && habit.startsOn === 'release' ? null : sinceS + (hasGas ? sequence.preGasS : 0);
    case 'run-in':
      return litS === null ? sinceS + noArcS : litS + sequence.runInAfterS;
    case 'start':
      return schoolFacts[sequence.trigger].ends === 'timed' ? sinceS + sequence.startS : null;
    case 'slope-in':
      return sinceS + sequence.slopeInS;
    case 'main':
    case 'second':
      if (state.undecidedS !== null) return state.undecidedS + longestTapS;
      if (sequence.trigger === 'spot') return (litS ?? sinceS) + sequence.spotS;
      return sequence.trigger === 'stitch' ? (litS ?? sinceS) + sequence.stitchOnS : null;
    case 'slope-out':
      return sinceS + sequence.slopeOutS;
    case 'end':
      if (schoolFacts[sequence.trigger].ends === 'timed') return sinceS + sequence.endS;
      return habit.endLimitS === null ? null : sinceS + habit.endLimitS;
    case 'burn-back':
      return sinceS + secondsOfMs(sequence.burnBackMs);
    case 'post-gas':
      return sinceS + (state.pausing && state.held ? sequence.stitchOffS : gasAfterS(sequence.postGasS, hasGas));
    case 'idle':
      return null;
  }
}

function gasAfterS(postGasS: number, hasGas: boolean): number {
  return hasGas ? Math.max(postGasS, leastPostGasS) : 0;
}

function pressed(state: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  const { sequence, habit } = rules;
  const facts = schoolFacts[sequence.trigger];
  switch (state.phase) {
    case 'idle':
      return enter('pre-gas', { ...state, letGo: false, litS: null, pausing: false }, atS, rules);
    case 'post-gas': {
      // The gas is on already: no waiting for it again.
      const again = { ...state, letGo: false, litS: null, pausing: false };
      return sequence.trigger === 'latch' && habit.startsOn === 'release'
        ? { ...again, phase: 'pre-gas', sinceS: atS, gasStands: true }
        : enter('run-in', again, atS, rules);
    }
    case 'main':
    case 'second':
    case 'start':
    case 'slope-in':
      if (!facts.latches || !state.letGo) return state;
      if (sequence.trigger === 'latch') {
        return habit.endsOn === 'press' ? enter('burn-back', state, atS, rules) : { ...state, stopping: true };
      }
      if (facts.second && (state.phase === 'main' || state.phase === 'second')) return { ...state, undecidedS: atS };
      return ending({ ...state, letGo: false }, atS, rules);
    case 'slope-out':
      return sequence.trigger === 'hold-timed' ? enter('main', state, atS, rules) : state;
    case 'pre-gas':
    case 'run-in':
    case 'end':
    case 'burn-back':
      return state;
  }
}

function released(state: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  const { sequence, habit, hasGas } = rules;
  const facts = schoolFacts[sequence.trigger];
  switch (state.phase) {
    case 'pre-gas': {
      const waited = state.gasStands || atS - state.sinceS >= (hasGas ? sequence.preGasS : 0) - 1e-9;
      if (sequence.trigger === 'latch' && habit.startsOn === 'release' && waited) {
        return enter('run-in', { ...state, letGo: true }, atS, rules);
      }
      return enter('post-gas', state, atS, rules);
    }
    case 'run-in':
      if (facts.latches) return { ...state, letGo: true };
      return state.litS === null ? enter('post-gas', state, atS, rules) : ending(state, atS, rules);
    case 'start':
      if (facts.ends === 'held') return enter('slope-in', { ...state, letGo: true }, atS, rules);
      return ending(state, atS, rules);
    case 'slope-in':
      return facts.latches ? { ...state, letGo: true } : ending(state, atS, rules);
    case 'main':
    case 'second':
      if (!facts.latches) return ending(state, atS, rules);
      if (state.undecidedS !== null) {
        return enter(state.phase === 'main' ? 'second' : 'main', { ...state, letGo: true }, atS, rules);
      }
      return state.stopping ? enter('burn-back', state, atS, rules) : { ...state, letGo: true };
    case 'slope-out':
      return { ...state, letGo: true };
    case 'end':
      return facts.ends === 'held' ? enter('burn-back', { ...state, letGo: true }, atS, rules) : state;
    case 'post-gas':
      // Counted from when the arc went out, however long the pause has been.
      return { ...state, pausing: false };
    case 'burn-back':
    case 'idle':
      return state;
  }
}

function timedOut(state: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  const { sequence } = rules;
  switch (state.phase) {
    case 'pre-gas':
      return enter('run-in', state, atS, rules);
    case 'run-in':
      return state.litS === null ? enter('post-gas', state, atS, rules) : afterRunIn(state, atS, rules);
    case 'start':
      return enter('slope-in', state, atS, rules);
    case 'slope-in':
      return enter('main', state, atS, rules);
    case 'main':
    case 'second':
      if (sequence.trigger === 'spot') return enter('burn-back', state, atS, rules);
      if (sequence.trigger === 'stitch') return enter('burn-back', { ...state, pausing: true }, atS, rules);
      return ending({ ...state, letGo: false }, atS, rules);
    case 'slope-out':
      return enter('end', state, atS, rules);
    case 'end':
      return enter('burn-back', state, atS, rules);
    case 'burn-back':
      return enter('post-gas', state, atS, rules);
    case 'post-gas':
      return state.pausing && state.held
        ? enter('run-in', { ...state, litS: null, pausing: false }, atS, rules)
        : enter('idle', state, atS, rules);
    case 'idle':
      return state;
  }
}

function afterRunIn(state: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  const { ends } = schoolFacts[rules.sequence.trigger];
  if (ends === 'none') return enter('main', state, atS, rules);
  if (ends === 'held') return enter(state.letGo ? 'slope-in' : 'start', state, atS, rules);
  return enter('start', state, atS, rules);
}

/** From any burning phase towards the stop. */
function ending(state: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  if (schoolFacts[rules.sequence.trigger].ends === 'none') return enter('burn-back', state, atS, rules);
  return enter('slope-out', { ...state, slopeFrom: levelAt(state, atS, rules) }, atS, rules);
}

/** Steps into a phase, and through it where it has no length. */
function enter(phase: Phase, from: SequenceState, atS: number, rules: SequenceRules): SequenceState {
  const { sequence, hasGas } = rules;
  const state: SequenceState = { ...from, phase, sinceS: atS, undecidedS: null, stopping: false, gasStands: false };
  const facts = schoolFacts[sequence.trigger];
  switch (phase) {
    case 'pre-gas':
      return (hasGas ? sequence.preGasS : 0) > 0 || (sequence.trigger === 'latch' && rules.habit.startsOn === 'release')
        ? state
        : enter('run-in', state, atS, rules);
    case 'start':
      return facts.ends === 'timed' && sequence.startS <= 0 ? enter('slope-in', state, atS, rules) : state;
    case 'slope-in':
      return sequence.slopeInS > 0 && sequence.startPercent !== 100
        ? { ...state, slopeFrom: sequence.startPercent }
        : enter('main', state, atS, rules);
    case 'slope-out':
      return sequence.slopeOutS > 0 && sequence.endPercent !== state.slopeFrom
        ? state
        : enter('end', state, atS, rules);
    case 'end': {
      const isOver = facts.ends === 'timed' ? sequence.endS <= 0 : state.letGo;
      return isOver ? enter('burn-back', state, atS, rules) : state;
    }
    case 'burn-back':
      return sequence.burnBackMs > 0 && state.litS !== null ? state : enter('post-gas', state, atS, rules);
    case 'post-gas':
      return hasGas || (state.pausing && state.held) ? { ...state, litS: null } : enter('idle', state, atS, rules);
    case 'idle':
      return { ...state, litS: null, pausing: false };
    case 'run-in':
    case 'main':
    case 'second':
      return state;
  }
}

/** Level in percent of main at a moment of a state, without the slow beat; 0 where no wire is fed. */
export function levelAt({ phase, sinceS, slopeFrom }: SequenceState, atS: number, { sequence }: SequenceRules): number {
  const along = (seconds: number, to: number) =>
    slopeFrom + (to - slopeFrom) * (seconds > 0 ? Math.min(Math.max((atS - sinceS) / seconds, 0), 1) : 1);
  switch (phase) {
    case 'run-in':
      return sequence.runInPercent;
    case 'start':
      return sequence.startPercent;
    case 'slope-in':
      return along(sequence.slopeInS, 100);
    case 'main':
      return 100;
    case 'second':
      return sequence.secondPercent;
    case 'slope-out':
      return along(sequence.slopeOutS, sequence.endPercent);
    case 'end':
      return sequence.endPercent;
    case 'pre-gas':
    case 'burn-back':
    case 'post-gas':
    case 'idle':
      return 0;
  }
}
