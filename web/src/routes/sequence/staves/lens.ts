/** The lens: the fast pulses at one moment of the score, drawn large in a corner; what the staves show only as a level. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import type { Program } from '@fox-tempo/core/setting/program';
import { waveformPoints } from '@fox-tempo/core/setting/pulse';
import { phaseTrimMm, type ElectricalOf } from '@fox-tempo/core/weld/score';
import { hasBeat, isLit, percentAt, phaseAt, type PlayedPhase } from '@fox-tempo/core/weld/sequence';
import type { ColourName } from '../../../ui/theme/colours.ts';

export interface LensView {
  readonly atS: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const periods = 4;

export function paintLens(
  context: CanvasRenderingContext2D,
  lens: LensView,
  {
    program,
    played,
    electrical,
  }: { readonly program: Program; readonly played: readonly PlayedPhase[]; readonly electrical: ElectricalOf },
  colour: (name: ColourName) => string,
): void {
  const phase = phaseAt(played, lens.atS);
  const { x, y, width, height } = lens;
  context.fillStyle = colour('surface');
  context.strokeStyle = colour('ink');
  context.lineWidth = 1.5;
  context.beginPath();
  context.roundRect(x, y, width, height, 6);
  context.fill();
  context.stroke();
  context.fillStyle = colour('quiet');
  context.font = "600 11px 'Archivo Variable', Archivo, sans-serif";
  context.textAlign = 'left';
  const said = (text: string) => context.fillText(text, x + 9, y + 16);
  if (!phase || !isLit(phase, lens.atS)) {
    said(t('view.sequence.no-arc-here'));
    return;
  }
  const percent = percentAt(phase, lens.atS, hasBeat(phase.name) ? program.slowBeat : null);
  const feed = (program.wireFeedMPerMin * percent) / 100;
  const trim = phaseTrimMm(program, phase.name);
  const pulse = electrical.pulseAt(feed, trim);
  const { currentA } = electrical.at(feed, trim);
  if (!pulse) {
    said(t('view.sequence.no-pulse', { current: amount('current', currentA, 0) }));
    return;
  }
  said(
    t('view.sequence.mean', {
      frequency: amount('frequency', pulse.frequencyHz, 0),
      current: amount('current', currentA, 0),
    }),
  );
  const points = waveformPoints(pulse, periods);
  const spanMs = points.at(-1)?.timeMs ?? 1;
  const top = Math.max(pulse.peakCurrentA * 1.08, 1);
  const left = x + 9;
  const floor = y + height - 18;
  const xOf = (ms: number) => left + (ms / spanMs) * (width - 18);
  const yOf = (a: number) => floor - (a / top) * (height - 46);
  context.strokeStyle = colour('accent');
  context.lineWidth = 1.6;
  context.beginPath();
  points.forEach(({ timeMs, currentA: a }, at) =>
    at === 0 ? context.moveTo(xOf(timeMs), yOf(a)) : context.lineTo(xOf(timeMs), yOf(a)),
  );
  context.stroke();
  context.fillStyle = colour('quiet');
  context.font = "500 10.5px 'Spline Sans Mono', monospace";
  context.fillText(t('view.sequence.peak', { peakCurrent: amount('current', pulse.peakCurrentA, 0) }), left, y + 30);
  context.textAlign = 'right';
  context.fillText(format(amount('pulseTime', spanMs, 0)), x + width - 9, y + height - 6);
  context.textAlign = 'left';
  context.fillText(
    t('view.sequence.background', { backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0) }),
    left,
    y + height - 6,
  );
}
