export { lockItems, movementsOf } from './repo.ts';
export { type Draw, addCylinder, addSpool, drawFor, readStock, writeDrawn } from './service.ts';
export { undoLast } from './take-back.ts';
