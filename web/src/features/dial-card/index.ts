export { BesideCard } from './beside-card.tsx';
export { useMachineFor } from './machine-choice.ts';
