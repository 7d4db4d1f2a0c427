/** Draws one moment of the arc on a canvas, to scale: contact tip, wire, drop, arc, bridge, pool. Pure drawing; the moment comes from the simulation. */
import { inUnitShown, fixed, spoken, t, unitShown } from '../../lib/words.ts';
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import type { ColourName } from '../../ui/theme/colours.ts';

export interface ArcMoment {
  readonly currentA: number;
  readonly arcLengthMm: number;
  readonly extensionMm: number;
  readonly dropMm3: number;
  readonly gapMm: number;
  /** 0 nothing, 1 arc, 2 liquid bridge, 3 solid wire on the plate. */
  readonly contact: number;
  /** Drops on their way, 0 at the wire .. 1 in the pool. */
  readonly falling: readonly number[];
}

/** A drop's flight is not simulated; it is drawn from tip to pool in this time, s. */
export const drawnFlightS = 2e-3;

/** Index of the trace's row at a moment. */
export function rowAt({ trace }: Simulation, timeS: number): number {
  const { timeS: times } = trace;
  let low = 0;
  let high = times.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((times[middle] ?? 0) <= timeS) low = middle;
    else high = middle - 1;
  }
  return Math.max(low, 0);
}

export function momentAt(simulation: Simulation, timeS: number): ArcMoment {
  const at = rowAt(simulation, timeS);
  const { trace, dropAtS } = simulation;
  const falling: number[] = [];
  for (const left of dropAtS) {
    const share = (timeS - left) / drawnFlightS;
    if (share >= 0 && share < 1) falling.push(share);
  }
  return {
    currentA: trace.currentA[at] ?? 0,
    arcLengthMm: trace.arcLengthMm[at] ?? 0,
    extensionMm: trace.extensionMm[at] ?? 0,
    dropMm3: trace.dropMm3[at] ?? 0,
    gapMm: trace.gapMm[at] ?? 0,
    contact: trace.contact[at] ?? 0,
    falling,
  };
}

export interface PictureFrame {
  readonly width: number;
  readonly height: number;
  readonly diameterMm: number;
  readonly recessMm: number;
  readonly ctwdMm: number;
}

export function drawArc(
  context: CanvasRenderingContext2D,
  { width, height, diameterMm, ctwdMm }: PictureFrame,
  moment: ArcMoment,
  colour: (name: ColourName) => string,
): void {
  const top = 34;
  const bottom = height - 46;
  // True proportions: one scale for both ways.
  const scale = (bottom - top) / (ctwdMm + 1.5);
  const x = width / 2;
  const tipY = top;
  const plateY = top + moment.gapMm * scale;
  const wire = diameterMm * scale;
  const endY = tipY + moment.extensionMm * scale;
  const dropMm = Math.cbrt((6 * moment.dropMm3) / Math.PI);
  const isArc = moment.contact === 1;

  context.clearRect(0, 0, width, height);
  // Plate and pool.
  context.fillStyle = colour('metal');
  context.strokeStyle = colour('metalEdge');
  context.lineWidth = 1;
  context.fillRect(8, plateY, width - 16, height - plateY - 8);
  context.strokeRect(8, plateY, width - 16, height - plateY - 8);
  context.fillStyle = colour('ochreSoft');
  context.beginPath();
  context.ellipse(x, plateY, 4.2 * scale, 1.7 * scale, 0, 0, Math.PI);
  context.fill();
  context.strokeStyle = colour('ochre');
  context.stroke();

  // Arc: as wide as it is long, brighter with current.
  if (isArc && moment.currentA > 1) {
    const from = endY + Math.min(dropMm, 3) * scale * 0.6;
    const reach = Math.max(plateY - from, 2);
    context.globalAlpha = Math.min(0.15 + moment.currentA / 620, 0.85);
    context.fillStyle = colour('ochre');
    context.beginPath();
    context.moveTo(x - wire * 0.55, from);
    context.lineTo(x + wire * 0.55, from);
    context.lineTo(x + wire * 0.6 + reach * 0.55, plateY);
    context.lineTo(x - wire * 0.6 - reach * 0.55, plateY);
    context.closePath();
    context.fill();
    context.globalAlpha = 1;
  }
  // Contact tip.
  context.fillStyle = colour('metalEdge');
  context.fillRect(x - wire * 1.9, 6, wire * 3.8, tipY - 6);
  // Wire.
  context.fillStyle = colour('ink');
  context.fillRect(x - wire / 2, 6, wire, endY - 6);
  // Bridge between wire and pool.
  if (moment.contact === 2) {
    context.fillStyle = colour('crimson');
    context.beginPath();
    context.moveTo(x - wire / 2, endY);
    context.quadraticCurveTo(x, (endY + plateY) / 2, x - wire * 0.8, plateY);
    context.lineTo(x + wire * 0.8, plateY);
    context.quadraticCurveTo(x, (endY + plateY) / 2, x + wire / 2, endY);
    context.closePath();
    context.fill();
  } else if (dropMm > 0.05) {
    const radius = (dropMm * scale) / 2;
    context.fillStyle = colour(moment.contact === 3 ? 'crimson' : 'accent');
    context.beginPath();
    context.ellipse(x, endY + radius * 0.75, radius, radius * 1.1, 0, 0, 2 * Math.PI);
    context.fill();
  }
  for (const share of moment.falling) {
    context.fillStyle = colour('accent');
    context.beginPath();
    context.arc(x, endY + (plateY - endY) * share, wire * 0.5, 0, 2 * Math.PI);
    context.fill();
  }
  drawScale(context, width, height, scale, colour);
  drawLengths(context, x - wire * 2.6 - 12, tipY, endY, plateY, moment, colour);
}

function drawScale(
  context: CanvasRenderingContext2D,
  width: number,
  height: number,
  scale: number,
  colour: (name: ColourName) => string,
): void {
  const mm = spoken().system === 'us' ? 25.4 / 4 : 5;
  const right = width - 16;
  const y = height - 18;
  context.strokeStyle = colour('ink');
  context.lineWidth = 1.5;
  context.beginPath();
  context.moveTo(right - mm * scale, y - 4);
  context.lineTo(right - mm * scale, y);
  context.lineTo(right, y);
  context.lineTo(right, y - 4);
  context.stroke();
  context.fillStyle = colour('ink');
  context.font = '12px "Archivo Variable", sans-serif';
  context.textAlign = 'right';
  context.fillText(spoken().quantity(mm, 'shortLength', 0), right, y - 8);
}

/** Without its unit, as a drawing has it: tenths of a millimetre, hundredths of an inch. */
function lengthText(mm: number): string {
  return fixed(inUnitShown(mm, 'shortLength'), unitShown('shortLength').digits - (spoken().system === 'us' ? 1 : 0));
}

function drawLengths(
  context: CanvasRenderingContext2D,
  x: number,
  tipY: number,
  endY: number,
  plateY: number,
  { extensionMm, arcLengthMm, contact }: ArcMoment,
  colour: (name: ColourName) => string,
): void {
  context.strokeStyle = colour('quiet');
  context.lineWidth = 1;
  context.beginPath();
  context.moveTo(x, tipY);
  context.lineTo(x, plateY);
  for (const y of [tipY, endY, plateY]) {
    context.moveTo(x - 4, y);
    context.lineTo(x + 4, y);
  }
  context.stroke();
  context.fillStyle = colour('ink');
  context.font = '500 13px "Spline Sans Mono", monospace';
  context.textAlign = 'right';
  context.fillText(lengthText(extensionMm), x - 8, (tipY + endY) / 2 + 4);
  const word = contact === 1 ? lengthText(arcLengthMm) : contact === 0 ? t('view.arc.out') : t('view.arc.short');
  context.fillStyle = colour(contact === 1 ? 'ink' : 'crimson');
  context.fillText(word, x - 8, (endY + plateY) / 2 + 4);
}
