export { BesideCard } from './beside-card.tsx';
export { chosenMachine } from './dial-card.tsx';
