export { own } from './own.ts';
