export { findPartByName, insertPart, listParts } from './repo.ts';
export { requirePart } from './service.ts';
