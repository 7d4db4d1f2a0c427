/** Every key of the application, once: those of all views, and those of the view one is in. */
import { t } from '../../lib/words.ts';

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
  { keys: 'Ctrl K', does: t('view.glossary.key.search') },
  { keys: 'F1', does: t('view.glossary.key.glossary') },
  { keys: '?', does: t('view.glossary.key.keys') },
  { keys: 'F2', does: t('view.glossary.key.units') },
  { keys: 'F4', does: t('view.glossary.day-or-night') },
  { keys: 'Esc', does: t('view.glossary.key.close') },
];

const sheetKeys: readonly KeyUse[] = [
  { keys: 'Ctrl S', does: t('view.glossary.key.save') },
  { keys: 'Ctrl Z', does: t('view.glossary.one-step-back') },
  { keys: 'Ctrl Shift Z', does: t('view.glossary.key.redo') },
];
const fieldKeys: KeyUse = { keys: t('view.glossary.in-a-figure'), does: t('view.glossary.key.step') };

const views: readonly ViewKeys[] = [
  {
    view: t('view.app.arc-simulator'),
    at: /^\/simulator\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: t('view.glossary.on-the-map'), does: t('view.glossary.key.crosshair') },
      { keys: t('view.glossary.key.shift-arrow'), does: t('view.glossary.key.five-steps') },
      { keys: t('view.glossary.key.wheel'), does: t('view.glossary.one-step') },
      { keys: t('view.glossary.on-tabs'), does: t('view.glossary.the-next-drawer') },
    ],
  },
  {
    view: t('view.app.sequence'),
    at: /^\/sequence\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: 'Space', does: t('view.glossary.key.trigger') },
      { keys: t('view.glossary.ctrl-wheel'), does: t('view.glossary.key.zoom') },
      { keys: t('view.glossary.shift-wheel'), does: t('view.glossary.along-the-weld') },
      { keys: t('view.glossary.on-a-handle'), does: t('view.glossary.key.move') },
    ],
  },
  {
    view: t('view.seam-frame.trial'),
    at: /^\/seams\/[^/]+\/trial$/,
    keys: [{ keys: 'Space', does: t('view.trials.key-watch') }, fieldKeys],
  },
  { view: t('view.seam-frame.wire-and-gas'), at: /^\/seams\/[^/]+\/wire/, keys: sheetKeys },
  { view: t('view.glossary.seam-sheet'), at: /^\/seams\/[^/]+$/, keys: [...sheetKeys, fieldKeys] },
];

export function keysAt(pathname: string): { readonly view: string | null; readonly keys: readonly KeyUse[] } {
  const found = views.find(({ at }) => at.test(pathname));
  return { view: found?.view ?? null, keys: found?.keys ?? [] };
}
