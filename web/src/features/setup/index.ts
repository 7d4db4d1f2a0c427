export { loadSetup, Setup } from './setup.tsx';
