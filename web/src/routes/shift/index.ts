export { loadShift, Shift } from './shift.tsx';
