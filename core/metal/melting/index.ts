export { dipCurrentA, dipMelting, dipMeltRateMmPerS } from './dip.ts';
export { melt, type MeltInput, type MeltResult } from './melt.ts';
export { depositionKgPerH, meanCurrentForRms, meltRateMmPerS, steadyCurrentA } from './melting.ts';
