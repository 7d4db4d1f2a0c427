export { Compare, loadCompare } from './compare.tsx';
