export { scenarios, type Scenario } from './marrowby.ts';
