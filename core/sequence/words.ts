/** What a machine is doing, what it waits for, and what a press did, in a welder's words. */
import { amount, type Phrase, say, whether } from '../said/index.ts';
import { schoolFacts } from './schools.ts';
import { bounceS, noArcS, type Happening, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS } from './transition.ts';

export const phaseNames: Readonly<Record<Phase, Phrase>> = {
  'pre-gas': say('sequence.phase.gas-before'),
  'run-in': say('sequence.run-in-word'),
  start: say('sequence.start-word'),
  'slope-in': say('sequence.phase.slope-to-main'),
  main: say('sequence.main-word'),
  second: say('sequence.phase.second-level'),
  'slope-out': say('sequence.phase.slope-to-end'),
  end: say('sequence.crater-word'),
  'burn-back': say('sequence.burn-back-word'),
  'post-gas': say('sequence.phase.gas-after'),
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
      return held ? say('sequence.waits.release-held-down') : say('sequence.a-press');
    case 'pre-gas':
      return due === null ? say('sequence.waits.release-then-wire') : say('sequence.of-gas', { left });
    case 'run-in':
      return state.litS === null
        ? say('sequence.waits.arc', { noArc: amount('phaseTime', noArcS) })
        : say('sequence.waits.run-in', { left });
    case 'start':
      return facts.ends === 'held' ? say('sequence.waits.release') : say('sequence.of-start', { left });
    case 'slope-in':
      return say('sequence.of-slope', { left });
    case 'main':
    case 'second':
      if (state.undecidedS !== null) return say('sequence.waits.tap-or-end');
      if (sequence.trigger === 'spot') return say('sequence.waits.spot', { left });
      if (sequence.trigger === 'stitch') return say('sequence.waits.stitch', { left });
      if (!facts.latches) return say('sequence.waits.release');
      if (state.stopping) return say('sequence.waits.last-release');
      if (!letGo && held) return say('sequence.waits.release-then-latched');
      return facts.second ? say('sequence.waits.tap-or-hold') : say('sequence.waits.press-to-stop');
    case 'slope-out':
      return say('sequence.waits.slope', {
        left,
        letGo: whether(facts.ends === 'held' && letGo),
      });
    case 'end':
      if (facts.ends === 'timed') return say('sequence.of-crater', { left });
      return due === null ? say('sequence.waits.release') : say('sequence.waits.release-at-most', { left });
    case 'burn-back':
      return say('sequence.of-burn-back', { left });
    case 'post-gas':
      return state.pausing && held ? say('sequence.waits.pause', { left }) : say('sequence.waits.gas', { left });
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
  if (isBounce) return say('sequence.event.bounce', { bounce: amount('pulseTime', bounceS * 1000) });
  if (after.phase !== before.phase) {
    if (before.phase === 'pre-gas' && happening === 'release') return say('sequence.event.release-in-gas');
    if (before.phase === 'slope-out' && happening === 'press') return say('sequence.event.press-on-slope-held');
    if (before.phase === 'run-in' && happening === 'release' && before.litS === null)
      return say('sequence.event.release-before-arc');
    if (before.phase === 'post-gas' && happening === 'press') return say('sequence.event.press-in-gas-after');
    if (happening === 'release' && after.phase === 'burn-back' && before.phase !== 'end' && facts.ends !== 'none')
      return say('sequence.event.release-no-crater');
    return say('sequence.to', {
      happening: happening === 'press' ? say('sequence.pressed') : say('sequence.let-go'),
      from: phaseNames[before.phase],
      to: phaseNames[after.phase],
    });
  }
  if (after.undecidedS !== null && before.undecidedS === null) return say('sequence.event.press-tap-or-end');
  if (after.stopping && !before.stopping) return say('sequence.event.second-press');
  if (happening === 'press') {
    if (before.phase === 'slope-out') return say('sequence.event.press-on-slope-latched');
    if (before.phase === 'burn-back' || before.phase === 'end') return say('sequence.event.press-while-ending');
    return say('sequence.event.press-nothing');
  }
  if (before.phase === 'slope-out' && facts.ends === 'held') return say('sequence.event.release-on-slope');
  if (facts.latches && before.phase !== 'idle')
    return say('sequence.event.release-latched', { phase: phaseNames[before.phase] });
  return before.phase === 'idle' ? say('sequence.event.release-ready') : say('sequence.event.release-nothing');
}
