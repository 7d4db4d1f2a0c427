export { addStandIn } from './repo.ts';
