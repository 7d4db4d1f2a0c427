export { WaitingLine } from './waiting-line.tsx';
