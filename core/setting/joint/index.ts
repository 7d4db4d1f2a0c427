export { jointGeometry } from './geometry.ts';
export type { DrawnPass, JointGeometry, JointNumbers, Plate, Point } from './shapes.ts';
