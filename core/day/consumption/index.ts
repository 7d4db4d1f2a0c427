export { notInStock, type Missing } from './not-in-stock.ts';
export { contentOfGas, cylinderContent, cylinderLevel, gasOfContent, spoolContent, spoolLevel } from './content.ts';
export {
  cylinderOutlook,
  isWeighed,
  partUse,
  spoolOutlook,
  usableGasL,
  type CylinderReading,
  type Outlook,
  type PartUse,
  type SpoolReading,
} from './outlook.ts';
export { partTakes, type PartTakes } from './part-takes.ts';
export { co2Minutes, compressedMinutes, spoolMinutes } from './stock.ts';
