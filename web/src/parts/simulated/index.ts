export { SimulatedArc } from './simulated-arc.tsx';
