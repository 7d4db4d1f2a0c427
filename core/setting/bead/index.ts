export { bead, type BeadInput, type BeadResult } from './solve.ts';
export {
  convexity,
  edgeAreaMm2,
  edgeFactorMm,
  filletAreaMm2,
  filletLegMm,
  squareButt,
  squareButtAreaMm2,
  throatMm,
} from './area.ts';
export { areaForTravel, feedForArea, travelForArea } from './travel.ts';
