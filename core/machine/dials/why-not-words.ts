/** Why a machine cannot weld a program, and what its description lacks, in words: the same on card, page and printed plan. */
import { fillerOf, gasName, wireSizeLabel } from '../../metal/consumables/index.ts';
import { dutyFromPlate } from '../description/index.ts';
import { modeName } from '../../setting/plan/index.ts';
import { amount, inSentence, joined, message, type Phrase } from '../../base/messages/index.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { rmsCurrentA, type CannotWeld, type MissingPart } from './can-weld.ts';

export function whyNotWords(machine: Machine, program: Program, why: CannotWeld): Phrase {
  const { name, limits } = machine;
  switch (why) {
    case 'no-dials':
    case 'no-feed-dial':
    case 'no-chart':
      return missingWords(name, [why]);
    case 'feed':
      return message('machine.why-feed', {
        machine: name,
        wants: amount('wireFeed', program.wireFeedMPerMin, 1),
        least: amount('wireFeed', limits.wireFeedMPerMin[0], 1),
        most: amount('wireFeed', limits.wireFeedMPerMin[1], 1),
      });
    case 'wire-size':
      return message('machine.why-wire-size', { machine: name, size: wireSizeLabel(program.diameterMm) });
    case 'chart':
      return message('machine.why-chart', {
        machine: name,
        wire: fillerOf(program.filler).name,
        size: wireSizeLabel(program.diameterMm),
        gas: gasName(program.gas),
        mode: inSentence(modeName(program.mode)),
      });
    case 'current':
      return message('machine.why-current', {
        machine: name,
        most: amount('current', limits.peakCurrentA, 0),
        wants: amount('current', rmsCurrentA(program) ?? 0, 0),
      });
    case 'duty': {
      const wants = rmsCurrentA(program) ?? 0;
      return message('machine.why-duty', {
        machine: name,
        wants: amount('current', wants, 0),
        percent: amount('percent', dutyFromPlate(limits.duty, wants) ?? 0, 0),
      });
    }
  }
}

const missingNames: Record<MissingPart, Phrase> = {
  'no-dials': message('machine.missing-dials'),
  'no-feed-dial': message('machine.missing-feed-dial'),
  'no-chart': message('machine.missing-chart'),
};

/** What nobody described yet, so that the machine cannot be planned. */
export function missingWords(machine: string, missing: readonly MissingPart[]): Phrase {
  return message('machine.is-half-described', {
    machine,
    missing: joined(
      missing.map((part) => missingNames[part]),
      ', ',
    ),
  });
}
