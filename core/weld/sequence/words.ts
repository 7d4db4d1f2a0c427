/** What a machine is doing, what it waits for, and what a press did, in a welder's words. */
import { amount, type Phrase, message, whether } from '../../base/messages/index.ts';
import { schoolFacts } from './schools.ts';
import { bounceS, noArcS, type Happening, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS } from './transition.ts';

export const phaseNames: Readonly<Record<Phase, Phrase>> = {
  'pre-gas': message('sequence.phase.gas-before'),
  'run-in': message('sequence.run-in-word'),
  start: message('sequence.start-word'),
  'slope-in': message('sequence.phase.slope-to-main'),
  main: message('sequence.main-word'),
  second: message('sequence.phase.second-level'),
  'slope-out': message('sequence.phase.slope-to-end'),
  end: message('sequence.crater-word'),
  'burn-back': message('sequence.burn-back-word'),
  'post-gas': message('sequence.phase.gas-after'),
  idle: message('sequence.at-rest'),
};

/** What the machine waits for now. */
export function waitsFor(state: SequenceState, atS: number, rules: SequenceRules): Phrase {
  const { phase, held, letGo } = state;
  const { sequence } = rules;
  const facts = schoolFacts[sequence.trigger];
  const due = deadlineS(state, rules);
  const left = due === null ? '' : message('sequence.more', { at: amount('phaseTime', Math.max(due - atS, 0), 1) });
  switch (phase) {
    case 'idle':
      return held ? message('sequence.waits.release-held-down') : message('sequence.a-press');
    case 'pre-gas':
      return due === null ? message('sequence.waits.release-then-wire') : message('sequence.of-gas', { left });
    case 'run-in':
      return state.litS === null
        ? message('sequence.waits.arc', { noArc: amount('phaseTime', noArcS) })
        : message('sequence.waits.run-in', { left });
    case 'start':
      return facts.ends === 'held' ? message('sequence.waits.release') : message('sequence.of-start', { left });
    case 'slope-in':
      return message('sequence.of-slope', { left });
    case 'main':
    case 'second':
      if (state.undecidedS !== null) return message('sequence.waits.tap-or-end');
      if (sequence.trigger === 'spot') return message('sequence.waits.spot', { left });
      if (sequence.trigger === 'stitch') return message('sequence.waits.stitch', { left });
      if (!facts.latches) return message('sequence.waits.release');
      if (state.stopping) return message('sequence.waits.last-release');
      if (!letGo && held) return message('sequence.waits.release-then-latched');
      return facts.second ? message('sequence.waits.tap-or-hold') : message('sequence.waits.press-to-stop');
    case 'slope-out':
      return message('sequence.waits.slope', {
        left,
        letGo: whether(facts.ends === 'held' && letGo),
      });
    case 'end':
      if (facts.ends === 'timed') return message('sequence.of-crater', { left });
      return due === null ? message('sequence.waits.release') : message('sequence.waits.release-at-most', { left });
    case 'burn-back':
      return message('sequence.of-burn-back', { left });
    case 'post-gas':
      return state.pausing && held
        ? message('sequence.waits.pause', { left })
        : message('sequence.waits.gas', { left });
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
  if (isBounce) return message('sequence.event.bounce', { bounce: amount('pulseTime', bounceS * 1000) });
  if (after.phase !== before.phase) {
    if (before.phase === 'pre-gas' && happening === 'release') return message('sequence.event.release-in-gas');
    if (before.phase === 'slope-out' && happening === 'press') return message('sequence.event.press-on-slope-held');
    if (before.phase === 'run-in' && happening === 'release' && before.litS === null)
      return message('sequence.event.release-before-arc');
    if (before.phase === 'post-gas' && happening === 'press') return message('sequence.event.press-in-gas-after');
    if (happening === 'release' && after.phase === 'burn-back' && before.phase !== 'end' && facts.ends !== 'none')
      return message('sequence.event.release-no-crater');
    return message('sequence.to', {
      happening: happening === 'press' ? message('sequence.pressed') : message('sequence.let-go'),
      from: phaseNames[before.phase],
      to: phaseNames[after.phase],
    });
  }
  if (after.undecidedS !== null && before.undecidedS === null) return message('sequence.event.press-tap-or-end');
  if (after.stopping && !before.stopping) return message('sequence.event.second-press');
  if (happening === 'press') {
    if (before.phase === 'slope-out') return message('sequence.event.press-on-slope-latched');
    if (before.phase === 'burn-back' || before.phase === 'end') return message('sequence.event.press-while-ending');
    return message('sequence.event.press-nothing');
  }
  if (before.phase === 'slope-out' && facts.ends === 'held') return message('sequence.event.release-on-slope');
  if (facts.latches && before.phase !== 'idle')
    return message('sequence.event.release-latched', { phase: phaseNames[before.phase] });
  return before.phase === 'idle' ? message('sequence.event.release-ready') : message('sequence.event.release-nothing');
}
