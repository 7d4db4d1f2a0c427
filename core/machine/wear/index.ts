export { dueOf, lifeOf, type Due, type Life, type PartEnd } from './life.ts';
export { usualLife, wearOf, wearPartNames, wearParts, wearUnits, type WearPart, type WeldDone } from './wear.ts';
