export { fillerFacts, softnessWords, type FillerFacts } from './filler-facts.ts';
export { feedRisk, type FeedRisk } from './feed-risk.ts';
export { gasUse } from './gas-use.ts';
export { flowBand, type FlowBand } from './flow-band.ts';
export { rankFillers, rankGases, rankSizes, wireWords, type RankedChoice, type Wishes } from './rank.ts';
export { retestList, type Retest, type WireAndGas } from './retest.ts';
