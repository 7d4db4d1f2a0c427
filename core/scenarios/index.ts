export { scenarios, type Scenario } from './marrowby.ts';
export { alder, hazel, medlar, rowan } from './machines/index.ts';
