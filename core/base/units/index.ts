export { hoursOf, minutesOf, travelMmPerS, travelSeconds } from './convert.ts';
export { evaluateSum } from './arithmetic.ts';
export { formatForInput, formatQuantity, formatWithUnit, type Shown } from './format.ts';
export { gaugeLimits, gaugeRows, gaugeToMm, type GaugedMetal } from './gauges.ts';
export { parseQuantity, type ParseContext } from './parse.ts';
export { quantities, quantity, type Quantity, type QuantityName, type Unit, type UnitSystem } from './quantities.ts';
