export { bead, type BeadInput, type BeadResult } from './solve.ts';
export { edgeAreaMm2, filletAreaMm2, filletLegMm, squareButtAreaMm2, throatMm } from './area.ts';
export { areaForTravel, feedForArea, travelForArea } from './travel.ts';
