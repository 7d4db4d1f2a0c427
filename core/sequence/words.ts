/** What a machine is doing, what it waits for, and what a press did, in a welder's words. */
import { amount, type Phrase, say, whether } from '../said/index.ts';
import { schoolFacts } from './schools.ts';
import { bounceS, noArcS, type Happening, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS } from './transition.ts';

export const phaseNames: Readonly<Record<Phase, Phrase>> = {
  'pre-gas': say('sequence.gas-before-2'),
  'run-in': say('sequence.run-in-word'),
  start: say('sequence.start-word'),
  'slope-in': say('sequence.slope-to-main-2'),
  main: say('sequence.main-word'),
  second: say('sequence.second-level-2'),
  'slope-out': say('sequence.slope-to-end-2'),
  end: say('sequence.crater-word'),
  'burn-back': say('sequence.burn-back-word'),
  'post-gas': say('sequence.gas-after-2'),
  idle: say('sequence.at-rest'),
};

/** What the machine waits for now. */
export function waitsFor(state: SequenceState, atS: number, rules: SequenceRules): Phrase {
  const { phase, held, letGo } = state;
  const { sequence } = rules;
  const facts = schoolFacts[sequence.trigger];
  const due = deadlineS(state, rules);
  const left = due === null ? '' : say('sequence.more', { at: amount('phaseTime', Math.max(due - atS, 0), 1) });
  switch (phase) {
    case 'idle':
      return held ? say('sequence.the-trigger-to-be-let') : say('sequence.a-press');
    case 'pre-gas':
      return due === null ? say('sequence.the-trigger-to-be-let-2') : say('sequence.of-gas', { left });
    case 'run-in':
      return state.litS === null
        ? say('sequence.the-arc-gives-up-after', { noArc: amount('phaseTime', noArcS) })
        : say('sequence.of-run-in', { left });
    case 'start':
      return facts.ends === 'held' ? say('sequence.the-trigger-to-be-let-3') : say('sequence.of-start', { left });
    case 'slope-in':
      return say('sequence.of-slope', { left });
    case 'main':
    case 'second':
      if (state.undecidedS !== null) return say('sequence.what-this-press-is-short');
      if (sequence.trigger === 'spot') return say('sequence.of-spot-or-letting-go', { left });
      if (sequence.trigger === 'stitch') return say('sequence.of-stitch-or-letting-go', { left });
      if (!facts.latches) return say('sequence.the-trigger-to-be-let-3');
      if (state.stopping) return say('sequence.the-last-press-to-be');
      if (!letGo && held) return say('sequence.the-trigger-to-be-let-4');
      return facts.second ? say('sequence.a-tap-for-the-other') : say('sequence.a-press-to-stop');
    case 'slope-out':
      return say('sequence.of-slope-2', {
        left,
        letGo: whether(facts.ends === 'held' && letGo),
      });
    case 'end':
      if (facts.ends === 'timed') return say('sequence.of-crater', { left });
      return due === null ? say('sequence.the-trigger-to-be-let-3') : say('sequence.the-trigger-to-be-let-5', { left });
    case 'burn-back':
      return say('sequence.of-burn-back', { left });
    case 'post-gas':
      return state.pausing && held
        ? say('sequence.of-pause-gas-on', { left })
        : say('sequence.of-gas-a-press-starts', { left });
  }
}

/** What a press or a letting go did, for whoever wonders. `isBounce`: it was taken back as shorter than a finger can. */
export function explained(
  before: SequenceState,
  happening: Extract<Happening, 'press' | 'release'>,
  after: SequenceState,
  { sequence }: SequenceRules,
  isBounce = false,
): Phrase {
  const facts = schoolFacts[sequence.trigger];
  if (isBounce) return say('sequence.shorter-than-taken-for-a', { bounce: amount('pulseTime', bounceS * 1000) });
  if (after.phase !== before.phase) {
    if (before.phase === 'pre-gas' && happening === 'release') return say('sequence.let-go-during-the-gas');
    if (before.phase === 'slope-out' && happening === 'press') return say('sequence.pressed-on-the-slope-held');
    if (before.phase === 'run-in' && happening === 'release' && before.litS === null)
      return say('sequence.let-go-before-it-lit');
    if (before.phase === 'post-gas' && happening === 'press') return say('sequence.pressed-while-the-gas-still');
    if (happening === 'release' && after.phase === 'burn-back' && before.phase !== 'end' && facts.ends !== 'none')
      return say('sequence.let-go-no-crater-level');
    return say('sequence.to', {
      happening: happening === 'press' ? say('sequence.pressed') : say('sequence.let-go'),
      phase: phaseNames[before.phase],
      phase2: phaseNames[after.phase],
    });
  }
  if (after.undecidedS !== null && before.undecidedS === null) return say('sequence.a-press-here-is-a');
  if (after.stopping && !before.stopping) return say('sequence.second-press-this-machine-stops');
  if (happening === 'press') {
    if (before.phase === 'slope-out') return say('sequence.pressed-on-the-slope-a');
    if (before.phase === 'burn-back' || before.phase === 'end') return say('sequence.pressed-while-it-ends-ignored');
    return say('sequence.pressed-nothing-changes-here');
  }
  if (before.phase === 'slope-out' && facts.ends === 'held') return say('sequence.let-go-on-the-slope');
  if (facts.latches && before.phase !== 'idle')
    return say('sequence.let-go-latched-goes-on', { phase: phaseNames[before.phase] });
  return before.phase === 'idle' ? say('sequence.let-go-ready-for-a') : say('sequence.let-go-nothing-changes-here');
}
