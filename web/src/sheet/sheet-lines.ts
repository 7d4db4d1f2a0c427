/** A sheet line by line: what each line says, and how it is taken from one sheet into another. For two versions side by side. */
import { fillerOf, gasName, materialOf, wireSizeLabel } from '@fox-tempo/core/consumables';
import { jointRule, modeName } from '@fox-tempo/core/plan';
import { formatWithUnit, type QuantityName, type UnitSystem } from '@fox-tempo/core/units';
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
  value === null ? 'as planned' : formatWithUnit(value, quantity, units);
const orUsual = (value: unknown) => (value === null || value === undefined ? 'as usual' : 'own');

export const sheetLines: readonly SheetLine[] = [
  specLine('Name', 'name', (name) => name),
  specLine('Metal', 'materialGroup', (group) => materialOf(group).name),
  specLine('Grade', 'grade', (grade) => grade),
  specLine('Thicknesses', 'thicknessesMm', (both, units) =>
    both.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + '),
  ),
  specLine('Joint', 'joint', (joint) => jointRule(joint).name),
  specLine('Edges', 'preparation', (cut, units) =>
    !cut
      ? 'as they are'
      : [
          cut.kind,
          ...(cut.angleDeg === undefined ? [] : [formatWithUnit(cut.angleDeg, 'angle', units)]),
          ...(cut.rootFaceMm === undefined ? [] : [formatWithUnit(cut.rootFaceMm, 'shortLength', units)]),
          ...(cut.backing === undefined ? [] : [cut.backing]),
        ].join(', '),
  ),
  specLine('The arc is to', 'arcIntent', (intent) => intent ?? 'as the joint wants'),
  specLine('Position', 'position', (position) => position),
  specLine('Gap', 'gapMm', inUnits('shortLength')),
  specLine('Leg', 'legMm', orPlan('shortLength')),
  specLine('Length', 'lengthMm', inUnits('length')),
  specLine('Pace', 'travelMmPerMin', orPlan('travel')),
  choiceLine('Wire and gas', ['mode', 'filler', 'gas', 'diameterMm'], ({ mode, filler, gas, diameterMm }) =>
    [modeName(mode), fillerOf(filler).name, wireSizeLabel(diameterMm), gasName(gas)].join(', '),
  ),
  choiceLine('Arc length', ['arcHabit'], ({ arcHabit }) => arcHabit.replaceAll('-', ' ')),
  choiceLine('Wire feed', ['wireFeedMPerMin'], ({ wireFeedMPerMin }, units) =>
    orPlan('wireFeed')(wireFeedMPerMin, units),
  ),
  choiceLine('Tuned at the bench', ['tune'], ({ tune }) => (tune === null ? 'no' : tuneWords(tune))),
  choiceLine('Start and stop', ['sequence'], ({ sequence }) => orUsual(sequence)),
  choiceLine('Gun angles', ['gun'], ({ gun }) => orUsual(gun)),
];

function tuneWords({ trimMm, stiffness, ctwdMm, slowBeat }: NonNullable<Choice['tune']>): string {
  const moved = [
    trimMm === null ? null : `trim ${trimMm.toFixed(1)} mm`,
    stiffness === null ? null : `stiffness ${stiffness.toFixed(1)}`,
    ctwdMm === null ? null : `reach ${ctwdMm.toFixed(0)} mm`,
    slowBeat === null ? null : `beat ${slowBeat.frequencyHz.toFixed(1)} Hz`,
  ].filter((word) => word !== null);
  return moved.length > 0 ? moved.join(', ') : 'pulse only';
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
