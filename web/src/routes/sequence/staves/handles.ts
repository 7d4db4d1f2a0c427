/** The handles of a score: which number each moves sideways and which up and down, where it stands, and what a nudge makes of it. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, fixed } from '../../../lib/words.ts';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
import {
  schoolFacts,
  sequenceRanges,
  type Phase,
  type SequenceNumber,
  type TriggerSequence,
} from '@fox-tempo/core/weld/sequence';

export interface Handle {
  readonly id: string;
  readonly name: string;
  readonly phase: Phase;
  readonly stave: 'gas' | 'wire' | 'current' | 'trigger';
  readonly atS: number;
  /** Percent of main, for its height on wire and current; null in the middle of its stave. */
  readonly percent: number | null;
  /** Sideways: the number in seconds that it moves, and whether right is more. */
  readonly time?: { readonly field: SequenceNumber; readonly more: 'right' | 'left' };
  readonly level?: SequenceNumber;
  /** A tap: moved in millimetres along the seam. */
  readonly tap?: number;
}

/** Snap of a drag and step of an arrow key. */
export const steps = { timeS: 0.1, fineTimeS: 0.01, percent: 5, finePercent: 1, mm: 5, fineMm: 1 } as const;

export function handlesOf({ score, program }: ScoreOf): Handle[] {
  const { sequence } = program;
  const { ends, second } = schoolFacts[sequence.trigger];
  const phase = (name: Phase) => score.played.find((one) => one.name === name);
  const last = (name: Phase) => score.played.findLast((one) => one.name === name);
  const handles: Handle[] = [];
  const add = (handle: Handle | undefined) => {
    if (handle) handles.push(handle);
  };
  const preGas = phase('pre-gas');
  const runIn = phase('run-in');
  if (score.rules.hasGas && runIn) {
    add({
      id: 'pre-gas',
      name: t('view.sequence.gas-before'),
      phase: 'pre-gas',
      stave: 'gas',
      atS: preGas?.fromS ?? runIn.fromS,
      percent: null,
      time: { field: 'preGasS', more: 'left' },
    });
  }
  if (runIn) {
    add({
      id: 'run-in',
      name: t('view.sequence.run-in-level'),
      phase: 'run-in',
      stave: 'wire',
      atS: (runIn.fromS + (runIn.litS ?? runIn.toS)) / 2,
      percent: sequence.runInPercent,
      level: 'runInPercent',
    });
  }
  const start = phase('start');
  const slopeIn = phase('slope-in');
  const main = phase('main');
  if (ends !== 'none' && (start ?? slopeIn ?? main)) {
    const atS = start?.toS ?? slopeIn?.fromS ?? main?.fromS ?? 0;
    add({
      id: 'start',
      name: t('view.sequence.handle-start'),
      phase: 'start',
      stave: 'current',
      atS,
      percent: sequence.startPercent,
      time: { field: 'startS', more: 'right' },
      level: 'startPercent',
    });
    if (sequence.startPercent !== 100) {
      add({
        id: 'slope-in',
        name: t('view.sequence.slope-to-main'),
        phase: 'slope-in',
        stave: 'current',
        atS: slopeIn?.toS ?? atS,
        percent: 100,
        time: { field: 'slopeInS', more: 'right' },
      });
    }
  }
  if (second) {
    const on = phase('second');
    if (on) {
      add({
        id: 'second',
        name: t('view.sequence.second-level'),
        phase: 'second',
        stave: 'current',
        atS: on.fromS + Math.min((on.toS - on.fromS) / 2, 0.8),
        percent: sequence.secondPercent,
        level: 'secondPercent',
      });
    }
    sequence.tapsAtMm.forEach((mm, at) => {
      const atS = score.gun.timeAt(mm);
      if (atS !== undefined) {
        add({
          id: `tap-${at}`,
          name: t('view.sequence.tap', { at: at + 1 }),
          phase: 'second',
          stave: 'trigger',
          atS,
          percent: null,
          tap: at,
        });
      }
    });
  }
  const end = last('end');
  const slopeOut = last('slope-out');
  const burn = last('burn-back');
  if (ends !== 'none') {
    const endsS = end?.toS ?? burn?.fromS ?? score.untilS;
    const outS = end?.fromS ?? burn?.fromS ?? score.untilS;
    add({
      id: 'slope-out',
      name: t('view.sequence.slope-to-crater'),
      phase: 'slope-out',
      stave: 'current',
      atS: slopeOut?.fromS ?? outS,
      percent: slopeOut?.fromPercent ?? 100,
      time: { field: 'slopeOutS', more: 'left' },
    });
    add({
      id: 'end',
      name: t('view.sequence.handle-crater'),
      phase: 'end',
      stave: 'current',
      atS: endsS,
      percent: sequence.endPercent,
      time: { field: 'endS', more: 'right' },
      level: 'endPercent',
    });
  }
  if (sequence.trigger === 'spot' || sequence.trigger === 'stitch') {
    const on = phase('main');
    const field = sequence.trigger === 'spot' ? 'spotS' : 'stitchOnS';
    if (on) {
      add({
        id: 'on',
        name: sequence.trigger === 'spot' ? t('view.sequence.spot-time') : t('view.sequence.stitch-time'),
        phase: 'main',
        stave: 'current',
        atS: on.toS,
        percent: 100,
        time: { field, more: 'right' },
      });
    }
    const again = score.played.filter(({ name }) => name === 'run-in')[1];
    if (sequence.trigger === 'stitch' && again) {
      add({
        id: 'pause',
        name: t('view.simulator.pause'),
        phase: 'post-gas',
        stave: 'wire',
        atS: again.fromS,
        percent: 0,
        time: { field: 'stitchOffS', more: 'right' },
      });
    }
  }
  const after = last('post-gas');
  if (after) {
    add({
      id: 'post-gas',
      name: t('view.sequence.gas-after'),
      phase: 'post-gas',
      stave: 'gas',
      atS: after.toS,
      percent: null,
      time: { field: 'postGasS', more: 'right' },
    });
  }
  return handles;
}

/** A number of the sequence put within its limits and on the grid of its step. */
export function snapped(field: SequenceNumber, value: number, step: number): number {
  const { min, max } = sequenceRanges[field];
  const grid = step > 0 ? Math.round(value / step) * step : value;
  return Number(Math.min(Math.max(grid, min), max).toFixed(4));
}

/** The change that moving a handle by seconds and percent makes. Fine moves do not snap to the coarse grid. */
export function movedBy(
  handle: Handle,
  from: TriggerSequence,
  by: { readonly seconds: number; readonly percent: number; readonly mm: number },
  fine: boolean,
): Partial<TriggerSequence> {
  const change: { -readonly [K in keyof TriggerSequence]?: TriggerSequence[K] } = {};
  if (handle.tap !== undefined) {
    const at = handle.tap;
    const step = fine ? steps.fineMm : steps.mm;
    const moved = Math.max(Math.round(((from.tapsAtMm[at] ?? 0) + by.mm) / step) * step, 1);
    const low = from.tapsAtMm[at - 1] ?? 0;
    const high = from.tapsAtMm[at + 1] ?? Number.POSITIVE_INFINITY;
    if (moved > low && moved < high) change.tapsAtMm = from.tapsAtMm.map((mm, index) => (index === at ? moved : mm));
    return change;
  }
  if (handle.time && by.seconds !== 0) {
    const { field, more } = handle.time;
    const signed = more === 'right' ? by.seconds : -by.seconds;
    change[field] = snapped(field, from[field] + signed, fine ? steps.fineTimeS : steps.timeS);
  }
  if (handle.level && by.percent !== 0) {
    change[handle.level] = snapped(
      handle.level,
      from[handle.level] + by.percent,
      fine ? steps.finePercent : steps.percent,
    );
  }
  return change;
}

/** Spoken value of a handle. */
export function handleValue({ time, level, tap }: Handle, sequence: TriggerSequence): string {
  const parts = [
    ...(level ? [`${fixed(sequence[level], 0)} %`] : []),
    ...(time ? [format(amount('phaseTime', sequence[time.field], 2))] : []),
    ...(tap === undefined
      ? []
      : [t('view.sequence.at-tap', { tap: amount('length', sequence.tapsAtMm[tap] ?? 0, 0) })]),
  ];
  return parts.join(', ');
}
