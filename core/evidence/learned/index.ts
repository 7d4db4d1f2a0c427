export {
  feedElsewhere,
  feedFactor,
  feedToStart,
  unknownFeed,
  type FeedFactor,
  type PassedSetting,
} from './feed-factor.ts';
export { paceElsewhere, paceOf, unknownPace, type Pace, type TimedSeam } from './pace.ts';
export { type Prior, type Shrunk } from './shrink.ts';
export { trimAt, trimLine, trimLineAt, type TrimLine } from './trim-line.ts';
