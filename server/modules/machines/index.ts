export { refuseForeignDials } from './foreign-dials.ts';
export { findMachine, listMachines, lockMachine, nameTaken } from './repo.ts';
export { createMachine, requireMachine } from './service.ts';
