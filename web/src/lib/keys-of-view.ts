/** Every key of the application, once: those of all views, and those of the view one is in. */

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
  { keys: 'Ctrl K', does: 'find a view, a seam, a machine or an act by any word' },
  { keys: 'F1', does: 'what words mean here' },
  { keys: '?', does: 'the keys of this view' },
  { keys: 'F2', does: 'metric or US units' },
  { keys: 'F4', does: 'day or night' },
  { keys: 'Esc', does: 'closes what lies over the page' },
];

const sheetKeys: readonly KeyUse[] = [
  { keys: 'Ctrl S', does: 'saves the setting as the next revision' },
  { keys: 'Ctrl Z', does: 'one step back' },
  { keys: 'Ctrl Shift Z', does: 'one step forward again' },
];
const fieldKeys: KeyUse = { keys: '↑ ↓ in a figure', does: 'one step more or less' };

const views: readonly ViewKeys[] = [
  {
    view: 'Arc bench',
    at: /^\/bench\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: '← → ↑ ↓ on the map', does: 'moves the crosshair: tunes feed and trim' },
      { keys: 'Shift with an arrow', does: 'five steps at once' },
      { keys: 'wheel on a slider in focus', does: 'one step' },
      { keys: '← → on tabs', does: 'the next drawer' },
    ],
  },
  {
    view: 'Score',
    at: /^\/score\//,
    keys: [
      ...sheetKeys,
      fieldKeys,
      { keys: 'Space', does: 'the trigger: held as a hand holds it' },
      { keys: 'Ctrl wheel', does: 'nearer or farther in time' },
      { keys: 'Shift wheel', does: 'along the weld' },
      { keys: '← → on a handle', does: 'moves it' },
    ],
  },
  { view: 'Wire and gas', at: /^\/seams\/[^/]+\/wire/, keys: sheetKeys },
  { view: 'Seam sheet', at: /^\/seams\/[^/]+$/, keys: [...sheetKeys, fieldKeys] },
];

export function keysAt(pathname: string): { readonly view: string | null; readonly keys: readonly KeyUse[] } {
  const found = views.find(({ at }) => at.test(pathname));
  return { view: found?.view ?? null, keys: found?.keys ?? [] };
}
