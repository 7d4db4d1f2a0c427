/** How far one seam's weld lies from another's, so that a passed trial can start a new seam. */
import type { FillerCode, MaterialGroup } from '../../metal/consumables/index.ts';
import type { Joint, PlanMode, Position } from '../../setting/plan/index.ts';

export interface WeldKind {
  readonly materialGroup: MaterialGroup;
  readonly thicknessMm: number;
  readonly joint: Joint;
  readonly position: Position;
  readonly gas: string;
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly mode: PlanMode;
}

export type Difference = 'metal' | 'thickness' | 'joint' | 'position' | 'gas' | 'wire' | 'size' | 'mode';

export interface Nearness {
  /** 0: the same; beyond `tooFar` one says little of the other. */
  readonly distance: number;
  readonly differs: readonly Difference[];
}

export const tooFar = 3;

/** What each difference counts for (assumed); thickness by the logarithm, doubling it counts as one. */
const counts: Readonly<Record<Exclude<Difference, 'thickness'>, number>> = {
  metal: 10,
  wire: 3,
  mode: 2,
  gas: 1,
  size: 1,
  joint: 1,
  position: 1,
};

export function nearness(one: WeldKind, other: WeldKind): Nearness {
  const differs: Difference[] = [];
  if (one.materialGroup !== other.materialGroup) differs.push('metal');
  if (one.filler !== other.filler) differs.push('wire');
  if (one.mode !== other.mode) differs.push('mode');
  if (one.gas !== other.gas) differs.push('gas');
  if (Math.abs(one.diameterMm - other.diameterMm) > 0.01) differs.push('size');
  if (one.joint !== other.joint) differs.push('joint');
  if (one.position !== other.position) differs.push('position');
  const thickness = Math.abs(Math.log2(one.thicknessMm / other.thicknessMm));
  const distance = differs.reduce((sum, code) => sum + counts[code as keyof typeof counts], 0) + thickness;
  if (thickness > 0.1) differs.push('thickness');
  return { distance, differs };
}
