/** The first hour: the way of one seam through the application, at the person's own first seam. What was visited is kept on the device, by person. */
import { t } from '../../lib/words.ts';
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
    name: t('view.tour.read-its-sheet'),
    why: t('view.tour.sheet-why'),
    to: (id) => `/seams/${id}`,
    at: /^\/seams\/[^/]+$/,
  },
  {
    id: 'set-up',
    name: t('view.tour.set-up'),
    why: t('view.tour.set-up-why'),
    to: (id) => `/seams/${id}/setup`,
    at: /^\/seams\/[^/]+\/setup$/,
  },
  {
    id: 'arc',
    name: t('view.tour.simulator'),
    why: t('view.tour.simulator-why'),
    to: (id) => `/simulator/${id}`,
    at: /^\/simulator\/[^/]+$/,
  },
  {
    id: 'score',
    name: t('view.tour.practice'),
    why: t('view.tour.practice-why'),
    to: (id) => `/sequence/${id}`,
    at: /^\/sequence\/[^/]+/,
  },
  {
    id: 'store',
    name: t('view.tour.store'),
    why: t('view.tour.store-why'),
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
