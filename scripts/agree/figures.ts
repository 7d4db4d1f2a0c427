/** The figures that several views show, how they are rounded where they are shown, and the one answer to each. */
import type { Setting } from '@fox-tempo/core/site';
import { shouldShow } from '@fox-tempo/core/machine/dials';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { Case } from './cases.ts';

interface Figure {
  readonly of: QuantityName;
  readonly digits: number;
  readonly truth: (setting: Setting, one: Case) => number | null;
}

export const figures = {
  wireFeedMPerMin: { of: 'wireFeed', digits: 1, truth: ({ program }) => program.wireFeedMPerMin },
  meanCurrentA: { of: 'current', digits: 0, truth: ({ plan }) => plan.meanCurrentA },
  voltageV: { of: 'voltage', digits: 1, truth: ({ plan }) => plan.voltageV },
  machineVoltageV: { of: 'voltage', digits: 1, truth: ({ plan }) => plan.machineVoltageV },
  trueWatts: { of: 'watts', digits: 0, truth: ({ plan }) => plan.meanPowerW },
  arcLengthMm: { of: 'shortLength', digits: 1, truth: ({ plan }) => plan.arcLengthMm },
  trimMm: { of: 'shortLength', digits: 1, truth: ({ program }) => program.trimMm },
  ctwdMm: { of: 'shortLength', digits: 1, truth: ({ program }) => program.ctwdMm },
  gasFlowLPerMin: { of: 'gasFlow', digits: 0, truth: ({ program }) => program.gasFlowLPerMin },
  travelMmPerMin: { of: 'travel', digits: 0, truth: ({ program }) => program.travelMmPerMin },
  legMm: { of: 'shortLength', digits: 1, truth: ({ plan }) => plan.legMm },
  heatInputKjPerMm: { of: 'heatInput', digits: 2, truth: ({ plan }) => plan.heatInputKjPerMm },
  arcSeconds: { of: 'phaseTime', digits: 0, truth: ({ plan }) => plan.arcSeconds },
  wireKg: { of: 'spoolMass', digits: 3, truth: ({ plan }) => plan.wireGrams / 1000 },
  gasL: { of: 'volume', digits: 1, truth: ({ plan }) => plan.gasLitres },
  passes: { of: 'plain', digits: 0, truth: ({ plan }) => plan.passes },
  showThrough: { of: 'plain', digits: 2, truth: ({ plan }) => plan.showThrough.index },
  pulseHz: { of: 'frequency', digits: 0, truth: ({ plan }) => plan.pulse?.frequencyHz ?? null },
  runningA: {
    of: 'current',
    digits: 0,
    truth: ({ program }, { machine }) => shouldShow(program, machine.file)?.runningA ?? null,
  },
} as const satisfies Record<string, Figure>;

export type FigureName = keyof typeof figures;
export type Shown = Readonly<Partial<Record<FigureName, number | null>>>;
