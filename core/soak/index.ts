export { bestOrder, betweenS, correctionBy, inOrder, type OrderedSoak } from './order.ts';
export { plateField, settledS, type Plate, type PlateField } from './plate-field.ts';
export { aheadMm, soak, type Soaked, type SoakedSeam, type SoakInput, type SoakSeam } from './soak.ts';
