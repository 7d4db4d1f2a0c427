/** The first hour: the way of one seam through the application, at the person's own first seam. What was visited is kept on the device, by person. */
import { keep, recall } from '../../lib/device.ts';

export interface TourStep {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly to: (seamId: string) => string;
  /** The address that counts as having been there. */
  readonly at: RegExp;
}

export const tourSteps: readonly TourStep[] = [
  {
    id: 'sheet',
    name: 'Read its sheet',
    why: 'metal, joint and thickness make a first setting; touch a figure for the sum behind it',
    to: (id) => `/seams/${id}`,
    at: /^\/seams\/[^/]+$/,
  },
  {
    id: 'set-up',
    name: 'Walk the set-up',
    why: 'what this machine needs changed for it, in the order that is forgotten least',
    to: (id) => `/seams/${id}/setup`,
    at: /^\/seams\/[^/]+\/setup$/,
  },
  {
    id: 'arc',
    name: 'Tune it at the arc bench',
    why: 'drag the point on the map and hear what becomes of the arc; the card beside it says what to dial',
    to: (id) => `/bench/${id}`,
    at: /^\/bench\/[^/]+$/,
  },
  {
    id: 'score',
    name: 'Play its start and stop',
    why: 'hold the space bar as you would the trigger',
    to: (id) => `/score/${id}`,
    at: /^\/score\/[^/]+/,
  },
  {
    id: 'store',
    name: 'Store it, or print its card',
    why: 'into a slot of the machine, with what it would overwrite named first',
    to: (id) => `/seams/${id}/store`,
    at: /^\/seams\/[^/]+\/store$/,
  },
];

/** Steps done, or null once the tour was put away. */
export function tourOf(personId: string): readonly string[] | null {
  const kept = recall(`tour/${personId}`);
  if (kept === 'away') return null;
  return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string') : [];
}

/** Counts a visit; the same object is kept when nothing is new. */
export function visited(personId: string, pathname: string): void {
  const done = tourOf(personId);
  const step = tourSteps.find(({ at }) => at.test(pathname));
  if (done === null || !step || done.includes(step.id)) return;
  keep(`tour/${personId}`, [...done, step.id]);
}

export function putAway(personId: string): void {
  keep(`tour/${personId}`, 'away');
}
