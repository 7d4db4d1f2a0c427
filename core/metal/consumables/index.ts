export { wireAreaMm2, wireSizeLabel, wireSizes, type WireSize } from './diameters.ts';
export {
  canonicalFiller,
  fillerCodes,
  fillerOf,
  fillers,
  isSameFiller,
  type Filler,
  type FillerCode,
  type FillerFamily,
} from './fillers.ts';
export {
  activeCo2EquivalentPct,
  commonGasCodes,
  gasName,
  gasOf,
  isInert,
  parseGas,
  type Gas,
  type GasComposition,
} from './gases.ts';
export { materialGroups, materialOf, materials, type Material, type MaterialGroup } from './materials.ts';
export { sameSizeMm, sameWire } from './same-wire.ts';
export { seamGasL, trueFlowFactor } from './true-flow.ts';
