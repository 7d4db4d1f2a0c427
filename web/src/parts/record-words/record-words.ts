/** One line for each kind of observation. */
import { amount, absent } from '@fox-tempo/core/base/messages';
import type { WireLeft, WireShape } from '@fox-tempo/core/weld/score';
import { stepNames, type StepKind } from '@fox-tempo/core/machine/setup';
import { leftNames, shapeNames } from './stop-words.ts';
import { t, fixed, format } from '../../lib/words.ts';
import { wearPartNames, wearParts } from '@fox-tempo/core/machine/wear';
import type { Observation } from '@fox-tempo/contract';

export const kindNames: Record<Observation['kind'], string> = {
  'parts-done': t('view.shop.parts-counted'),
  stock: t('view.palette.stock'),
  'slot-found': t('view.shop.kind.slot-found'),
  standing: t('view.shop.kind.state'),
  'dials-set': t('view.shop.dials-ticked'),
  'direction-test': t('view.shop.direction-test'),
  'lead-reading': t('view.shop.lead-reading'),
  'step-time': t('view.shop.step-timed'),
  'burn-back-stop': t('view.shop.kind.burn-back-stop'),
  'calibration-points': t('view.shop.calibration-points'),
  'first-arc': t('view.shop.kind.first-arc'),
  lock: t('view.shop.lock'),
  issue: t('view.shop.issued'),
  limits: t('view.trials.limits'),
  window: t('view.window.window'),
  trial: t('view.trials.trial'),
  run: t('view.runs.production-weld'),
  'run-decision': t('view.runs.decision'),
  release: t('view.runs.release-kind'),
  offset: t('view.runs.own-way'),
  replaced: t('view.wear.replaced'),
  note: t('view.machines.note'),
  'handed-over': t('view.outbox.handed-over'),
  withdrawal: t('view.shop.taken-back'),
};

export function observationLine({ kind, body, revision }: Observation): string {
  const text = (key: string) => {
    const value = body[key];
    return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  };
  switch (kind) {
    case 'parts-done': {
      const count = Number(body['count']);
      return count < 0 ? t('view.shop.line.taken-back', { count: -count }) : t('view.shop.line.done', { count });
    }
    case 'stock': {
      const quantity = Number(body['quantity']);
      const moved = Number.isFinite(quantity)
        ? `: ${quantity >= 0 ? '+' : '−'}${fixed(Math.abs(quantity), text('unit') === 'L' ? 0 : 2)} ${text('unit')}`
        : '';
      return [text('name'), `${text('why')}${moved}`].filter((one) => one !== '').join(', ');
    }
    case 'slot-found':
      return t(body['putBack'] === true ? 'view.shop.slot-put-back' : 'view.shop.slot', { slot: text('slot') });
    case 'standing':
      return t('view.shop.entered-anew');
    case 'dials-set':
      return t('view.shop.dials-ticked-count', { count: Object.keys(body['dials'] ?? {}).length });
    case 'direction-test':
      return t('view.shop.line.amount', {
        what: text('dialId'),
        amount: body['result'] === 'reversed' ? t('view.machines.test.reversed') : t('view.machines.test.as-described'),
      });
    case 'lead-reading':
      return t('view.shop.line.reading', {
        reading: amount('resistance', Number(text('mOhm'))),
        note: text('note') === '' ? absent : text('note'),
      });
    case 'step-time':
      return t('view.shop.line.amount', {
        what: format(stepNames[text('kind') as StepKind] ?? text('kind')),
        amount: amount('minutes', Number(text('minutes'))),
      });
    case 'burn-back-stop':
      return t('view.shop.at', {
        left: leftNames[text('left') as WireLeft] ?? text('left'),
        shape: shapeNames[text('shape') as WireShape] ?? text('shape'),
        burnBack: amount('pulseTime', Number(text('burnBackMs'))),
      });
    case 'calibration-points':
      return t('view.shop.points', { count: Array.isArray(body['points']) ? body['points'].length : 0 });
    case 'first-arc': {
      const ticks = Object.values((body['ticks'] ?? {}) as Record<string, boolean>);
      return t('view.shop.of-ticked', { ticked: ticks.filter(Boolean).length, all: ticks.length });
    }
    case 'lock':
      return t('view.shop.line.lock', { locked: body['locked'] === true ? 'yes' : 'other', reason: text('reason') });
    case 'issue':
      return t('view.shop.revision', { revision: revision ?? '?', note: text('reason') });
    case 'limits':
      return [t('view.trials.entered-anew-level', { level: levelOf(body['limits']) }), text('reason')]
        .filter(Boolean)
        .join(': ');
    case 'trial':
      return t('view.shop.revision', { revision: revision ?? '?', note: text('note') });
    case 'run': {
      const held = Array.isArray(body['held']) ? body['held'].length : 0;
      return held > 0
        ? t('view.runs.held-reasons', { held })
        : t('view.shop.revision', { revision: revision ?? '?', note: '' });
    }
    case 'offset':
      return t('view.shop.revision', { revision: revision ?? '?', note: '' });
    case 'run-decision':
      return [
        t(
          `view.runs.${text('decision') === 'released' ? 'released' : text('decision') === 'scrapped' ? 'scrapped' : 'slip'}`,
        ),
        text('reason'),
      ]
        .filter(Boolean)
        .join(': ');
    case 'window':
    case 'release':
      return text('reason');
    case 'replaced': {
      const part = wearParts.find((one) => one === body['part']);
      return [
        part === undefined ? '' : format(wearPartNames[part]),
        text('reason') === 'worn' ? t('view.wear.worn-out') : t('view.wear.still-good'),
        text('note'),
      ]
        .filter(Boolean)
        .join(', ');
    }
    case 'note':
      return text('text');
    case 'handed-over':
      return [text('about'), text('why')].filter(Boolean).join(': ');
    case 'withdrawal':
      return text('why');
  }
}

function levelOf(limits: unknown): string {
  return typeof limits === 'object' && limits !== null && 'level' in limits ? String(limits.level) : 'C';
}
