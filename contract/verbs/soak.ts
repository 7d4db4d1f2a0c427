/** `soak`: seams on one plate, box or frame, one after the other: warmth ahead of the arc, levels, waits, and what a thermometer would read. */
import { baseMetals } from '@fox-tempo/core/metal/conduction';
import { failure, success, type Issue, type Outcome } from '@fox-tempo/core/base/outcome';
import { amount, message } from '@fox-tempo/core/base/messages';
import {
  aroundMm,
  atJoint,
  boxEdges,
  edgeLengthMm,
  edgesOf,
  frameLines,
  onEdge,
  soak,
  type PartShape,
  type Place,
  type SoakSeam,
} from '@fox-tempo/core/weld/soak';
import { z } from 'zod';
import { materialField, ranged } from '../fields.ts';
import { parseWith } from '../issues.ts';
import type { Verb } from './verb.ts';

const coordinate = z.number().min(-1e5).max(1e5);
const place = z.tuple([coordinate, coordinate]);
const probePlace = z.tuple([coordinate, coordinate, z.number().int().min(0).max(60).optional()]);
const moment = z.number().min(0).max(1e6);
const size = z.number().min(10).max(10_000);

const metal = {
  thicknessMm: z.number().min(0.3).max(50),
  materialGroup: materialField,
  diffusivityMm2PerS: z.number().min(0.5).max(200).optional(),
  volumetricHeatJPerMm3K: z.number().min(1e-4).max(0.02).optional(),
  lossWPerM2K: z.number().min(0).max(500).optional(),
};

const arc = { travelMmPerMin: ranged('travelMmPerMin'), powerW: z.number().min(1).max(30_000), startAtS: moment };
const along = z.number().min(0).max(10_000);
/** On a plate from place to place, on a box along an edge, on a frame around a joint. */
const seam = z.strictObject({
  from: place.optional(),
  to: place.optional(),
  edge: z.enum(boxEdges).optional(),
  fromMm: along.optional(),
  toMm: along.optional(),
  joint: z.number().int().min(1).max(40).optional(),
  ...arc,
});

const soakInput = z.strictObject({
  plate: z.strictObject({ lengthMm: size, widthMm: size, ...metal }).optional(),
  box: z
    .strictObject({ lengthMm: size, widthMm: size, heightMm: size, lid: z.boolean().default(false), ...metal })
    .optional(),
  frame: z
    .strictObject({
      lengthMm: size,
      widthMm: size,
      rungs: z.number().int().min(0).max(16).default(0),
      tubeMm: z.tuple([z.number().min(8).max(400), z.number().min(8).max(400)]),
      ...metal,
    })
    .optional(),
  seams: z.array(seam).min(1).max(60),
  ambientC: z.number().min(-40).max(60).default(20),
  interpassC: z.number().min(0).max(400).optional(),
  trialC: ranged('plateC').optional(),
  probes: z
    .array(z.strictObject({ atMm: probePlace, atS: moment }))
    .max(2000)
    .optional(),
});

/** Still air and a bench, on each face, W/(m² K); assumed. */
const usualLossWPerM2K = 12;
/** A seam shorter than this has no direction, mm. */
const shortestMm = 2;

export const soakVerb: Verb = {
  summary: message('contract.verb.heat-field'),
  input: soakInput,
  run(value) {
    const parsed = parseWith(soakInput, value);
    if (!parsed.ok) return parsed;
    const { seams, ambientC, interpassC, trialC, probes = [] } = parsed.value;
    const shape = shapeOf(parsed.value);
    if (!shape) return failure(oneOf(parsed.value));
    const issues: Issue[] = [];
    const lines = seams.flatMap((one, at) => {
      const line = lineOf(shape, one, `seams.${at}`);
      if (line.ok) return [line.value];
      issues.push(...line.issues);
      return [];
    });
    if (shape.kind === 'plate') issues.push(...offThePlate(shape, seams, probes));
    if (interpassC !== undefined && interpassC <= ambientC)
      issues.push({
        path: 'interpassC',
        code: 'contradiction',
        message: message('contract.error.interpass-limit', {
          interpass: amount('temperature', interpassC, 0),
          ambient: amount('temperature', ambientC, 0),
        }),
        got: interpassC,
      });
    if (issues.length > 0) return failure(...issues);
    const base = parsed.value.plate ?? parsed.value.box ?? parsed.value.frame;
    const answer = soak({
      part: shape,
      seams: lines,
      ambientC,
      meltsAtC: baseMetals[base?.materialGroup ?? 'steel'].meltsAtC,
      interpassC,
      trialC,
      probes,
    });
    return success({ seams: answer.seams, probes: answer.probes });
  },
};

type Input = z.output<typeof soakInput>;

/** The one part that is given; undefined when none or several are. */
function shapeOf({ plate, box, frame }: Input): PartShape | undefined {
  const given = [plate, box, frame].filter((one) => one !== undefined);
  if (given.length !== 1) return undefined;
  const {
    materialGroup,
    diffusivityMm2PerS,
    volumetricHeatJPerMm3K,
    lossWPerM2K = usualLossWPerM2K,
  } = given[0] as NonNullable<Input['plate']>;
  const base = baseMetals[materialGroup];
  const common = {
    lossWPerM2K,
    diffusivityMm2PerS: diffusivityMm2PerS ?? base.diffusivityMm2PerS,
    volumetricHeatJPerMm3K: volumetricHeatJPerMm3K ?? base.volumetricHeatJPerMm3K,
  };
  if (box) return { kind: 'box', ...box, ...common };
  if (frame) return { kind: 'frame', ...frame, ...common };
  return plate && { kind: 'plate', ...plate, ...common };
}

function oneOf({ plate, box, frame }: Input): Issue {
  const got = [plate && 'plate', box && 'box', frame && 'frame'].filter(Boolean).join(', ');
  return {
    path: 'plate',
    code: 'contradiction',
    message: message('contract.error.one-part'),
    ...(got === '' ? {} : { got }),
  };
}

type Line = Pick<SoakSeam, 'from' | 'to' | 'lengthMm'>;

function lineOf(shape: PartShape, one: Input['seams'][number], path: string): Outcome<SoakSeam> {
  const { travelMmPerMin, powerW, startAtS } = one;
  const on = (line: Line) => success({ ...line, travelMmPerMin, powerW, startAtS });
  if (shape.kind === 'plate' && one.from && one.to) return on({ from: one.from, to: one.to });
  if (shape.kind === 'box' && one.edge) {
    if (!edgesOf(shape).includes(one.edge))
      return failure({
        path: `${path}.edge`,
        code: 'contradiction',
        message: message('contract.error.no-edge', { edge: one.edge }),
        got: one.edge,
      });
    const longMm = edgeLengthMm(shape, one.edge);
    const { fromMm = 0, toMm = longMm } = one;
    if (Math.max(fromMm, toMm) > longMm || Math.abs(toMm - fromMm) < shortestMm)
      return failure({
        path: `${path}.toMm`,
        code: 'out-of-range',
        message: message('contract.error.edge-length', { edge: one.edge, length: amount('length', longMm, 0) }),
        limit: [0, longMm],
        got: `${fromMm}, ${toMm}`,
      });
    return on({ from: onEdge(shape, one.edge, fromMm), to: onEdge(shape, one.edge, toMm) });
  }
  if (shape.kind === 'frame' && one.joint !== undefined) {
    const joints = frameLines(shape).joints.length;
    if (one.joint > joints)
      return failure({
        path: `${path}.joint`,
        code: 'out-of-range',
        message: message('contract.error.joints', { joints }),
        limit: [1, joints],
        got: one.joint,
      });
    const place = atJoint(shape, one.joint - 1);
    return on({ from: place, to: place, lengthMm: aroundMm(shape) });
  }
  return failure({
    path,
    code: 'contradiction',
    message: message('contract.error.seam-kind'),
    got: shape.kind,
  });
}

function offThePlate(
  { lengthMm, widthMm }: { readonly lengthMm: number; readonly widthMm: number },
  seams: Input['seams'],
  probes: readonly { readonly atMm: Place }[],
): Issue[] {
  const issues: Issue[] = [];
  const isOff = ([x, y]: Place) => x < 0 || y < 0 || x > lengthMm || y > widthMm;
  const off = (path: string, [x, y]: Place): Issue => ({
    path,
    code: 'out-of-range',
    message: message('contract.error.off-plate', {
      x: amount('length', x, 0),
      y: amount('length', y, 0),
      length: amount('length', lengthMm, 0),
      width: amount('length', widthMm, 0),
    }),
    limit: [0, 0, lengthMm, widthMm],
    got: `${x}, ${y}`,
  });
  seams.forEach((seam, at) => {
    const { from, to } = seam;
    if (!from || !to) return;
    if (isOff(from)) issues.push(off(`seams.${at}.from`, from));
    if (isOff(to)) issues.push(off(`seams.${at}.to`, to));
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) < shortestMm)
      issues.push({
        path: `seams.${at}`,
        code: 'contradiction',
        message: message('contract.error.no-length'),
        limit: shortestMm,
      });
  });
  probes.forEach(({ atMm }, at) => {
    if (isOff(atMm)) issues.push(off(`probes.${at}.atMm`, atMm));
  });
  return issues;
}
