export { leadReadings, stepTimes } from './floor.ts';
export { machines } from './machines.ts';
export { orders } from './orders.ts';
export { parts } from './parts.ts';
export { people } from './people.ts';
export { programRevisions, programs } from './programs.ts';
export { seams } from './seams.ts';
export { slotEntries } from './slots.ts';
export { cylinders, spools } from './stock.ts';
