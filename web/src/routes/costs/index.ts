export { Costs, loadCosts } from './costs.tsx';
