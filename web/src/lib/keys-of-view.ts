/** Every key of the application, once: those of all views, and those of the view one is in. */
import { t } from './words.ts';

export interface KeyUse {
  readonly keys: string;
  readonly does: string;
}

interface ViewKeys {
  readonly view: string;
  readonly at: RegExp;
  readonly keys: readonly KeyUse[];
}

export const everywhere: readonly KeyUse[] = [
  { keys: 'Ctrl K', does: t('view.lib.find-a-view-a-seam') },
  { keys: 'F1', does: t('view.lib.what-words-mean-here') },
  { keys: '?', does: t('view.lib.the-keys-of-this-view') },
  { keys: 'F2', does: t('view.lib.metric-or-us-units') },
  { keys: 'F4', does: t('view.lib.day-or-night') },
  { keys: 'Esc', does: t('view.lib.closes-what-lies-over-the') },
];

const sheetKeys: readonly KeyUse[] = [
  { keys: 'Ctrl S', does: t('view.lib.saves-the-setting-as-the') },
  { keys: 'Ctrl Z', does: t('view.lib.one-step-back') },
  { keys: 'Ctrl Shift Z', does: t('view.lib.one-step-forward-again') },
];
const fieldKeys: KeyUse = { keys: t('view.lib.in-a-figure'), does: t('view.lib.one-step-more-or-less') };

const views: readonly ViewKeys[] = [
  {
    view: t('view.app.arc-bench'),
    at: /^\/simulator\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: t('view.lib.on-the-map'), does: t('view.lib.moves-the-crosshair-tunes-feed') },
      { keys: t('view.lib.shift-with-an-arrow'), does: t('view.lib.five-steps-at-once') },
      { keys: t('view.lib.wheel-on-a-slider-in'), does: t('view.lib.one-step') },
      { keys: t('view.lib.on-tabs'), does: t('view.lib.the-next-drawer') },
    ],
  },
  {
    view: t('view.app.score'),
    at: /^\/sequence\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: 'Space', does: t('view.lib.the-trigger-held-as-a') },
      { keys: t('view.lib.ctrl-wheel'), does: t('view.lib.nearer-or-farther-in-time') },
      { keys: t('view.lib.shift-wheel'), does: t('view.lib.along-the-weld') },
      { keys: t('view.lib.on-a-handle'), does: t('view.lib.moves-it') },
    ],
  },
  {
    view: t('view.seam-frame.trial'),
    at: /^\/seams\/[^/]+\/trial$/,
    keys: [{ keys: 'Space', does: t('view.trials.starts-and-stops-the-watch') }, fieldKeys],
  },
  { view: t('view.seam-frame.wire-and-gas'), at: /^\/seams\/[^/]+\/wire/, keys: sheetKeys },
  { view: t('view.lib.seam-sheet'), at: /^\/seams\/[^/]+$/, keys: [...sheetKeys, fieldKeys] },
];

export function keysAt(pathname: string): { readonly view: string | null; readonly keys: readonly KeyUse[] } {
  const found = views.find(({ at }) => at.test(pathname));
  return { view: found?.view ?? null, keys: found?.keys ?? [] };
}
