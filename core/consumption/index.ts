export { currentAtDuty, dutyPercent } from './duty.ts';
export {
  cylinderOutlook,
  drawnFrom,
  isWeighed,
  partUse,
  spoolOutlook,
  usableGasL,
  type CylinderReading,
  type Outlook,
  type PartUse,
  type SpoolReading,
} from './outlook.ts';
export { co2Minutes, compressedMinutes, seamGasL, spoolMinutes } from './stock.ts';
