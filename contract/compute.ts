/** What the computations are asked; the same shapes at the command line and at the API. Answers are the core's own types. */
import type { PlanInput } from '@fox-tempo/core/plan';
import { weldShapes, type WeldShape } from '@fox-tempo/core/heat';
import { completeSite } from '@fox-tempo/core/site';
import { z } from 'zod';
import { machineLimits } from './machine-limits.ts';
import { knownSite } from './site.ts';
import {
  arcHabitField,
  arcIntentField,
  closed,
  fillerField,
  gasField,
  jointField,
  materialField,
  modeField,
  positionField,
  preparationField,
  ranged,
  thicknessRuleField,
} from './fields.ts';

export const meltInput = z.strictObject({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  extensionMm: ranged('extensionMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  currentA: ranged('currentA').optional(),
  rmsCurrentA: ranged('currentA').optional(),
});

export const pulseInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  extensionMm: ranged('extensionMm').optional(),
  ctwdMm: ranged('ctwdMm').optional(),
  slewAPerMs: ranged('slewAPerMs').optional(),
  peakCurrentA: ranged('peakCurrentA').optional(),
  peakTimeMs: ranged('peakTimeMs').optional(),
  backgroundCurrentA: ranged('backgroundCurrentA').optional(),
  frequencyHz: ranged('frequencyHz').optional(),
  machine: machineLimits.optional(),
});

export const seamInput = z.strictObject({
  materialGroup: materialField,
  grade: z.string().trim().max(80).optional(),
  thicknessesMm: z.tuple([ranged('thicknessMm'), ranged('thicknessMm')]),
  joint: jointField,
  position: positionField,
  gapMm: ranged('gapMm'),
  legMm: ranged('legMm').optional(),
  lengthMm: ranged('lengthMm'),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  plateC: ranged('plateC').optional(),
  preparation: preparationField.optional(),
  arcIntent: arcIntentField.optional(),
});

export const planInput = z.strictObject({
  seam: seamInput,
  arcHabit: arcHabitField,
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  mode: modeField,
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  /** What the plan stays inside. */
  machine: machineLimits.optional(),
  /** Shop's, machine's and welder's part; what is left out is the standard site's. */
  site: knownSite.optional(),
  /** The three below were asked beside the seam before there was a site; they are still read. */
  circuitMOhm: ranged('circuitMOhm').optional(),
  thicknessRule: thicknessRuleField.optional(),
  paceSpread: z.number().min(0.01).max(1).optional(),
  /** Adds the program that the plan amounts to. */
  program: z.boolean().optional(),
});

/** The core's question of an asked plan, with its site made complete. */
export function questionOfVerb({
  site,
  circuitMOhm,
  thicknessRule,
  paceSpread,
  program: _program,
  ...question
}: z.output<typeof planInput>): PlanInput {
  return { ...question, site: completeSite({ circuitMOhm, thicknessRule, paceSpread, ...site }) };
}

const beatFrequency = z.number().min(0.2).max(10).describe('Slow beat, Hz');
const sharePercent = z.number().min(10).max(90).describe('Share of time at high, %');

const beatInput = z.discriminatedUnion('school', [
  z.strictObject({
    school: z.literal('top'),
    setFeedMPerMin: ranged('wireFeedMPerMin'),
    lowPercent: z.number().min(10).max(100),
    highSharePercent: sharePercent,
    frequencyHz: beatFrequency,
  }),
  z.strictObject({
    school: z.literal('two-level'),
    highFeedMPerMin: ranged('wireFeedMPerMin').optional(),
    lowFeedMPerMin: ranged('wireFeedMPerMin').optional(),
    highCurrentA: ranged('currentA').optional(),
    lowCurrentA: ranged('currentA').optional(),
    filler: fillerField.optional(),
    gas: gasField.optional(),
    diameterMm: ranged('diameterMm').optional(),
    extensionMm: ranged('extensionMm').optional(),
    highSharePercent: sharePercent,
    frequencyHz: beatFrequency,
  }),
  z.strictObject({
    school: z.literal('swing'),
    meanFeedMPerMin: ranged('wireFeedMPerMin'),
    swingPercent: z.number().min(0).max(80),
    frequencyHz: beatFrequency,
  }),
]);

export const doublePulseInput = z.strictObject({
  from: beatInput,
  to: z.enum(['top', 'two-level', 'swing']),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  wire: z
    .strictObject({
      filler: fillerField,
      gas: gasField,
      diameterMm: ranged('diameterMm'),
      extensionMm: ranged('extensionMm'),
    })
    .optional(),
  feedLimitsMPerMin: z.tuple([z.number().positive(), z.number().positive()]).optional(),
});

export const beadInput = z.strictObject({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  legMm: ranged('legMm').optional(),
});

const share = z.number().min(0).max(5).optional();

export const heatInput = z.strictObject({
  voltageV: z.number().min(5).max(60),
  currentA: ranged('currentA'),
  powerW: z.number().min(50).max(40_000).optional(),
  travelMmPerMin: ranged('travelMmPerMin'),
  efficiency: z.number().min(0.3).max(1),
  thicknessMm: ranged('thicknessMm'),
  preheatC: ranged('plateC'),
  shape: closed<WeldShape>(weldShapes),
  materialGroup: materialField.optional(),
  hydrogenMlPer100G: z.number().min(0.5).max(20).optional(),
  composition: z
    .strictObject({ C: z.number().min(0).max(5), Mn: share, Mo: share, Cr: share, Cu: share, Ni: share })
    .optional(),
});

const canonicalBeat = z.strictObject({
  meanFeedMPerMin: ranged('wireFeedMPerMin'),
  highFeedMPerMin: ranged('wireFeedMPerMin'),
  lowFeedMPerMin: ranged('wireFeedMPerMin'),
  highShare: z.number().gt(0).lt(1),
  frequencyHz: beatFrequency,
});

export const simulateInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  ctwdMm: ranged('ctwdMm'),
  seconds: z.number().min(0.02).max(60),
  seed: z
    .int()
    .min(0)
    .max(2 ** 31),
  source: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('constant-voltage'),
      voltageV: z.number().min(8).max(60),
      inductanceUh: z.number().min(20).max(3000).optional(),
      stiffness: ranged('stiffness').optional(),
      circuitMOhm: ranged('circuitMOhm').optional(),
    }),
    z.strictObject({
      kind: z.literal('pulse'),
      trim: ranged('trimMm').optional(),
      voltageV: z.number().min(8).max(60).optional(),
      control: z.enum(['frequency', 'background', 'peak']).optional(),
      stiffness: ranged('stiffness').optional(),
      circuitMOhm: ranged('circuitMOhm').optional(),
      pulse: z
        .strictObject({
          slewAPerMs: ranged('slewAPerMs').optional(),
          peakCurrentA: ranged('peakCurrentA').optional(),
          peakTimeMs: ranged('peakTimeMs').optional(),
          backgroundCurrentA: ranged('backgroundCurrentA').optional(),
          frequencyHz: ranged('frequencyHz').optional(),
        })
        .optional(),
      slowBeat: canonicalBeat.optional(),
    }),
  ]),
  noise: z.number().min(0).max(3).optional(),
  startStop: z
    .strictObject({
      runInPercent: z.number().min(20).max(150),
      runInAfterS: z.number().min(0).max(2),
      burnBackS: z.number().min(0).max(1),
      endPulse: z.boolean().optional(),
    })
    .optional(),
  /** Adds a decimated trace to the answer. */
  trace: z.boolean().optional(),
});

/** What a program on a machine is simulated with, beside the two files. */
export const simulateProgramFields = {
  circuitMOhm: ranged('circuitMOhm').optional(),
  faults: z
    .strictObject({
      leadExtraMOhm: z.number().min(-40).max(80).optional(),
      slip: z.number().min(0).max(0.3).optional(),
      ctwdMm: ranged('ctwdMm').optional(),
      gas: gasField.optional(),
      diameterMm: ranged('diameterMm').optional(),
      setPointV: z.number().min(-12).max(12).optional(),
      feedFactor: z.number().min(0.5).max(2).optional(),
    })
    .optional(),
  seconds: simulateInput.shape.seconds,
  seed: simulateInput.shape.seed,
  trace: z.boolean().optional(),
};

export const calibrateInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  points: z
    .array(
      z.strictObject({
        wireFeedMPerMin: ranged('wireFeedMPerMin'),
        meanCurrentA: ranged('currentA'),
        ctwdMm: ranged('ctwdMm'),
        rmsCurrentA: ranged('currentA').optional(),
        voltageV: z.number().min(8).max(50).optional(),
        arcLengthMm: ranged('arcLengthMm').optional(),
      }),
    )
    .min(2)
    .max(50),
});
