export { scenarios, type Scenario } from './marrowby.ts';
export { alder, hazel, medlar, rowan } from './machines/index.ts';
export { sheetOf, steelPulse, steelTee } from './sheets.ts';
export { aluminiumFeeder, steelFeeder } from './feeders.ts';
