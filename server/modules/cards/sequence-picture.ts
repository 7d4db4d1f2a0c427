/** The sequence on a printed card: trigger, gas and level over folded time, each part with what this machine calls it. As SVG, in ink only. */
import { amount, message as sayCode } from '@fox-tempo/core/base/messages';
import {
  foldsOf,
  handPresses,
  timeMap,
  type ScoreOf,
  type SequenceOnMachine,
  type TimeMap,
} from '@fox-tempo/core/weld/score';
import type { Words } from '@fox-tempo/words';
import { isLit, type Phase, type PlayedPhase } from '@fox-tempo/core/weld/sequence';

const codeOfTap = sayCode('trigger.tap-word');
const ink = '#25211B';
const quiet = '#6A6053';
const line = '#DCD2BF';
const russet = '#A8431C';
const soft = '#F2DDCF';

const size = { width: 520, height: 128, left: 6, right: 6 };
const trigger = { top: 4, height: 15 };
const gas = { top: 24, height: 8 };
const level = { top: 36, height: 60 };
/** Highest level with some room above it. */
const headroom = 1.12;

export function sequencePicture(say: Words, { score }: Pick<ScoreOf, 'score'>, there: SequenceOnMachine): string {
  const steady = score.played.filter(({ name }) => name === 'main' || name === 'second');
  const map = timeMap(score.untilS, foldsOf(steady));
  const pxPerS = (size.width - size.left - size.right) / map.room;
  const x = (atS: number) => Number((size.left + map.place(atS) * pxPerS).toFixed(1));
  const highest = Math.max(100, ...score.played.flatMap(({ fromPercent, toPercent }) => [fromPercent, toPercent]));
  const floor = level.top + level.height;
  const y = (percent: number) => Number((floor - (percent / (highest * headroom)) * level.height).toFixed(1));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size.width} ${size.height}" font-family="Roboto">`,
    ...handPresses(score).map(
      ({ fromS, toS, kind }) =>
        `<rect x="${x(fromS)}" y="${trigger.top}" width="${Math.max(x(toS) - x(fromS), 3)}" height="${trigger.height}" fill="${ink}"/>${label(Math.max(x(toS) + 3, 0), trigger.top + 11, kind === 'tap' ? say.format(codeOfTap) : say.t('server.cards.hold', { from: amount('phaseTime', toS - fromS, 1) }), quiet)}`,
    ),
    ...gasBars(score.played).map(
      ({ fromS, toS }) =>
        `<rect x="${x(fromS)}" y="${gas.top}" width="${x(toS) - x(fromS)}" height="${gas.height}" fill="#CFE3D8" stroke="#2C6653" stroke-width="0.7"/>`,
    ),
    `<line x1="${size.left}" x2="${size.width - size.right}" y1="${floor}" y2="${floor}" stroke="${line}"/>`,
    ...score.played.filter(isBurning).map((phase) => {
      const from = x(phase.name === 'run-in' ? (phase.litS ?? phase.fromS) : phase.fromS);
      const to = x(phase.toS);
      return `<path d="M${from} ${floor}L${from} ${y(phase.fromPercent)}L${to} ${y(phase.toPercent)}L${to} ${floor}Z" fill="${soft}"/><line x1="${from}" y1="${y(phase.fromPercent)}" x2="${to}" y2="${y(phase.toPercent)}" stroke="${russet}" stroke-width="1.6"/>`;
    }),
    ...map.folds.map((fold) => {
      const from = x(fold.fromS);
      const to = x(fold.toS);
      const mm = score.gun.mmAt(fold.toS) - score.gun.mmAt(fold.fromS);
      return `<rect x="${from}" y="0" width="${to - from}" height="${floor + 2}" fill="#ffffff"/><line x1="${from}" x2="${from}" y1="0" y2="${floor + 2}" stroke="${line}" stroke-dasharray="3 2"/><line x1="${to}" x2="${to}" y1="0" y2="${floor + 2}" stroke="${line}" stroke-dasharray="3 2"/><text transform="translate(${(from + to) / 2 + 3} ${level.top + level.height / 2}) rotate(-90)" font-size="7.5" fill="${quiet}" text-anchor="middle">${say.quantity(mm, 'shortLength', 0)}</text>`;
    }),
    ...words(say, score.played, there, map, x),
    '</svg>',
  ].join('');
}

function isBurning(phase: PlayedPhase): boolean {
  return phase.fromPercent > 0 && isLit(phase, phase.toS - 1e-6);
}

function gasBars(played: readonly PlayedPhase[]): { fromS: number; toS: number }[] {
  const bars: { fromS: number; toS: number }[] = [];
  for (const { gas: on, fromS, toS } of played) {
    if (!on) continue;
    const last = bars.at(-1);
    if (last && Math.abs(last.toS - fromS) < 1e-6) last.toS = toS;
    else bars.push({ fromS, toS });
  }
  return bars;
}

/** The machine's words under the phases they make; one row lower where two would run into each other. */
function words(
  { format }: Words,
  played: readonly PlayedPhase[],
  { parts }: SequenceOnMachine,
  map: TimeMap,
  x: (atS: number) => number,
): string[] {
  const said = (names: readonly string[]) =>
    parts
      .filter(({ part, how }) => names.includes(part) && how !== 'not-here')
      .map(({ label: own, said: value }) => (own ? `${own} ${format(value)}` : format(value)))
      .join(', ');
  const wanted: Partial<Record<Phase, readonly string[]>> = {
    start: ['start level'],
    'slope-in': ['slope to main'],
    second: ['second level'],
    'slope-out': ['slope to end'],
    end: ['end level'],
    'post-gas': ['gas after'],
  };
  const rows = [size.height - 20, size.height - 10, size.height - 1];
  const usedTo = rows.map(() => Number.NEGATIVE_INFINITY);
  return played.flatMap((phase) => {
    const names = wanted[phase.name];
    const text = names ? said(names) : '';
    if (text === '' || map.room <= 0) return [];
    // About half the type size a letter.
    const width = text.length * 3.9;
    const from = Math.min(x(phase.fromS), size.width - size.right - width);
    const row = usedTo.findIndex((to) => from > to + 6);
    if (row < 0) return [];
    usedTo[row] = from + width;
    return [label(from, rows[row] ?? 0, text, ink)];
  });
}

function label(x: number, y: number, text: string, fill: string): string {
  const safe = text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return `<text x="${x.toFixed(1)}" y="${y}" font-size="7.5" fill="${fill}">${safe}</text>`;
}
