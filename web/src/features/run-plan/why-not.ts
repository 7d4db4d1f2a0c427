/** Why a machine cannot weld a job, in words. */
import type { CannotWeld } from '@fox-tempo/core/day-plan';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import type { Machine, Program } from '@fox-tempo/core/machine';
import { amount } from '@fox-tempo/core/said';
import { t } from '../../lib/words.ts';

export function whyNotWords(file: Machine, program: Program, why: CannotWeld): string {
  const machine = file.name;
  switch (why) {
    case 'no-dials':
      return t('view.run-plan.why-no-dials', { machine });
    case 'feed':
      return t('view.run-plan.why-feed', {
        machine,
        wants: amount('wireFeed', program.wireFeedMPerMin, 1),
        least: amount('wireFeed', file.limits.wireFeedMPerMin[0], 1),
        most: amount('wireFeed', file.limits.wireFeedMPerMin[1], 1),
      });
    case 'wire-size':
      return t('view.run-plan.why-wire-size', { machine, size: wireSizeLabel(program.diameterMm) });
    case 'chart':
      return t('view.run-plan.why-chart', {
        machine,
        wire: fillerOf(program.filler).name,
        size: wireSizeLabel(program.diameterMm),
        gas: gasName(program.gas),
      });
  }
}
