/** What can be chosen on the sheet without building an impossible chain: each offer is tried on the core's own gates, and says why it is shut. */
import { joined, type Phrase } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import type { ProgramChoice } from '@fox-tempo/contract';
import { questionOf, standardSite } from '@fox-tempo/core/site';
import { commonGasCodes, type FillerCode, fillerOf, gasOf } from '@fox-tempo/core/metal/consumables';
import {
  modeName,
  planInputIssues,
  type PlanMode,
  planModes,
  type Position,
  positionName,
  positionRules,
} from '@fox-tempo/core/setting/plan';
import { fillerFacts, softnessWords } from '@fox-tempo/core/setting/wire-choice';
import type { Sheet } from '../../sheet/sheet-fields.ts';

export interface Offer<T extends string> {
  readonly value: T;
  readonly label: Phrase;
  readonly disabled?: boolean;
}

const modeNames: Record<PlanMode, string> = {
  pulse: t('view.seams.pulse'),
  'double-pulse': t('view.seams.double-pulse'),
  dip: t('view.seams.dip'),
  spray: t('view.seams.spray'),
  cored: t('view.seams.cored'),
};

/** Fields of the chain metal, wire, gas, mode and position; other troubles of the sheet are not the offer's. */
const shutBy: Readonly<Record<string, string>> = {
  gas: t('view.seams.not-in-gas'),
  filler: t('view.seams.not-with-wire'),
  mode: t('view.seams.not-with-wire'),
  'seam.position': t('view.seams.not-in-position'),
};

/** The gates know no thickness rule: whatever the site, the same chains are shut. */
function whyShut(spec: Sheet['spec'], choice: ProgramChoice): string | undefined {
  const issue = planInputIssues(questionOf(spec, choice, standardSite)).find(({ path }) => shutBy[path] !== undefined);
  return issue && shutBy[issue.path];
}

function offer<T extends string>(value: T, label: Phrase, shut: string | undefined): Offer<T> {
  return shut === undefined ? { value, label } : { value, label: joined([label, shut], ': '), disabled: true };
}

export function modeChoices(spec: Sheet['spec'], choice: ProgramChoice): Offer<PlanMode>[] {
  return planModes.map((mode) => offer(mode, modeNames[mode], whyShut(spec, { ...choice, mode })));
}

export function gasChoices(spec: Sheet['spec'], choice: ProgramChoice): Offer<string>[] {
  return commonGasCodes.map((gas) => {
    const shut = whyShut(spec, { ...choice, gas });
    // A gas that only another way of transfer takes is still on offer: the way can be changed after it.
    const elsewhere =
      shut !== undefined && planModes.some((mode) => whyShut(spec, { ...choice, gas, mode }) === undefined);
    const label = gasOf(gas).name;
    if (shut === undefined) return { value: gas, label };
    return elsewhere
      ? { value: gas, label: t('view.seams.label-not-in-mode', { label, mode: modeName(choice.mode) }) }
      : offer(gas, label, shut);
  });
}

export function positionChoices(spec: Sheet['spec'], choice: ProgramChoice): Offer<Position>[] {
  return positionRules.map(({ position }) => {
    const issue = planInputIssues(questionOf({ ...spec, position }, choice, standardSite)).find(
      ({ path }) => path === 'seam.position',
    );
    return offer(
      position,
      format(positionName(position, spec.joint)),
      issue && t('view.seams.not-in-mode', { mode: choice.mode }),
    );
  });
}

/** Class, how it feeds, and what it is for. */
export function wireHint(code: FillerCode): string {
  const { classes, use } = fillerOf(code);
  return `${[classes, ...(use === undefined ? [] : [t('view.seams.for', { use: format(use) })])].join(', ')}; ${format(softnessWords[fillerFacts[code].softness])}`;
}
