export { SlotGrid, type SlotLook } from './slot-grid.tsx';
