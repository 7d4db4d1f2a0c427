/** A sheet line by line: what each line says, and how it is taken from one sheet into another. For two versions side by side. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, formatWithUnit } from '../lib/words.ts';
import { fillerOf, gasName, materialOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { jointRule, modeName } from '@fox-tempo/core/setting/plan';
import { type QuantityName, type UnitSystem } from '@fox-tempo/core/base/units';
import { canonical } from './draft-store.ts';
import type { Sheet } from './sheet-fields.ts';

export interface SheetLine {
  readonly label: string;
  readonly says: (sheet: Sheet, units: UnitSystem) => string;
  /** What two sheets are compared by. */
  readonly of: (sheet: Sheet) => unknown;
  /** `into`, with this line as `from` has it. */
  readonly take: (into: Sheet, from: Sheet) => Sheet;
}

type Spec = Sheet['spec'];
type Choice = Sheet['choice'];

function specLine<K extends keyof Spec>(
  label: string,
  key: K,
  says: (value: Spec[K], units: UnitSystem, spec: Spec) => string,
): SheetLine {
  return {
    label,
    says: ({ spec }, units) => says(spec[key], units, spec),
    of: ({ spec }) => spec[key] ?? null,
    take: (into, { spec }) => ({ ...into, spec: { ...into.spec, [key]: spec[key] } }),
  };
}

/** Keys of the choice that only make sense together. */
function choiceLine(
  label: string,
  keys: readonly (keyof Choice)[],
  says: (choice: Choice, units: UnitSystem) => string,
) {
  return {
    label,
    says: ({ choice }: Sheet, units: UnitSystem) => says(choice, units),
    of: ({ choice }: Sheet) => keys.map((key) => choice[key] ?? null),
    take: (into: Sheet, { choice }: Sheet) => ({
      ...into,
      choice: { ...into.choice, ...Object.fromEntries(keys.map((key) => [key, choice[key]])) },
    }),
  };
}

const inUnits = (quantity: QuantityName) => (mm: number, units: UnitSystem) => formatWithUnit(mm, quantity, units);
const orPlan = (quantity: QuantityName) => (value: number | null, units: UnitSystem) =>
  value === null ? t('view.seams.as-planned') : formatWithUnit(value, quantity, units);
const orUsual = (value: unknown) =>
  value === null || value === undefined ? t('view.sheet.as-usual') : t('view.sheet.own');

export const sheetLines: readonly SheetLine[] = [
  specLine(t('view.seams.name'), 'name', (name) => name),
  specLine(t('view.library.metal'), 'materialGroup', (group) => format(materialOf(group).name)),
  specLine(t('view.library.grade'), 'grade', (grade) => grade),
  specLine(t('view.sheet.thicknesses'), 'thicknessesMm', (both, units) =>
    both.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + '),
  ),
  specLine(t('view.seams.joint'), 'joint', (joint) => format(jointRule(joint).name)),
  specLine(t('view.seams.edges'), 'preparation', (cut, units) =>
    !cut
      ? t('view.sheet.as-they-are')
      : [
          cut.kind,
          ...(cut.angleDeg === undefined ? [] : [formatWithUnit(cut.angleDeg, 'angle', units)]),
          ...(cut.rootFaceMm === undefined ? [] : [formatWithUnit(cut.rootFaceMm, 'shortLength', units)]),
          ...(cut.backing === undefined ? [] : [cut.backing]),
        ].join(', '),
  ),
  specLine(t('view.sheet.arc-aim'), 'arcIntent', (intent) => intent ?? t('view.sheet.arc-usual')),
  specLine(t('view.seams.position'), 'position', (position) => position),
  specLine(t('view.sheet.gap'), 'gapMm', inUnits('shortLength')),
  specLine(t('view.seams.leg'), 'legMm', orPlan('shortLength')),
  specLine(t('view.sheet.length'), 'lengthMm', inUnits('length')),
  specLine(t('view.sheet.travel-speed'), 'travelMmPerMin', orPlan('travel')),
  choiceLine(
    t('view.seam-frame.wire-and-gas'),
    ['mode', 'filler', 'gas', 'diameterMm'],
    ({ mode, filler, gas, diameterMm }) =>
      [modeName(mode), fillerOf(filler).name, wireSizeLabel(diameterMm), gasName(gas)].map(format).join(', '),
  ),
  choiceLine(t('view.simulator.arc-length'), ['arcHabit'], ({ arcHabit }) => t(`view.sheet.habit-${arcHabit}`)),
  choiceLine(t('view.simulator.wire-feed'), ['wireFeedMPerMin'], ({ wireFeedMPerMin }, units) =>
    orPlan('wireFeed')(wireFeedMPerMin, units),
  ),
  choiceLine(t('view.sheet.hand'), ['pace'], ({ pace }) =>
    pace === undefined ? t('view.sheet.default-travel') : `${pace.welder}, ${format(amount('plain', pace.factor, 2))}`,
  ),
  choiceLine(t('view.sheet.tuned'), ['tune'], ({ tune }) => (tune === null ? t('view.sheet.no') : tuneWords(tune))),
  choiceLine(t('view.sequence.start-and-stop'), ['sequence'], ({ sequence }) => orUsual(sequence)),
  choiceLine(t('view.sheet.gun-angles'), ['gun'], ({ gun }) => orUsual(gun)),
];

function tuneWords({ trimMm, stiffness, ctwdMm, slowBeat }: NonNullable<Choice['tune']>): string {
  const moved = [
    trimMm === null ? null : t('view.sheet.trim', { trim: amount('shortLength', trimMm, 1) }),
    stiffness === null ? null : t('view.sheet.stiffness', { stiffness: amount('plain', stiffness, 1) }),
    ctwdMm === null ? null : t('view.sheet.reach', { ctwd: amount('shortLength', ctwdMm, 0) }),
    slowBeat === null
      ? null
      : t('view.sheet.double-pulse', { frequency: amount('frequency', slowBeat.frequencyHz, 1) }),
  ].filter((word) => word !== null);
  return moved.length > 0 ? moved.join(', ') : t('view.sheet.pulse-only');
}

export interface LineChoice {
  readonly line: SheetLine;
  /** Whose stands if nobody says otherwise: theirs where only they changed it. */
  readonly proposed: 'mine' | 'theirs';
  /** Both changed it. */
  readonly isContested: boolean;
}

/** Where two sheets differ, with what each changed since the base that both began from. */
export function differingLines(base: Sheet, mine: Sheet, theirs: Sheet): LineChoice[] {
  return sheetLines.flatMap((line) => {
    const [was, own, other] = [base, mine, theirs].map((sheet) => canonical(line.of(sheet)));
    if (own === other) return [];
    return [{ line, proposed: own === was ? 'theirs' : 'mine', isContested: own !== was && other !== was }];
  });
}

/** My sheet with the lines named taken from theirs. */
export function mergedSheet(mine: Sheet, theirs: Sheet, fromTheirs: readonly SheetLine[]): Sheet {
  return fromTheirs.reduce((sheet, line) => line.take(sheet, theirs), mine);
}
