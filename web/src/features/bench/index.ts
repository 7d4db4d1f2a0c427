export { Bench, loadAnyBench, loadBench } from './bench.tsx';
