/** Every quantity a welder types or reads, with its stored unit, the units it is written in, and the exact factors between them. */
import { BAR_PER_PSI, KG_PER_LB, L_PER_MIN_PER_CFH, M_PER_IN, MM_PER_IN } from './factors.ts';

export interface Unit {
  /** As printed. */
  readonly label: string;
  /** As typed, lower case, without spaces. */
  readonly aliases: readonly string[];
  /** Stored value = written value x factor + offset. */
  readonly factor: number;
  /** Added after that: 0 degrees of the one scale on the other. */
  readonly offset?: number;
  /** Digits after the decimal point when shown. */
  readonly digits: number;
}

export interface Quantity {
  /** The stored unit. */
  readonly metric: Unit;
  readonly us: Unit;
  /** Further units that may be typed. */
  readonly also?: readonly Unit[];
  /** True when "14 ga" means something here. */
  readonly gauged?: boolean;
  /** True when fractions of an inch are how the US trade writes it. */
  readonly fractional?: boolean;
}

const mm: Unit = { label: 'mm', aliases: ['mm'], factor: 1, digits: 1 };
const inch: Unit = { label: 'in', aliases: ['in', 'inch', 'inches', '"'], factor: MM_PER_IN, digits: 3 };
const cm: Unit = { label: 'cm', aliases: ['cm'], factor: 10, digits: 1 };
const metre: Unit = { label: 'm', aliases: ['m'], factor: 1000, digits: 2 };
const foot: Unit = { label: 'ft', aliases: ['ft', "'"], factor: 12 * MM_PER_IN, digits: 2 };

function same(unit: Unit): { metric: Unit; us: Unit } {
  return { metric: unit, us: unit };
}

export const quantities = {
  thickness: { metric: { ...mm, digits: 1 }, us: inch, gauged: true, fractional: true },
  length: { metric: { ...mm, digits: 0 }, us: { ...inch, digits: 1 }, also: [cm, metre, foot], fractional: true },
  shortLength: { metric: mm, us: inch, fractional: true },
  diameter: { metric: { ...mm, digits: 2 }, us: inch },
  /** As printed on the spool, in whatever units the reader has. */
  wireSize: { metric: { ...mm, digits: 1 }, us: { ...mm, digits: 1 } },
  angle: same({ label: '°', aliases: ['°', 'deg'], factor: 1, digits: 0 }),
  wireFeed: {
    metric: { label: 'm/min', aliases: ['m/min', 'mpm'], factor: 1, digits: 1 },
    us: { label: 'ipm', aliases: ['ipm', 'in/min'], factor: M_PER_IN, digits: 0 },
  },
  travel: {
    metric: { label: 'mm/min', aliases: ['mm/min'], factor: 1, digits: 0 },
    us: { label: 'ipm', aliases: ['ipm', 'in/min'], factor: MM_PER_IN, digits: 1 },
    also: [
      { label: 'cm/min', aliases: ['cm/min', 'cpm'], factor: 10, digits: 0 },
      { label: 'mm/s', aliases: ['mm/s'], factor: 60, digits: 1 },
    ],
  },
  gasFlow: {
    metric: { label: 'L/min', aliases: ['l/min', 'lpm'], factor: 1, digits: 0 },
    us: { label: 'CFH', aliases: ['cfh', 'ft3/h', 'scfh'], factor: L_PER_MIN_PER_CFH, digits: 0 },
  },
  heatInput: {
    metric: { label: 'kJ/mm', aliases: ['kj/mm'], factor: 1, digits: 2 },
    us: { label: 'kJ/in', aliases: ['kj/in'], factor: 1 / MM_PER_IN, digits: 1 },
  },
  area: {
    metric: { label: 'mm²', aliases: ['mm2'], factor: 1, digits: 1 },
    us: { label: 'in²', aliases: ['in2'], factor: MM_PER_IN * MM_PER_IN, digits: 4 },
  },
  deposition: {
    metric: { label: 'kg/h', aliases: ['kg/h'], factor: 1, digits: 2 },
    us: { label: 'lb/h', aliases: ['lb/h'], factor: KG_PER_LB, digits: 2 },
  },
  mass: {
    metric: { label: 'g', aliases: ['g'], factor: 1, digits: 0 },
    us: { label: 'oz', aliases: ['oz'], factor: (KG_PER_LB * 1000) / 16, digits: 2 },
  },
  volume: {
    metric: { label: 'L', aliases: ['l'], factor: 1, digits: 1 },
    us: { label: 'ft³', aliases: ['ft3'], factor: L_PER_MIN_PER_CFH * 60, digits: 2 },
  },
  /** Contents of a spool or of a weighed cylinder. */
  spoolMass: {
    metric: { label: 'kg', aliases: ['kg'], factor: 1, digits: 2 },
    us: { label: 'lb', aliases: ['lb', 'lbs'], factor: KG_PER_LB, digits: 2 },
    also: [{ label: 'g', aliases: ['g'], factor: 0.001, digits: 0 }],
  },
  pressure: {
    metric: { label: 'bar', aliases: ['bar'], factor: 1, digits: 0 },
    us: { label: 'psi', aliases: ['psi'], factor: BAR_PER_PSI, digits: 0 },
  },
  gunLength: {
    metric: { label: 'm', aliases: ['m'], factor: 1, digits: 1 },
    us: { label: 'ft', aliases: ['ft', "'"], factor: 12 * M_PER_IN, digits: 1 },
  },
  resistance: same({ label: 'mΩ', aliases: ['mω', 'mohm', 'mo'], factor: 1, digits: 1 }),
  temperature: {
    metric: { label: '°C', aliases: ['°c', 'c', 'degc'], factor: 1, digits: 0 },
    us: { label: '°F', aliases: ['°f', 'f', 'degf'], factor: 5 / 9, offset: -160 / 9, digits: 0 },
  },
  /** What melts, spreads or carries: the figures of the model in its own sums. */
  slew: same({ label: 'A/ms', aliases: ['a/ms'], factor: 1, digits: 0 }),
  watts: same({ label: 'W', aliases: ['w'], factor: 1, digits: 0 }),
  energy: same({ label: 'kWh', aliases: ['kwh'], factor: 1, digits: 2 }),
  kilowatts: same({ label: 'kW', aliases: ['kw'], factor: 1, digits: 2 }),
  meltRate: same({ label: 'mm/(A s)', aliases: [], factor: 1, digits: 3 }),
  wireSpeed: {
    metric: { label: 'mm/s', aliases: ['mm/s'], factor: 1, digits: 1 },
    us: { label: 'in/s', aliases: ['in/s'], factor: MM_PER_IN, digits: 2 },
  },
  diffusivity: same({ label: 'mm²/s', aliases: ['mm2/s'], factor: 1, digits: 1 }),
  metalRate: same({ label: 'mm³/s', aliases: ['mm3/s'], factor: 1, digits: 1 }),
  metalVolume: {
    metric: { label: 'mm³', aliases: ['mm3'], factor: 1, digits: 0 },
    us: { label: 'in³', aliases: ['in3'], factor: MM_PER_IN ** 3, digits: 4 },
  },
  voltsPerLength: same({ label: 'V/mm', aliases: ['v/mm'], factor: 1, digits: 3 }),
  density: same({ label: 'kg/m³', aliases: ['kg/m3'], factor: 1, digits: 0 }),
  wireMassPerLength: {
    metric: { label: 'g/m', aliases: ['g/m'], factor: 1, digits: 2 },
    us: { label: 'oz/ft', aliases: ['oz/ft'], factor: (KG_PER_LB * 1000) / 16 / (12 * M_PER_IN), digits: 3 },
  },
  gasPerMass: same({ label: 'L/kg', aliases: ['l/kg'], factor: 1, digits: 0 }),
  minutes: same({ label: 'min', aliases: ['min'], factor: 1, digits: 1 }),
  percent: same({ label: '%', aliases: ['%'], factor: 1, digits: 0 }),
  plain: same({ label: '', aliases: [], factor: 1, digits: 3 }),
  current: same({ label: 'A', aliases: ['a'], factor: 1, digits: 0 }),
  voltage: same({ label: 'V', aliases: ['v'], factor: 1, digits: 1 }),
  power: same({ label: 'kW', aliases: ['kw'], factor: 1000, digits: 2 }),
  frequency: same({ label: 'Hz', aliases: ['hz'], factor: 1, digits: 0 }),
  pulseTime: same({ label: 'ms', aliases: ['ms'], factor: 1, digits: 2 }),
  phaseTime: same({ label: 's', aliases: ['s'], factor: 1, digits: 2 }),
  seconds: same({ label: 's', aliases: ['s'], factor: 1, digits: 0 }),
} as const satisfies Record<string, Quantity>;

export type QuantityName = keyof typeof quantities;
export type UnitSystem = 'metric' | 'us';

/** The quantity's description, widened to the interface so that optional keys can be read. */
export function quantity(name: QuantityName): Quantity {
  return quantities[name];
}
