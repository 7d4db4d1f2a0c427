/** The paper of a score: grounds with their names, seconds above, millimetres below, and the breaks where a steady stretch is folded away. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, named, fixed, inUnitShown, unitShown } from '../../../lib/words.ts';
import { foldAt, type Fold } from '@fox-tempo/core/weld/score';
import { font, xOf, type Colour, type StavePicture } from './stave-picture.ts';
import { tickStep } from './window.ts';

export function paintGrounds(
  context: CanvasRenderingContext2D,
  { layout, isSmall }: StavePicture,
  colour: Colour,
): void {
  for (const [name, box] of [
    [named('trigger'), layout.trigger],
    [named('gas'), layout.gas],
    [t('view.sequence.stave-wire'), layout.wire],
    [t('view.sequence.stave-current'), layout.current],
  ] as const) {
    context.fillStyle = colour('page');
    context.fillRect(layout.left, box.top, layout.width - layout.left - layout.right, box.height);
    if (isSmall) continue;
    context.fillStyle = colour('quiet');
    context.font = font(12);
    context.textAlign = 'right';
    context.fillText(name, layout.left - 10, box.top + box.height / 2 + 4);
  }
  if (isSmall) return;
  context.font = font(11, true);
  context.fillText('s', layout.left - 20, 17);
  context.fillText(unitShown('length').label, layout.left - 20, layout.height - 9);
}

export function paintTime(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  const { layout, window, map } = picture;
  const step = tickStep(window.pxPerS);
  const digits = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  context.font = font(11, true);
  context.textAlign = 'center';
  const until = map.moment(window.from + (layout.width - layout.left - layout.right) / window.pxPerS);
  const from = Math.floor(map.moment(window.from) / step) * step;
  for (let at = from; at <= until + step; at += step) {
    const fold = foldAt(map, at);
    if (fold) {
      at = Math.floor(fold.toS / step) * step;
      continue;
    }
    const x = xOf(picture, at);
    context.fillStyle = colour('quiet');
    context.fillText(fixed(at, digits), x, picture.isSmall ? 11 : 17);
    context.fillStyle = colour('line');
    context.fillRect(x, layout.trigger.top, 1, layout.current.top + layout.current.height - layout.trigger.top);
  }
}

export function paintMillimetres(context: CanvasRenderingContext2D, picture: StavePicture, colour: Colour): void {
  const { layout, window, gun, map } = picture;
  const pace = gun.pieces.find(({ fromMm, toMm }) => toMm > fromMm);
  if (!pace) return;
  const mmPerS = (pace.toMm - pace.fromMm) / (pace.toS - pace.fromS);
  // Whole units of the reader: a foot rule has no millimetres.
  const mmPerUnit = unitShown('length').factor;
  const step = tickStep((window.pxPerS / mmPerS) * mmPerUnit) * mmPerUnit;
  context.font = font(11, true);
  context.textAlign = 'center';
  context.fillStyle = colour('quiet');
  const y = layout.height - (picture.isSmall ? 4 : 9);
  let last = Number.NEGATIVE_INFINITY;
  for (let mm = 0; mm <= gun.endMm + 1e-6; mm += step) {
    const atS = gun.timeAt(mm);
    if (atS === undefined || foldAt(map, atS)) continue;
    const x = xOf(picture, atS);
    if (x - last < 30) continue;
    last = x;
    context.fillText(fixed(inUnitShown(mm, 'length'), step < mmPerUnit ? 1 : 0), x, y);
    context.fillRect(x, layout.current.top + layout.current.height, 1, 4);
  }
  // The end of the seam always has its figure.
  const endS = gun.timeAt(gun.endMm);
  if (endS !== undefined && xOf(picture, endS) - last > 30) {
    context.fillText(fixed(inUnitShown(gun.endMm, 'length'), unitShown('length').digits), xOf(picture, endS), y);
  }
}

export function paintFold(context: CanvasRenderingContext2D, picture: StavePicture, fold: Fold, colour: Colour): void {
  const { layout } = picture;
  const from = xOf(picture, fold.fromS);
  const to = xOf(picture, fold.toS);
  const top = layout.trigger.top - 4;
  const bottom = layout.current.top + layout.current.height + 4;
  context.fillStyle = colour('surface');
  context.beginPath();
  context.moveTo(from, top);
  const teeth = 8;
  for (let at = 0; at <= teeth; at++) {
    context.lineTo(from + (at % 2 === 0 ? 0 : 5), top + ((bottom - top) * at) / teeth);
  }
  for (let at = teeth; at >= 0; at--) {
    context.lineTo(to + (at % 2 === 0 ? 0 : 5), top + ((bottom - top) * at) / teeth);
  }
  context.closePath();
  context.fill();
  context.strokeStyle = colour('line');
  context.lineWidth = 1;
  context.stroke();
  if (to - from < 12) return;
  const seconds = fold.toS - fold.fromS;
  const mm = picture.gun.mmAt(fold.toS) - picture.gun.mmAt(fold.fromS);
  context.save();
  context.translate((from + to) / 2 + 6, (top + bottom) / 2);
  context.rotate(-Math.PI / 2);
  context.textAlign = 'center';
  context.font = font(11, false, 600);
  context.fillStyle = colour('quiet');
  context.fillText(
    t('view.sequence.folded', { seconds: amount('phaseTime', seconds, 0), mm: amount('length', mm, 0) }),
    0,
    0,
  );
  context.restore();
}
