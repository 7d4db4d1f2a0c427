/** A sequence played as it happens: one value after the other, with the record of what was run. Pure; whoever has a clock calls it. */
import type { Phrase } from '../../base/messages/index.ts';
import { explained } from './words.ts';
import { closePhase, type PlayedPhase, type TriggerEvent } from './play.ts';
import { atRest, bounceS, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS, transition, type Happened } from './transition.ts';

export interface LivePlay {
  readonly state: SequenceState;
  readonly nowS: number;
  /** Phases that are over. */
  readonly played: readonly PlayedPhase[];
  readonly events: readonly TriggerEvent[];
  /** What the last press or letting go did. */
  readonly said: Phrase | null;
  /** As it was before the press that is down now, should it turn out to be a bounce. */
  readonly beforePress: LivePlay | null;
}

export const livePlay: LivePlay = { state: atRest, nowS: 0, played: [], events: [], said: null, beforePress: null };

/** Time goes on: phases whose time is over end. */
export function advanced(live: LivePlay, toS: number, rules: SequenceRules): LivePlay {
  let next = live;
  for (;;) {
    const due = deadlineS(next.state, rules);
    if (due === null || due > toS) return next.nowS === toS ? next : { ...next, nowS: Math.max(toS, next.nowS) };
    next = moved(next, { kind: 'time', atS: Math.max(due, next.state.sinceS, next.nowS) }, rules);
  }
}

/** Something happens at a moment not before now: a press, a letting go, the arc lighting. */
export function happened(live: LivePlay, event: Happened, rules: SequenceRules): LivePlay {
  const here = advanced(live, event.atS, rules);
  if (event.kind === 'arc' || event.kind === 'time') return moved(here, event, rules);
  const events = [...here.events, { atS: event.atS, action: event.kind }];
  const pressedS = here.events.at(-1)?.action === 'press' ? here.events.at(-1)?.atS : undefined;
  if (event.kind === 'release' && here.beforePress && pressedS !== undefined && event.atS - pressedS < bounceS) {
    const undone = advanced(here.beforePress, event.atS, rules);
    return { ...undone, events, said: explained(undone.state, 'release', undone.state, rules, true) };
  }
  const next = moved(here, event, rules);
  return {
    ...next,
    events,
    said: explained(here.state, event.kind, next.state, rules),
    beforePress: event.kind === 'press' ? { ...here, beforePress: null } : null,
  };
}

/** The record with the phase that is on now, as drawn. */
export function recordOf({ played, state, nowS }: LivePlay, rules: SequenceRules): PlayedPhase[] {
  const record = [...played];
  closePhase(record, state, nowS, rules);
  return record;
}

function moved(live: LivePlay, event: Happened, rules: SequenceRules): LivePlay {
  const state = transition(live.state, event, rules);
  if (state === live.state) return { ...live, nowS: Math.max(event.atS, live.nowS) };
  const isNew = state.phase !== live.state.phase || state.sinceS !== live.state.sinceS;
  const played = isNew ? [...live.played] : live.played;
  if (isNew) closePhase(played as PlayedPhase[], live.state, event.atS, rules);
  return { ...live, state, played, nowS: Math.max(event.atS, live.nowS) };
}
