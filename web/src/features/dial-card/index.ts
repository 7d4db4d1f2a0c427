export { chosenMachine, DialCard } from './dial-card.tsx';
export { DialStrip } from './dial-strip.tsx';
