export { currentEntries } from './repo.ts';
