export { findBlob, missingBlob } from './repo.ts';
