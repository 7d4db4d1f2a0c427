/** What the invented shop welded for its orders, and which settings are its reference; all as if it had been logged tap by tap. */
export interface DemoRunDay {
  readonly orderId: string;
  readonly machineId: string;
  /** Welders who take turns. */
  readonly welders: readonly string[];
  /** The last part was welded so many days ago; the one before it a day earlier. */
  readonly lastDaysAgo: number;
}

export const runDays: readonly DemoRunDay[] = [
  { orderId: 'order-2041', machineId: 'rowan', welders: ['teo-varnholt', 'odile-trennaby'], lastDaysAgo: 1 },
  { orderId: 'order-2044', machineId: 'alder', welders: ['runa-felswick'], lastDaysAgo: 2 },
];

/** Welded this morning with the wrong cylinder on the machine; nobody has decided yet. */
export const heldRun = {
  seamId: 'frame-corner-butt',
  machineId: 'rowan',
  orderId: 'order-2041',
  welder: 'odile-trennaby',
  gas: 'C1',
} as const;

/** References: the newest revision, on the trials that passed with it. */
export const references = [
  { seamId: 'axle-plate-to-tube', machineId: 'rowan', daysAgo: 20, reason: 'three passed in a row, legs measured' },
  { seamId: 'counter-corner', machineId: 'hazel', daysAgo: 29, reason: 'stays bright, nothing through on the back' },
] as const;

/** Seams whose window a lead hand wrote: the largest that holds of what was asked. */
export const windows = [
  {
    seamId: 'axle-plate-to-tube',
    machineId: 'rowan',
    daysAgo: 19,
    feedShare: 0.04,
    trimMm: 0.4,
    reason: 'corners held on the simulated arc',
  },
] as const;
