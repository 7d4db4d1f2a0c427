export { jointGeometry, type JointNumbers } from './geometry.ts';
export type { DrawnPass, JointGeometry, Plate, Point } from './shapes.ts';
