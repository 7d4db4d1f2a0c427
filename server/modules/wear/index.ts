export { readWear } from './service.ts';
