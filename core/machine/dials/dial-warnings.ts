/** What a person must know of a translation: charts that end, dials that only turn, slots of a display. */
import { amount, joined, message, type Phrase } from '../../base/messages/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { modeName } from '../../setting/plan/index.ts';
import type { Program } from '../../setting/program/program.ts';
import type { ChartLine, Machine } from '../description/machine.ts';
import { type DialQuantity, quantityFacts } from '../description/quantities.ts';
import { quantityText } from '../description/quantity-words.ts';
import { displayed, type NumericScale, quantityOf } from '../description/scales.ts';
import type { DialSetting } from './dial-setting.ts';

/** What turning a dial up does, in words; undefined where the label alone says it. */
export function senseWords(scale: NumericScale): Phrase | undefined {
  const { more, less } = quantityFacts(quantityOf(scale));
  const neutral = (at: number) => message('machine.is-the-line', { scale: displayed(scale, at) });
  if (scale.kind === 'linear') {
    const words = message('machine.dial.more-is', { less: scale.quantityPerUnit > 0 ? more : less });
    return scale.quantity === 'trimMm' ? joined([words, neutral(scale.neutral)], ', ') : words;
  }
  if (scale.kind === 'line-offset') {
    return message('machine.dial.more-is-neutral', {
      less: scale.voltsPerUnit > 0 ? more : less,
      neutral: neutral(scale.neutral),
    });
  }
  if (scale.kind === 'inverse') return message('machine.dial.more-is', { less });
  return undefined;
}

export function chartWarnings(
  machine: Machine,
  line: ChartLine | null,
  similar: readonly ChartLine[],
  program: Program,
): Warning[] {
  if (!line) {
    if (machine.chartLines.length === 0) return [];
    return [
      {
        code: 'no-chart-line',
        level: 'caution',
        message: message('machine.caution.no-chart-line-in-mode', {
          machine: machine.name,
          mode: modeName(program.mode),
        }),
      },
    ];
  }
  const [first] = similar;
  if (!first) return [];
  return [
    {
      code: 'look-alike-number',
      level: 'caution',
      message: message('machine.caution.chart-lines-confused', {
        number: line.number,
        words: joined(
          similar.map((one) => `${one.number} (${one.words})`),
          ' / ',
        ),
      }),
    },
  ];
}

/** A dial whose unit nobody measured: where it is neutral, and which way to turn it from there; no figure. */
export function turnOnly(
  face: Pick<DialSetting, 'dialId' | 'label' | 'where' | 'unit' | 'hand'>,
  scale: Extract<NumericScale, { kind: 'linear' }>,
  wish: number,
  saysSense: boolean,
): DialSetting {
  const quantity = quantityOf(scale);
  const by = wish - scale.quantityAtNeutral;
  const isNoticed = Math.abs(by) >= quantityFacts(quantity).noticed;
  const turn = !isNoticed ? 'stay' : by > 0 === scale.quantityPerUnit > 0 ? 'up' : 'down';
  const neutral = displayed(scale, scale.neutral);
  return {
    ...face,
    quantity,
    value: scale.neutral,
    turn,
    display: turn === 'stay' ? neutral : `${turn === 'up' ? '▲' : '▼'} ${neutral}`,
    ...(saysSense ? { sense: senseWords(scale) } : {}),
    clipped: false,
  };
}

export function dialWarnings(settings: readonly DialSetting[], program: Program): Warning[] {
  const warnings: Warning[] = [];
  for (const dial of settings) {
    const { quantity, wishedQuantity: wish, reachedQuantity: reached } = dial;
    if (dial.clipped && wish !== undefined && reached !== undefined) {
      warnings.push({
        code: 'dial-at-its-end',
        level: 'caution',
        message: message('machine.caution.end-of-dial', {
          dial: dial.label,
          display: dial.display,
          reached: quantityText(quantity as DialQuantity, reached),
          wish: quantityText(quantity as DialQuantity, wish),
        }),
      });
    }
    if (dial.turn) {
      const neutral = dial.display.replace(/^[▲▼] /, '');
      warnings.push({
        code: 'unit-not-measured',
        level: 'caution',
        message:
          dial.turn === 'stay'
            ? message('machine.unit-stays', { dial: dial.label, neutral })
            : message('machine.unit-not-measured', {
                dial: dial.label,
                way: message(`machine.way-${dial.turn}`),
                neutral,
              }),
      });
    }
    if (dial.bothReadings) {
      warnings.push({ code: 'sense-untested', level: 'caution', message: dial.bothReadings.consequence });
    }
  }
  const start = settings.find((dial) => dial.quantity === 'startFeedMPerMin');
  if (start && program.sequence.startPercent > 100 && start.unit !== '%') {
    warnings.push({
      code: 'absolute-start',
      level: 'note',
      message: message('machine.caution.start-level-absolute', {
        start: start.label,
        percent: amount('percent', program.sequence.startPercent),
      }),
    });
  }
  return warnings;
}
