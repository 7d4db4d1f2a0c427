/** The steps a changeover can hold, the most often forgotten first, and how long each takes. */
export const stepKinds = [
  'polarity',
  'process',
  'feeder',
  'gas',
  'flow',
  'rolls',
  'liner',
  'wire',
  'tip',
  'recess',
  'tension',
  'clean',
  'dials',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** Minutes by kind of step; rules of the thumb, replaced by the shop's own once timed. */
export const usualMinutes: Readonly<Record<StepKind, number>> = {
  polarity: 2,
  process: 1,
  feeder: 1,
  gas: 5,
  flow: 1,
  rolls: 4,
  liner: 15,
  wire: 6,
  tip: 1,
  recess: 1,
  tension: 1,
  clean: 3,
  dials: 1,
};
