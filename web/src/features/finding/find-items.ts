/** What can be found: views, seams with each of their views, machines, acts, words. Found by all the words typed, in any order. */
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import { jointRule } from '@fox-tempo/core/plan';

export interface FindItem {
  readonly id: string;
  readonly group: 'Views' | 'Seams' | 'Machines' | 'Acts';
  readonly name: string;
  /** Said small behind the name. */
  readonly about: string;
  /** Searched beside name and about. */
  readonly also: string;
  readonly to?: string;
  readonly act?: () => void;
}

const views: readonly (readonly [name: string, to: string, also: string])[] = [
  ['Today', '/today', 'orders machines stock home'],
  ['Seams', '/seams', 'list parts joints'],
  ['Machines', '/machines', 'dials slots memory'],
  ['Compare two machines', '/machines/compare', 'side by side'],
  ['Arc bench', '/bench', 'tune map arc sound'],
  ['Score', '/score', 'trigger sequence crater start stop'],
  ['Fillers', '/library', 'library wire constants'],
  ['Gases', '/library/gases', 'library shielding'],
  ['Metals', '/library/metals', 'library grades'],
  ['Stock', '/library/stock', 'cylinders spools gas wire left'],
  ['Words', '/library/words', 'glossary labels'],
  ['People', '/shop', 'shop pin roles'],
  ['Parts', '/shop/parts', 'shop'],
  ['Orders', '/shop/orders', 'shop due'],
  ['Record', '/shop/record', 'observations log history'],
  ['Backup', '/shop/backups', 'shop file restore'],
];

const viewsOfSeam: readonly (readonly [name: string, to: (id: string) => string, also: string])[] = [
  ['', (id) => `/seams/${id}`, 'sheet seam setting'],
  ['arc bench', (id) => `/bench/${id}`, 'tune map'],
  ['score', (id) => `/score/${id}`, 'trigger sequence'],
  ['set-up', (id) => `/seams/${id}/setup`, 'walk changeover'],
  ['wire and gas', (id) => `/seams/${id}/wire`, 'filler choice'],
  ['store', (id) => `/seams/${id}/store`, 'slot memory'],
];

export function itemsOf(
  seams: readonly SeamResource[],
  machines: readonly MachineResource[],
  acts: readonly { readonly name: string; readonly also: string; readonly act: () => void }[],
): FindItem[] {
  return [
    ...views.map(([name, to, also]): FindItem => ({ id: `view ${to}`, group: 'Views', name, about: '', also, to })),
    ...seams.flatMap(({ id, spec, partName, choice }) =>
      viewsOfSeam.map(([view, to, also]): FindItem => ({
        id: `seam ${to(id)}`,
        group: 'Seams',
        name: view === '' ? spec.name : `${spec.name}: ${view}`,
        about: partName,
        also: [
          also,
          spec.grade,
          jointRule(spec.joint).name,
          spec.position,
          ...(choice
            ? [fillerOf(choice.filler).name, wireSizeLabel(choice.diameterMm), gasName(choice.gas), choice.mode]
            : []),
        ].join(' '),
        to: to(id),
      })),
    ),
    ...machines
      .filter((machine) => !machine.retired)
      .map(({ id, file }): FindItem => ({
        id: `machine ${id}`,
        group: 'Machines',
        name: file.name,
        about: file.place,
        also: 'machine dials slots memory leads',
        to: `/machines/${id}`,
      })),
    ...acts.map(({ name, also, act }): FindItem => ({ id: `act ${name}`, group: 'Acts', name, about: '', also, act })),
  ];
}

/** As many as a hand wants to look through. */
const most = 30;

/** Items that hold every word; those whose name begins with the first word come first, sheets before the other views of a seam. */
export function found(items: readonly FindItem[], typed: string): FindItem[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0)
    return items.filter(({ group, id }) => group !== 'Seams' || /\/seams\/[^/]+$/.test(id)).slice(0, most);
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
