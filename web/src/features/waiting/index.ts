export { Waiting } from './waiting.tsx';
export { WaitingLine } from './waiting-line.tsx';
