/** Gas flow by mode, wire, nozzle bore and draught, with where it stops making sense. Rules of practice. */
import { fillerOf, type FillerCode } from '../consumables/index.ts';
import { flowLimitsLPerMin, gasFlow, modeName, type PlanMode, stickOutMm } from '../plan/index.ts';

export interface FlowBand {
  readonly lowLPerMin: number;
  readonly highLPerMin: number;
  readonly because: string;
  /** Set when the band leaves what shields: air is missed or drawn in. */
  readonly caution?: string;
}

/** Nozzle bore the plain rules are made for, mm; assumed. */
const usualBoreMm = 16;
/** Share more for a light draught; assumed. Above it, put up a screen. */
const draughtShare = 0.15;
/** Share more for every 5 mm of stick-out beyond the usual; assumed. */
const stickOutShare = 0.1;

export function flowBand(
  { filler, diameterMm, mode, ctwdMm }: { filler: FillerCode; diameterMm: number; mode: PlanMode; ctwdMm: number },
  nozzleBoreMm: number,
  draught: boolean,
): FlowBand {
  const { shielding } = fillerOf(filler);
  if (shielding === 'self') return { lowLPerMin: 0, highLPerMin: 0, because: 'The wire makes its own shield.' };
  const plain = gasFlow(mode, filler, diameterMm).range;
  const bore = nozzleBoreMm / usualBoreMm;
  const beyond = Math.max(ctwdMm - stickOutMm(mode, diameterMm), 0);
  const factor = bore * (1 + (stickOutShare * beyond) / 5) * (draught ? 1 + draughtShare : 1);
  const [lowLPerMin, highLPerMin] = plain.map((flow) => flow * factor) as [number, number];
  const [least, most] = flowLimitsLPerMin;
  const because = [
    `${plain[0]} to ${plain[1]} L/min for ${diameterMm} mm wire in ${modeName(mode)}`,
    `× ${nozzleBoreMm} mm bore / ${usualBoreMm}`,
    ...(beyond > 0.5
      ? [`+ ${((100 * stickOutShare * beyond) / 5).toFixed(0)} % for ${beyond.toFixed(0)} mm more stick-out`]
      : []),
    ...(draught ? [`+ ${100 * draughtShare} % for draught`] : []),
  ].join(', ');
  const caution =
    lowLPerMin < least
      ? `Below ${least} L/min air gets in.`
      : highLPerMin > most
        ? `Above ${most} L/min the gas itself draws air in: a smaller nozzle or a screen instead.`
        : undefined;
  return { lowLPerMin, highLPerMin, because, ...(caution === undefined ? {} : { caution }) };
}
