/** `soak`: seams on one plate, one after the other: warmth ahead of the arc, levels, waits, and what a thermometer would read. */
import { baseMetals } from '@fox-tempo/core/conduction';
import { failure, success, type Issue } from '@fox-tempo/core/outcome';
import { amount, say } from '@fox-tempo/core/said';
import { soak } from '@fox-tempo/core/soak';
import { z } from 'zod';
import { materialField, ranged } from './fields.ts';
import { parseWith } from './issues.ts';
import type { Verb } from './verb.ts';

const place = z.tuple([z.number().min(-1e5).max(1e5), z.number().min(-1e5).max(1e5)]);
const moment = z.number().min(0).max(1e6);

const soakInput = z.strictObject({
  plate: z.strictObject({
    lengthMm: z.number().min(10).max(10_000),
    widthMm: z.number().min(10).max(10_000),
    thicknessMm: z.number().min(0.3).max(50),
    materialGroup: materialField,
    diffusivityMm2PerS: z.number().min(0.5).max(200).optional(),
    volumetricHeatJPerMm3K: z.number().min(1e-4).max(0.02).optional(),
    lossWPerM2K: z.number().min(0).max(500).optional(),
  }),
  seams: z
    .array(
      z.strictObject({
        from: place,
        to: place,
        travelMmPerMin: ranged('travelMmPerMin'),
        powerW: z.number().min(1).max(30_000),
        startAtS: moment,
      }),
    )
    .min(1)
    .max(60),
  ambientC: z.number().min(-40).max(60).default(20),
  interpassC: z.number().min(0).max(400).optional(),
  trialC: ranged('plateC').optional(),
  probes: z
    .array(z.strictObject({ atMm: place, atS: moment }))
    .max(2000)
    .optional(),
});

/** Still air and a bench, on each face, W/(m² K); assumed. */
const usualLossWPerM2K = 12;
/** A seam shorter than this has no direction, mm. */
const shortestMm = 2;

export const soakVerb: Verb = {
  summary: say('contract.how-warm-the-plate'),
  input: soakInput,
  run(value) {
    const parsed = parseWith(soakInput, value);
    if (!parsed.ok) return parsed;
    const { plate, seams, ambientC, interpassC, trialC, probes } = parsed.value;
    const metal = baseMetals[plate.materialGroup];
    const issues = offThePlate(plate, seams, probes ?? []);
    if (interpassC !== undefined && interpassC <= ambientC)
      issues.push({
        path: 'interpassC',
        code: 'contradiction',
        message: say('contract.the-plate-never-gets-below', {
          interpass: amount('temperature', interpassC, 0),
          ambient: amount('temperature', ambientC, 0),
        }),
        got: interpassC,
      });
    if (issues.length > 0) return failure(...issues);
    const answer = soak({
      plate: {
        lengthMm: plate.lengthMm,
        widthMm: plate.widthMm,
        thicknessMm: plate.thicknessMm,
        diffusivityMm2PerS: plate.diffusivityMm2PerS ?? metal.diffusivityMm2PerS,
        volumetricHeatJPerMm3K: plate.volumetricHeatJPerMm3K ?? metal.volumetricHeatJPerMm3K,
        lossWPerM2K: plate.lossWPerM2K ?? usualLossWPerM2K,
      },
      seams,
      ambientC,
      meltsAtC: metal.meltsAtC,
      interpassC,
      trialC,
      probes,
    });
    return success({ seams: answer.seams, probes: answer.probes });
  },
};

type Input = z.output<typeof soakInput>;

function offThePlate(
  { lengthMm, widthMm }: Input['plate'],
  seams: Input['seams'],
  probes: NonNullable<Input['probes']>,
): Issue[] {
  const issues: Issue[] = [];
  const isOff = ([x, y]: readonly [number, number]) => x < 0 || y < 0 || x > lengthMm || y > widthMm;
  const off = (path: string, [x, y]: readonly [number, number]): Issue => ({
    path,
    code: 'out-of-range',
    message: say('contract.lies-off-the-plate', {
      x: amount('length', x, 0),
      y: amount('length', y, 0),
      length: amount('length', lengthMm, 0),
      width: amount('length', widthMm, 0),
    }),
    limit: [0, 0, lengthMm, widthMm],
    got: `${x}, ${y}`,
  });
  seams.forEach(({ from, to }, at) => {
    if (isOff(from)) issues.push(off(`seams.${at}.from`, from));
    if (isOff(to)) issues.push(off(`seams.${at}.to`, to));
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) < shortestMm)
      issues.push({
        path: `seams.${at}`,
        code: 'contradiction',
        message: say('contract.this-seam-has-no-length'),
        limit: shortestMm,
      });
  });
  probes.forEach(({ atMm }, at) => {
    if (isOff(atMm)) issues.push(off(`probes.${at}.atMm`, atMm));
  });
  return issues;
}
