/** Paints a score: trigger, gas, wire and current over one time axis, millimetres of seam under it. Pure drawing on a canvas. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import type { CanonicalBeat } from '@fox-tempo/core/setting/double-pulse';
import { handPresses } from '@fox-tempo/core/weld/score';
import { beatFactor, hasBeat, isLit, phaseNames, type PlayedPhase } from '@fox-tempo/core/weld/sequence';
import { paintFold, paintGrounds, paintMillimetres, paintTime } from './paint-axes.ts';
import { font, xOf, type Colour, type StavePicture } from './stave-picture.ts';

/** A beat drawn closer than this is a band, px. */
const leastBeatPx = 5;

export function paintStaves(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  const { layout } = picture;
  context.clearRect(0, 0, layout.width, layout.height);
  paintGrounds(context, picture, colour);
  context.save();
  context.beginPath();
  // A little over the edge, so that the first and last figures stand whole.
  context.rect(layout.left - 12, 0, layout.width - layout.left - layout.right + 24, layout.height);
  context.clip();
  paintTime(context, picture, colour);
  paintMillimetres(context, picture, colour);
  paintTrigger(context, picture, colour);
  paintGas(context, picture, colour);
  for (const phase of picture.played) {
    if (!isSeen(picture, phase)) continue;
    paintWire(context, picture, phase, colour);
    paintCurrent(context, picture, phase, colour);
  }
  paintNames(context, picture, colour);
  for (const fold of picture.map.folds) paintFold(context, picture, fold, colour);
  context.restore();
}

function isSeen(picture: StavePicture, { fromS, toS }: { fromS: number; toS: number }): boolean {
  const { layout } = picture;
  return xOf(picture, toS) >= layout.left && xOf(picture, fromS) <= layout.width - layout.right;
}

function paintTrigger(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  const { layout, isSmall, hand } = picture;
  const { top, height } = layout.trigger;
  for (const press of handPresses(hand)) {
    const from = xOf(picture, press.fromS);
    const to = xOf(picture, press.toS);
    if (to < layout.left || from > layout.width) continue;
    context.fillStyle = colour('ink');
    rounded(context, from, top + 3, Math.max(to - from, 3), height - 6, 2);
    const short = picture.program.sequence.trigger === 'latch' ? 'press' : t('view.sequence.tap-in-line');
    const text =
      press.kind === 'tap' ? short : t('view.sequence.hold', { from: amount('phaseTime', press.toS - press.fromS, 1) });
    if (isSmall) continue;
    context.font = font(11, false, 600);
    if (to - from > 58) {
      context.fillStyle = colour('surface');
      context.textAlign = 'left';
      context.fillText(text, Math.max(from, layout.left) + 7, top + height / 2 + 4);
    } else {
      context.fillStyle = colour('quiet');
      context.textAlign = 'left';
      context.fillText(text, to + (press.kind === 'tap' ? 14 : 6), top + height / 2 + 4);
    }
  }
}

function paintGas(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  const { layout, played, flowLPerMin, isSmall } = picture;
  const { top, height } = layout.gas;
  const on = joined(played.filter(({ gas }) => gas));
  for (const { fromS, toS } of on) {
    const from = xOf(picture, fromS);
    const to = xOf(picture, toS);
    context.fillStyle = colour('spruceSoft');
    context.fillRect(from, top + 4, to - from, height - 8);
    context.fillStyle = colour('spruce');
    context.fillRect(from, top + 4, to - from, 2);
    if (isSmall || to - from < 120) continue;
    context.fillStyle = colour('spruce');
    context.font = font(11, true);
    context.textAlign = 'left';
    context.fillText(format(amount('gasFlow', flowLPerMin, 0)), Math.max(from, layout.left) + 15, top + height / 2 + 5);
  }
}

function joined(phases: readonly PlayedPhase[]): { fromS: number; toS: number }[] {
  const runs: { fromS: number; toS: number }[] = [];
  for (const { fromS, toS } of phases) {
    const last = runs.at(-1);
    if (last && Math.abs(last.toS - fromS) < 1e-6) last.toS = toS;
    else runs.push({ fromS, toS });
  }
  return runs;
}

function paintWire(context: CanvasRenderingContext2D, picture: StavePicture, phase: PlayedPhase, colour: Colour): void {
  if (phase.fromPercent <= 0) return;
  const { top, height } = picture.layout.wire;
  const yOf = (percent: number) => top + height - (percent / picture.topPercent) * (height - 12);
  context.fillStyle = colour('metal');
  area(context, picture, phase, yOf, top + height, picture.program.slowBeat);
  context.fill();
  context.strokeStyle = colour('metalEdge');
  context.lineWidth = 1;
  edge(context, picture, phase, yOf, picture.program.slowBeat);
  context.stroke();
}

function paintCurrent(
  context: CanvasRenderingContext2D,
  picture: StavePicture,
  phase: PlayedPhase,
  colour: Colour,
): void {
  if (phase.fromPercent <= 0 || !isLit(phase, phase.toS - 1e-6)) return;
  const { top, height } = picture.layout.current;
  const { program, electrical, topA } = picture;
  const aOf = (percent: number) => electrical.at((program.wireFeedMPerMin * percent) / 100).currentA;
  const yOf = (percent: number) => top + height - (aOf(percent) / topA) * (height - 22);
  const lit = phase.name === 'run-in' && phase.litS !== null ? { ...phase, fromS: phase.litS } : phase;
  context.fillStyle = colour('accentSoft');
  area(context, picture, lit, yOf, top + height, program.slowBeat);
  context.fill();
  context.strokeStyle = colour('accent');
  context.lineWidth = picture.selected === phase.name ? 3 : 2;
  context.lineJoin = 'round';
  edge(context, picture, lit, yOf, program.slowBeat);
  context.stroke();
  // The arc comes and goes as upright edges.
  const isFirst = phase.name === 'run-in' && phase.litS !== null;
  const at = picture.played.indexOf(phase);
  const next = picture.played[at + 1];
  const isLast = next?.name === 'burn-back' || next === undefined;
  context.lineWidth = 2;
  if (isFirst) line(context, xOf(picture, lit.fromS), top + height, xOf(picture, lit.fromS), yOf(lit.fromPercent));
  if (isLast && next) {
    const endX = xOf(picture, next.toS);
    line(context, xOf(picture, phase.toS), yOf(phase.toPercent), endX, yOf(phase.toPercent));
    line(context, endX, yOf(phase.toPercent), endX, top + height);
  }
  // A step from one level to the next.
  if (next && next.fromPercent > 0 && Math.abs(next.fromPercent - phase.toPercent) > 0.01 && next.name !== 'run-in') {
    line(context, xOf(picture, phase.toS), yOf(phase.toPercent), xOf(picture, phase.toS), yOf(next.fromPercent));
  }
}

/** Corner points of a phase's level over time, beat and all; a beat too close for the eye is given as its two edges. */
function corners(
  picture: StavePicture,
  phase: { name: PlayedPhase['name']; fromS: number; toS: number; fromPercent: number; toPercent: number },
  beat: CanonicalBeat | null,
): { points: [number, number][]; band: readonly [number, number] | null } {
  const from = xOf(picture, phase.fromS);
  const to = xOf(picture, phase.toS);
  if (!beat || !hasBeat(phase.name)) {
    return {
      points: [
        [from, phase.fromPercent],
        [to, phase.toPercent],
      ],
      band: null,
    };
  }
  const period = 1 / beat.frequencyHz;
  const high = phase.fromPercent * beatFactor(beat, 0);
  const low = phase.fromPercent * beatFactor(beat, beat.highShare * period + 1e-6);
  if (period * picture.window.pxPerS < leastBeatPx) {
    return {
      points: [
        [from, high],
        [to, high],
      ],
      band: [low, high],
    };
  }
  const points: [number, number][] = [];
  const { folds } = picture.map;
  const leftS = picture.map.moment(picture.window.from);
  const rightS = picture.map.moment(picture.window.from + picture.layout.width / picture.window.pxPerS);
  const first = Math.max(0, Math.floor((leftS - phase.fromS) / period));
  for (let count = first; ; count++) {
    const upS = phase.fromS + count * period;
    if (upS >= phase.toS || upS > rightS) break;
    const downS = Math.min(upS + beat.highShare * period, phase.toS);
    const endS = Math.min(upS + period, phase.toS);
    // Within the fold a beat would be a blur: it is left out and the paper break says so.
    const fold = folds.find(({ fromS, toS }) => endS > fromS && upS < toS);
    if (fold) {
      if (upS < fold.fromS) points.push([xOf(picture, upS), high], [xOf(picture, fold.fromS), high]);
      if (endS > fold.toS) points.push([xOf(picture, fold.toS), low], [xOf(picture, endS), low]);
      else count = Math.max(count, Math.floor((fold.toS - phase.fromS) / period) - 1);
      continue;
    }
    points.push(
      [xOf(picture, upS), high],
      [xOf(picture, downS), high],
      [xOf(picture, downS), low],
      [xOf(picture, endS), low],
    );
  }
  return { points, band: null };
}

function edge(
  context: CanvasRenderingContext2D,
  picture: StavePicture,
  phase: PlayedPhase,
  yOf: (percent: number) => number,
  beat: CanonicalBeat | null,
): void {
  const { points, band } = corners(picture, phase, beat);
  context.beginPath();
  points.forEach(([x, percent], at) => (at === 0 ? context.moveTo(x, yOf(percent)) : context.lineTo(x, yOf(percent))));
  const first = points[0];
  const last = points.at(-1);
  if (band && first && last) {
    context.moveTo(first[0], yOf(band[0]));
    context.lineTo(last[0], yOf(band[0]));
  }
}

function area(
  context: CanvasRenderingContext2D,
  picture: StavePicture,
  phase: PlayedPhase,
  yOf: (percent: number) => number,
  floor: number,
  beat: CanonicalBeat | null,
): void {
  const { points } = corners(picture, phase, beat);
  const first = points[0];
  const last = points.at(-1);
  context.beginPath();
  if (!first || !last) return;
  context.moveTo(first[0], floor);
  for (const [x, percent] of points) context.lineTo(x, yOf(percent));
  context.lineTo(last[0], floor);
  context.closePath();
}

function paintNames(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  if (picture.isSmall) return;
  const { top, height } = picture.layout.current;
  const { played, layout } = picture;
  context.font = font(11.5);
  context.textAlign = 'left';
  let usedTo = Number.NEGATIVE_INFINITY;
  for (const phase of played) {
    if (phase.name === 'idle' || phase.name === 'pre-gas' || phase.name === 'post-gas' || !isSeen(picture, phase))
      continue;
    const from = xOf(picture, phase.name === 'run-in' ? (phase.litS ?? phase.fromS) : phase.fromS);
    const room = xOf(picture, phase.toS) - from;
    context.fillStyle = colour('line');
    context.fillRect(from, top, 1, height);
    if (phase.name === 'run-in' || phase.name === 'burn-back') continue;
    const said = `${format(phaseNames[phase.name])}${phase.name.startsWith('slope') ? '' : ` ${picture.levelText(phase.fromPercent, phase.name)}`}`;
    const short = phase.name.startsWith('slope') ? t('view.sequence.slope') : phaseNames[phase.name];
    const text = [said, short].find((words) => context.measureText(format(words)).width < room - 8);
    const x = Math.max(from, layout.left) + 5;
    if (text && x > usedTo) {
      context.fillStyle = picture.selected === phase.name ? colour('accent') : colour('quiet');
      context.fillText(format(text), x, top + 14);
      usedTo = x + context.measureText(format(text)).width + 4;
    }
  }
}

function line(context: CanvasRenderingContext2D, x1: number, y1: number, x2: number, y2: number): void {
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2, y2);
  context.stroke();
}

function rounded(context: CanvasRenderingContext2D, x: number, y: number, w: number, h: number, r: number): void {
  context.beginPath();
  context.roundRect(x, y, w, h, r);
  context.fill();
}
