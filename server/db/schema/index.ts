export { machines } from './machines.ts';
export { orders } from './orders.ts';
export { parts } from './parts.ts';
export { people } from './people.ts';
export { programRevisions, programs } from './programs.ts';
export { seams } from './seams.ts';
