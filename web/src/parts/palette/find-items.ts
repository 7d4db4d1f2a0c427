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
  [t('view.app.today'), '/today', t('view.finding.words.today')],
  [t('view.app.seams'), '/seams', t('view.finding.list-parts-joints')],
  [t('view.app.machines'), '/machines', t('view.finding.dials-slots-memory')],
  [t('view.finding.compare-two-machines'), '/machines/compare', t('view.finding.side-by-side')],
  [t('view.app.arc-simulator'), '/simulator', t('view.finding.words.simulator')],
  [t('view.app.sequence'), '/sequence', t('view.finding.words.sequence')],
  [t('view.app.trials'), '/trials', t('view.finding.verdict-diagnosis-log')],
  [t('view.run-plan.run-plan'), '/run-plan', t('view.finding.schedule-orders-changeover')],
  [t('view.shift.title'), '/shift', t('view.finding.slots-drift-reference')],
  [t('view.runs.production'), '/runs', t('view.finding.held-welded-log')],
  [t('view.costs.costs'), '/costs', t('view.finding.words.costs')],
  [t('view.finding.fillers'), '/library', t('view.finding.library-wire-constants')],
  [t('view.finding.gases'), '/library/gases', t('view.finding.library-shielding')],
  [t('view.finding.metals'), '/library/metals', t('view.finding.library-grades')],
  [t('view.finding.stock'), '/library/stock', t('view.finding.words.stock')],
  [t('view.finding.words'), '/library/words', t('view.finding.glossary-labels')],
  [t('view.finding.people'), '/shop', t('view.finding.shop-pin-roles')],
  [t('view.finding.parts'), '/shop/parts', t('view.app.shop')],
  [t('view.finding.orders'), '/shop/orders', t('view.finding.shop-due')],
  [t('view.finding.record'), '/shop/record', t('view.finding.observations-log-history')],
  [t('view.finding.backup'), '/shop/backup', t('view.finding.shop-file-restore')],
  [t('view.words.title'), '/shop/words', t('view.finding.words.translations')],
];

const viewsOfSeam: readonly (readonly [name: string, to: (id: string) => string, also: string])[] = [
  ['', (id) => `/seams/${id}`, t('view.finding.sheet-seam-setting')],
  [t('view.finding.arc-simulator'), (id) => `/simulator/${id}`, t('view.finding.tune-map')],
  [t('view.app.sequence'), (id) => `/sequence/${id}`, t('view.finding.trigger-sequence')],
  [t('view.seam-frame.set-up'), (id) => `/seams/${id}/setup`, t('view.finding.walk-changeover')],
  [t('view.finding.wire-and-gas'), (id) => `/seams/${id}/wire`, t('view.finding.filler-choice')],
  [t('view.seam-frame.trial'), (id) => `/seams/${id}/trial`, t('view.finding.verdict-diagnosis-log')],
  [t('view.finding.trial-plan'), (id) => `/seams/${id}/trial-plan`, t('view.finding.sweep-coupons')],
  [t('view.heat.step'), (id) => `/seams/${id}/heat`, t('view.finding.soak-interpass-order')],
  [t('view.window.step'), (id) => `/seams/${id}/window`, t('view.finding.limits-lock-corners')],
  [t('view.seam-frame.store'), (id) => `/seams/${id}/store`, t('view.finding.slot-memory')],
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
          also: t('view.finding.words.machines'),
          to: `/machines/${id}`,
        },
        {
          id: `refill ${id}`,
          group: t('view.app.machines'),
          name: `${file.name}: ${t('view.machines.bottle-and-spool')}`,
          about: file.place,
          also: t('view.finding.words.change'),
          to: `/machines/${id}/refill`,
        },
      ]),
    ...acts.map(({ name, also, act }): FindItem => ({
      id: `act ${name}`,
      group: t('view.finding.acts'),
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
