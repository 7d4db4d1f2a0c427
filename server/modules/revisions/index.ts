export {
  appendRevision,
  bringUpRevisions,
  findRevision,
  listRevisions,
  programIdOf,
  readRevisions,
  revisionKeyColumns,
} from './repo.ts';
export { siteOfOld } from './site-of-old.ts';
export { contentHash, useFor, useOf } from './use.ts';
