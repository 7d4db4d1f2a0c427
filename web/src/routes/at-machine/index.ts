export { BenchMode } from './bench-mode.tsx';
export { loadBenchMode } from './load.ts';
