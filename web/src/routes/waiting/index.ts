export { Waiting } from './waiting.tsx';
