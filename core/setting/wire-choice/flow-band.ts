/** Gas flow by mode, wire, nozzle bore and draught, with where it stops making sense. Rules of practice. */
import { amount, bare, joined, type Phrase, message, sum } from '../../base/messages/index.ts';
import { fillerOf, wireSizeLabel, type FillerCode } from '../../metal/consumables/index.ts';
import { flowLimitsLPerMin, gasFlow, modeName, type PlanMode, stickOutMm } from '../plan/index.ts';

export interface FlowBand {
  readonly lowLPerMin: number;
  readonly highLPerMin: number;
  readonly because: Phrase;
  /** Set when the band leaves what shields: air is missed or drawn in. */
  readonly caution?: Phrase;
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
  if (shielding === 'self')
    return { lowLPerMin: 0, highLPerMin: 0, because: message('wire-choice.gas.self-shielding') };
  const plain = gasFlow(mode, filler, diameterMm).range;
  const bore = nozzleBoreMm / usualBoreMm;
  const beyond = Math.max(ctwdMm - stickOutMm(mode, diameterMm), 0);
  const factor = bore * (1 + (stickOutShare * beyond) / 5) * (draught ? 1 + draughtShare : 1);
  const [lowLPerMin, highLPerMin] = plain.map((flow) => flow * factor) as [number, number];
  const [least, most] = flowLimitsLPerMin;
  const because = sum(
    joined(
      [
        message('wire-choice.because.flow', {
          least: bare('gasFlow', plain[0]),
          most: amount('gasFlow', plain[1]),
          diameter: wireSizeLabel(diameterMm),
          mode: modeName(mode),
        }),
        message('wire-choice.bore', { nozzleBore: amount('shortLength', nozzleBoreMm), usualBore: usualBoreMm }),
        ...(beyond > 0.5
          ? [
              message('wire-choice.because.flow-ctwd', {
                flow: amount('percent', (100 * stickOutShare * beyond) / 5, 0),
                longer: amount('shortLength', beyond, 0),
              }),
            ]
          : []),
        ...(draught
          ? [message('wire-choice.for-draught', { draughtShare: amount('percent', 100 * draughtShare) })]
          : []),
      ],
      ', ',
    ),
  );
  const caution =
    lowLPerMin < least
      ? message('wire-choice.because.flow-least', { least: amount('gasFlow', least) })
      : highLPerMin > most
        ? message('wire-choice.because.flow-most', { most: amount('gasFlow', most) })
        : undefined;
  return { lowLPerMin, highLPerMin, because, ...(caution === undefined ? {} : { caution }) };
}
