/** What can be found: views, seams with each of their views, machines, acts, words. Found by all the words typed, in any order. */
import { t, format } from '../../lib/words.ts';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { jointRule, modeName } from '@fox-tempo/core/setting/plan';

export interface FindItem {
  readonly id: string;
  /** Under which heading it stands. */
  readonly group: string;
  readonly name: string;
  /** Said small behind the name. */
  readonly about: string;
  /** Searched beside name and about. */
  readonly also: string;
  readonly to?: string;
  readonly act?: () => void;
}

const views: readonly (readonly [name: string, to: string, also: string])[] = [
  [t('view.app.today'), '/today', t('view.palette.words.today')],
  [t('view.app.seams'), '/seams', t('view.palette.list-parts-joints')],
  [t('view.app.machines'), '/machines', t('view.palette.dials-slots-memory')],
  [t('view.palette.compare-two-machines'), '/machines/compare', t('view.palette.side-by-side')],
  [t('view.app.arc-simulator'), '/simulator', t('view.palette.words.simulator')],
  [t('view.app.sequence'), '/sequence', t('view.palette.words.sequence')],
  [t('view.app.trials'), '/trials', t('view.palette.verdict-diagnosis-log')],
  [t('view.run-plan.run-plan'), '/run-plan', t('view.palette.schedule-orders-changeover')],
  [t('view.shift.title'), '/shift', t('view.palette.slots-drift-reference')],
  [t('view.runs.production'), '/runs', t('view.palette.held-welded-log')],
  [t('view.costs.costs'), '/costs', t('view.palette.words.costs')],
  [t('view.palette.fillers'), '/library', t('view.palette.library-wire-constants')],
  [t('view.palette.gases'), '/library/gases', t('view.palette.library-shielding')],
  [t('view.palette.metals'), '/library/metals', t('view.palette.library-grades')],
  [t('view.palette.stock'), '/library/stock', t('view.palette.words.stock')],
  [t('view.palette.words'), '/library/words', t('view.palette.glossary-labels')],
  [t('view.palette.people'), '/shop', t('view.palette.shop-pin-roles')],
  [t('view.palette.parts'), '/shop/parts', t('view.app.shop')],
  [t('view.palette.orders'), '/shop/orders', t('view.palette.shop-due')],
  [t('view.palette.record'), '/shop/record', t('view.palette.observations-log-history')],
  [t('view.palette.backup'), '/shop/backup', t('view.palette.shop-file-restore')],
  [t('view.words.title'), '/shop/words', t('view.palette.words.translations')],
];

const viewsOfSeam: readonly (readonly [name: string, to: (id: string) => string, also: string])[] = [
  ['', (id) => `/seams/${id}`, t('view.palette.sheet-seam-setting')],
  [t('view.palette.arc-simulator'), (id) => `/simulator/${id}`, t('view.palette.tune-map')],
  [t('view.app.sequence'), (id) => `/sequence/${id}`, t('view.palette.trigger-sequence')],
  [t('view.seam-frame.set-up'), (id) => `/seams/${id}/setup`, t('view.palette.walk-changeover')],
  [t('view.palette.wire-and-gas'), (id) => `/seams/${id}/wire`, t('view.palette.filler-choice')],
  [t('view.seam-frame.trial'), (id) => `/seams/${id}/trial`, t('view.palette.verdict-diagnosis-log')],
  [t('view.palette.trial-plan'), (id) => `/seams/${id}/trial-plan`, t('view.palette.sweep-coupons')],
  [t('view.heat.step'), (id) => `/seams/${id}/heat`, t('view.palette.soak-interpass-order')],
  [t('view.window.step'), (id) => `/seams/${id}/window`, t('view.palette.limits-lock-corners')],
  [t('view.seam-frame.store'), (id) => `/seams/${id}/store`, t('view.palette.slot-memory')],
];

export function itemsOf(
  seams: readonly SeamResource[],
  machines: readonly MachineResource[],
  acts: readonly { readonly name: string; readonly also: string; readonly act: () => void }[],
): FindItem[] {
  return [
    ...views.map(([name, to, also]): FindItem => ({
      id: `view ${to}`,
      group: t('view.app.views'),
      name,
      about: '',
      also,
      to,
    })),
    ...seams.flatMap(({ id, spec, partName, choice }) =>
      viewsOfSeam.map(([view, to, also]): FindItem => ({
        id: `seam ${to(id)}`,
        group: t('view.app.seams'),
        name: view === '' ? spec.name : `${spec.name}: ${view}`,
        about: partName,
        also: [
          also,
          spec.grade,
          format(jointRule(spec.joint).name),
          spec.position,
          ...(choice
            ? [
                fillerOf(choice.filler).name,
                format(wireSizeLabel(choice.diameterMm)),
                gasName(choice.gas),
                modeName(choice.mode),
              ].map(format)
            : []),
        ].join(' '),
        to: to(id),
      })),
    ),
    ...machines
      .filter((machine) => !machine.retired)
      .flatMap(({ id, file }): FindItem[] => [
        {
          id: `machine ${id}`,
          group: t('view.app.machines'),
          name: file.name,
          about: file.place,
          also: t('view.palette.words.machines'),
          to: `/machines/${id}`,
        },
        {
          id: `refill ${id}`,
          group: t('view.app.machines'),
          name: `${file.name}: ${t('view.machines.bottle-and-spool')}`,
          about: file.place,
          also: t('view.palette.words.change'),
          to: `/machines/${id}/refill`,
        },
      ]),
    ...acts.map(({ name, also, act }): FindItem => ({
      id: `act ${name}`,
      group: t('view.palette.acts'),
      name,
      about: '',
      also,
      act,
    })),
  ];
}

/** As many as a hand wants to look through. */
const most = 30;

/** Items that hold every word; those whose name begins with the first word come first, sheets before the other views of a seam. */
export function found(items: readonly FindItem[], typed: string): FindItem[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0)
    return items.filter(({ id }) => !id.startsWith('seam ') || /\/seams\/[^/]+$/.test(id)).slice(0, most);
  const score = ({ name, about, also }: FindItem) => {
    const own = name.toLowerCase();
    if (!words.every((word) => `${own} ${about} ${also}`.toLowerCase().includes(word))) return -1;
    return words.filter((word) => own.includes(word)).length * 2 + (own.startsWith(words[0] ?? '') ? 1 : 0);
  };
  return items
    .map((item, at) => ({ item, at, worth: score(item) }))
    .filter(({ worth }) => worth >= 0)
    .sort((a, b) => b.worth - a.worth || a.at - b.at)
    .slice(0, most)
    .map(({ item }) => item);
}
