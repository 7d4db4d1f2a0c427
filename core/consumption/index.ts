export { currentAtDuty, dutyPercent } from './duty.ts';
export { co2Minutes, compressedMinutes, seamGasL, spoolMinutes } from './stock.ts';
