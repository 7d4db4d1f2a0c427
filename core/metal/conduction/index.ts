export { aheadMm, levelFor, levelLimits, worthPercent } from './level.ts';
export { baseMetals, usualBaseMetal, type BaseMetal } from './metals.ts';
export { spreadPerMm } from './spread.ts';
