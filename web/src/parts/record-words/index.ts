export { kindNames, observationLine } from './record-words.ts';
export { leftNames, shapeNames } from './stop-words.ts';
