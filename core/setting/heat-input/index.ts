export { coolingThickS, coolingThinS, coolingTime, shapeFactors, weldShapes, type WeldShape } from './cooling.ts';
export { heat, type HeatInput, type HeatResult } from './heat.ts';
export { arcEnergyKjPerMm, migEfficiency } from './heat-input.ts';
export { carbonEquivalentCet, compositionLimits, preheatAdviceC, type Composition } from './preheat.ts';
export { showThrough, type ShowThrough, type ShowThroughVerdict } from './show-through.ts';
