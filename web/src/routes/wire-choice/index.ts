export { loadWireChoice, WireChoice } from './wire-choice.tsx';
