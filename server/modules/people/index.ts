export { findPerson, personName } from './repo.ts';
