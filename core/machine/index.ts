export type { ChartLine, ChartLineScale, Dial, DialQuantity, LinearScale, Machine } from './machine.ts';
export { programFromPlan, type Program } from './program.ts';
export { quantityUnits, translate, type DialSetting, type Translation } from './translate.ts';
