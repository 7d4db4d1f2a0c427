/** A machine as it stands: its file, with what was observed of it. Plan, card, bench and map compute with this one. */
import type { CalibratedWire } from '../../metal/arc/index.ts';
import { calibrate, type CalibrationInput } from './calibrate.ts';
import type { Machine } from '../description/machine.ts';

/** What somebody read off the panel with one wire in one gas. */
export interface PanelPoints extends Pick<CalibrationInput, 'filler' | 'gas' | 'diameterMm'> {
  readonly ctwdMm: number;
  readonly points: readonly {
    readonly wireFeedMPerMin: number;
    readonly meanCurrentA: number;
    readonly voltageV: number | null;
    readonly rmsCurrentA?: number | undefined;
  }[];
}

/** A description, the leads as measured last (mΩ), and the points read off its panel. */
export interface Observed<File extends Machine> {
  readonly file: File;
  readonly leadMOhm?: number | null | undefined;
  readonly calibrations?: readonly PanelPoints[] | null | undefined;
}

export type AsStands<File extends Machine> = File & { readonly corrections: readonly CalibratedWire[] };

export function asStands<File extends Machine>({ file, leadMOhm, calibrations }: Observed<File>): AsStands<File> {
  return {
    ...file,
    circuitMOhm: leadMOhm ?? file.circuitMOhm,
    corrections: (calibrations ?? []).flatMap(correctionOf),
  };
}

/** The correction that points amount to; none where they are too few or cannot be fitted. */
function correctionOf({ filler, gas, diameterMm, ctwdMm, points }: PanelPoints): CalibratedWire[] {
  const found = calibrate({
    filler,
    gas,
    diameterMm,
    points: points.map(({ voltageV, ...point }) => ({ ...point, ctwdMm, ...(voltageV === null ? {} : { voltageV }) })),
  });
  if (!found.ok) return [];
  const { kAFactor, kBFactor, arcVoltageV } = found.value;
  return [{ filler, gas, diameterMm, kAFactor, kBFactor, arcVoltageV }];
}
