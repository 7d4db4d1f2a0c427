/** What a machine is doing, what it waits for, and what a press did, in a welder's words. */
import { schoolFacts } from './schools.ts';
import { bounceS, noArcS, type Happening, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS } from './transition.ts';

export const phaseNames: Readonly<Record<Phase, string>> = {
  'pre-gas': 'gas before',
  'run-in': 'run-in',
  start: 'start',
  'slope-in': 'slope to main',
  main: 'main',
  second: 'second level',
  'slope-out': 'slope to end',
  end: 'crater',
  'burn-back': 'burn-back',
  'post-gas': 'gas after',
  idle: 'at rest',
};

/** What the machine waits for now. */
export function waitsFor(state: SequenceState, atS: number, rules: SequenceRules): string {
  const { phase, held, letGo } = state;
  const { sequence } = rules;
  const facts = schoolFacts[sequence.trigger];
  const due = deadlineS(state, rules);
  const left = due === null ? '' : `${Math.max(due - atS, 0).toFixed(1)} s more`;
  switch (phase) {
    case 'idle':
      return held ? 'the trigger to be let go: it was down already' : 'a press';
    case 'pre-gas':
      return due === null ? 'the trigger to be let go, then wire comes' : `${left} of gas`;
    case 'run-in':
      return state.litS === null ? `the arc; gives up after ${noArcS} s` : `${left} of run-in`;
    case 'start':
      return facts.ends === 'held' ? 'the trigger to be let go' : `${left} of start`;
    case 'slope-in':
      return `${left} of slope`;
    case 'main':
    case 'second':
      if (state.undecidedS !== null) return 'what this press is: short, a tap; longer, the end';
      if (sequence.trigger === 'spot') return `${left} of spot, or letting go`;
      if (sequence.trigger === 'stitch') return `${left} of stitch, or letting go`;
      if (!facts.latches) return 'the trigger to be let go';
      if (state.stopping) return 'the last press to be let go';
      if (!letGo && held) return 'the trigger to be let go; it then welds on by itself';
      return facts.second ? 'a tap for the other level, a held press for the end' : 'a press to stop';
    case 'slope-out':
      return `${left} of slope${facts.ends === 'held' && letGo ? '; no crater, the trigger is up' : ''}`;
    case 'end':
      if (facts.ends === 'timed') return `${left} of crater`;
      return due === null ? 'the trigger to be let go' : `the trigger to be let go, at most ${left}`;
    case 'burn-back':
      return `${left} of burn-back`;
    case 'post-gas':
      return state.pausing && held
        ? `${left} of pause, gas on`
        : `${left} of gas; a press starts again without the gas before`;
  }
}

/** What a press or a letting go did, for whoever wonders. `isBounce`: it was taken back as shorter than a finger can. */
export function explained(
  before: SequenceState,
  happening: Extract<Happening, 'press' | 'release'>,
  after: SequenceState,
  { sequence }: SequenceRules,
  isBounce = false,
): string {
  const facts = schoolFacts[sequence.trigger];
  if (isBounce) return `Shorter than ${bounceS * 1000} ms: taken for a bounce of the contact and ignored.`;
  if (after.phase !== before.phase) {
    if (before.phase === 'pre-gas' && happening === 'release')
      return 'Let go during the gas before: no wire, straight to the gas after.';
    if (before.phase === 'slope-out' && happening === 'press')
      return 'Pressed on the slope: held welding goes back to main.';
    if (before.phase === 'run-in' && happening === 'release' && before.litS === null)
      return 'Let go before it lit: the wire stops, the gas runs after.';
    if (before.phase === 'post-gas' && happening === 'press')
      return 'Pressed while the gas still runs: wire at once, no gas before.';
    if (happening === 'release' && after.phase === 'burn-back' && before.phase !== 'end' && facts.ends !== 'none')
      return 'Let go: no crater level, straight to the stop.';
    return `${happening === 'press' ? 'Pressed' : 'Let go'}: ${phaseNames[before.phase]} to ${phaseNames[after.phase]}.`;
  }
  if (after.undecidedS !== null && before.undecidedS === null)
    return 'A press here is a tap if it is short, the end if it is held.';
  if (after.stopping && !before.stopping) return 'Second press: this machine stops when it is let go.';
  if (happening === 'press') {
    if (before.phase === 'slope-out') return 'Pressed on the slope: a latched weld ignores it and goes on to the end.';
    if (before.phase === 'burn-back' || before.phase === 'end')
      return 'Pressed while it ends: ignored until the arc is out.';
    return 'Pressed: nothing changes here.';
  }
  if (before.phase === 'slope-out' && facts.ends === 'held')
    return 'Let go on the slope: there will be no held crater.';
  if (facts.latches && before.phase !== 'idle') return `Let go: latched, ${phaseNames[before.phase]} goes on.`;
  return before.phase === 'idle' ? 'Let go: ready for a press.' : 'Let go: nothing changes here.';
}
