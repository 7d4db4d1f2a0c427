/** The part as it is laid out in this view: its outline, its seams in a list, the ceiling, one reading; and what the sum makes of it. */
import { travelMmPerS } from '@fox-tempo/core/base/units';
import type { SeamSpec } from '@fox-tempo/contract';
import { baseMetals } from '@fox-tempo/core/metal/conduction';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { amount } from '@fox-tempo/core/base/messages';
import {
  aroundMm,
  atJoint,
  edgeLengthMm,
  edgesOf,
  frameLines,
  onEdge,
  type BoxEdge,
  type PartShape,
  type Place,
  type SoakInput,
} from '@fox-tempo/core/weld/soak';
import { t } from '../../lib/words.ts';

export const partKinds = ['plate', 'box', 'frame'] as const;
export type PartKind = (typeof partKinds)[number];

export interface EdgeSeam {
  readonly edge: BoxEdge;
  readonly fromMm: number;
  /** null: to the end of the edge. */
  readonly toMm: number | null;
}

export interface Layout {
  readonly kind: PartKind;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly lid: boolean;
  readonly rungs: number;
  readonly tubeWidthMm: number;
  readonly tubeHeightMm: number;
  readonly interpassC: number | null;
  readonly ambientC: number;
  /** On a plate: x and y of either end, mm from its corner. */
  readonly seams: readonly (readonly [number, number, number, number])[];
  readonly edges: readonly EdgeSeam[];
  /** Joints of a frame, as they are numbered in the picture less one. */
  readonly joints: readonly number[];
  /** As listed, or as found. */
  readonly order: readonly number[] | null;
  readonly reading: ReadingTaken | null;
}

export interface ReadingTaken {
  readonly xMm: number;
  readonly yMm: number;
  /** Face of a box, joint of a frame. */
  readonly on?: number;
  readonly atS: number;
  readonly tempC: number;
}

const shopC = 20;
/** Still air and a bench, on each face, W/(m² K); as the command line assumes. */
const lossWPerM2K = 12;
export const mostSeams = 24;
const shortestMm = 5;

export function usualLayout(lengthMm: number): Layout {
  const margin = 20;
  const long = Math.round(lengthMm);
  return {
    kind: 'plate',
    lengthMm: long + 2 * margin,
    widthMm: 240,
    heightMm: 120,
    lid: false,
    rungs: 1,
    tubeWidthMm: 40,
    tubeHeightMm: 40,
    interpassC: 100,
    ambientC: shopC,
    seams: [40, 90, 150, 200].map((y) => [margin, y, long + margin, y] as const),
    edges: edgesOf({ lid: false }).map((edge) => ({ edge, fromMm: 0, toMm: null })),
    joints: [0, 1, 2, 3, 4, 5],
    order: null,
    reading: null,
  };
}

export function seamCount({ kind, seams, edges, joints }: Layout): number {
  return { plate: seams, box: edges, frame: joints }[kind].length;
}

/** Seams as the sum takes them: where they run, and how long the weld is. */
export function linesOf(
  layout: Layout,
  shape: PartShape,
): readonly { readonly from: Place; readonly to: Place; readonly lengthMm?: number }[] {
  switch (shape.kind) {
    case 'plate':
      return layout.seams.map(([x0, y0, x1, y1]) => ({ from: [x0, y0], to: [x1, y1] }));
    case 'box':
      return layout.edges.map(({ edge, fromMm, toMm }) => ({
        from: onEdge(shape, edge, fromMm),
        to: onEdge(shape, edge, toMm ?? edgeLengthMm(shape, edge)),
      }));
    case 'frame':
      return layout.joints.map((joint) => ({
        from: atJoint(shape, joint),
        to: atJoint(shape, joint),
        lengthMm: aroundMm(shape),
      }));
  }
}

export function shapeOf(layout: Layout, { materialGroup, thicknessesMm }: SeamSpec): PartShape {
  const metal = baseMetals[materialGroup];
  const { kind, lengthMm, widthMm, heightMm, lid, rungs, tubeWidthMm, tubeHeightMm } = layout;
  const common = {
    lengthMm,
    widthMm,
    thicknessMm: thicknessesMm[0],
    diffusivityMm2PerS: metal.diffusivityMm2PerS,
    volumetricHeatJPerMm3K: metal.volumetricHeatJPerMm3K,
    lossWPerM2K,
  };
  switch (kind) {
    case 'plate':
      return { kind, ...common };
    case 'box':
      return { kind, ...common, heightMm, lid };
    case 'frame':
      return { kind, ...common, rungs, tubeMm: [tubeWidthMm, tubeHeightMm] };
  }
}

/** `factor`: of all warmth, by a thermometer. */
export function inputOf(layout: Layout, spec: SeamSpec, plan: Plan, factor: number): SoakInput {
  const powerW = plan.heatInputKjPerMm * 1000 * travelMmPerS(plan.travelMmPerMin) * factor;
  const part = shapeOf(layout, spec);
  return {
    part,
    seams: linesOf(layout, part).map((line) => ({
      ...line,
      travelMmPerMin: plan.travelMmPerMin,
      powerW,
      startAtS: 0,
    })),
    ambientC: layout.ambientC,
    meltsAtC: baseMetals[spec.materialGroup].meltsAtC,
    interpassC: layout.interpassC ?? undefined,
  };
}

/** Where the reading was taken. */
export function readingPlace({ xMm, yMm, on = 0 }: ReadingTaken, shape: PartShape): Place {
  return shape.kind === 'frame' ? atJoint(shape, on) : shape.kind === 'box' ? [xMm, yMm, on] : [xMm, yMm];
}

/** The first thing that cannot be, in words; null: nothing. */
export function troubleWith(layout: Layout, spec: SeamSpec): string | null {
  const { kind, lengthMm, widthMm, interpassC, ambientC } = layout;
  const shape = shapeOf(layout, spec);
  if (kind === 'plate') {
    const off = layout.seams.findIndex(
      ([x0, y0, x1, y1]) => [x0, x1].some((x) => x < 0 || x > lengthMm) || [y0, y1].some((y) => y < 0 || y > widthMm),
    );
    if (off !== -1)
      return t('view.heat.error.off-plate', {
        at: off + 1,
        length: amount('length', lengthMm, 0),
        width: amount('length', widthMm, 0),
      });
  }
  if (shape.kind === 'box') {
    const off = layout.edges.findIndex(
      ({ edge, fromMm, toMm }) =>
        !edgesOf(shape).includes(edge) || Math.max(fromMm, toMm ?? 0) > edgeLengthMm(shape, edge),
    );
    const edge = layout.edges[off];
    if (edge)
      return edgesOf(shape).includes(edge.edge)
        ? t('view.heat.error.off-edge', { at: off + 1, length: amount('length', edgeLengthMm(shape, edge.edge), 0) })
        : t('view.heat.no-such-edge', { at: off + 1 });
  }
  if (shape.kind === 'frame') {
    const count = frameLines(shape).joints.length;
    const off = layout.joints.findIndex((joint) => joint >= count);
    if (off !== -1) return t('view.heat.no-such-joint', { at: off + 1, count });
    if (2 * shape.thicknessMm >= Math.min(...shape.tubeMm))
      return t('view.heat.tube-without-hollow', { thickness: amount('shortLength', shape.thicknessMm, 1) });
  }
  const still = linesOf(layout, shape).findIndex(
    ({ from, to, lengthMm: weld }) => (weld ?? Math.hypot(to[0] - from[0], to[1] - from[1])) < shortestMm,
  );
  if (still !== -1) return t('view.heat.error.no-length', { at: still + 1 });
  if (interpassC !== null && interpassC <= ambientC + 2)
    return t('view.heat.ceiling-too-low', {
      ceiling: amount('temperature', interpassC, 0),
      ambient: amount('temperature', ambientC, 0),
    });
  return null;
}
