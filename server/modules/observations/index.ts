export { type Author, self } from './author.ts';
export { addObservation, attach, bodiesAt, findObservation, lastHandAt, lockObservation } from './repo.ts';
