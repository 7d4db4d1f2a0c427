/**
 * Filler wires: melting and density constants with their error, by class.
 * Flux-cored: kA raised from the solid-sheath fit so that 9 to 10 m/min of rutile 1.2 mm melt at the published mean of 224 to 262 A.
 * kA, kB and hot resistivity are *fits* so that section "melting" meets widely published operating data (Lesnewich 1958; Halmøy);
 * densities are handbook values.
 */
import { message, type Phrase } from '../../base/messages/index.ts';
export type FillerCode =
  | 'steel-solid'
  | 'stainless-solid'
  | 'stainless-308l'
  | 'stainless-309l'
  | 'stainless-316l'
  | 'aluminium-4043'
  | 'aluminium-5356'
  | 'cusi3'
  | 'steel-metal-cored'
  | 'steel-flux-cored'
  | 'steel-self-shielded';

/** Which table of transition currents, arc voltages and pulse references applies. */
export type FillerFamily = 'steel' | 'stainless' | 'aluminium' | 'copper-silicon';

export interface Filler {
  readonly code: FillerCode;
  readonly name: Phrase;
  /** ISO and AWS classes, as on the spool. */
  readonly classes: string;
  readonly family: FillerFamily;
  readonly construction: 'solid' | 'cored';
  /** Arc melting coefficient, mm³/(A s). */
  readonly kA: number;
  /** Extension melting coefficient, mm⁴/(A² s). */
  readonly kB: number;
  /** kg/m³; for cored wires the effective value of sheath and filling. */
  readonly densityKgPerM3: number;
  /** Ω mm²/m at working temperature. */
  readonly hotResistivity: number;
  /** Relative error of the melting relation, as a share of one. */
  readonly meltingError: number;
  /** Deposited share of the melted wire. */
  readonly yield: number;
  readonly shielding: 'gas' | 'self';
  /** What the class is for, where classes melt alike and differ in what they join. */
  readonly use?: Phrase;
}

/** Austenitic wires melt alike; their classes differ in what they join. */
const stainless = {
  family: 'stainless',
  construction: 'solid',
  kA: 0.335,
  kB: 9.5e-5,
  densityKgPerM3: 7900,
  hotResistivity: 1.15,
  meltingError: 0.1,
  yield: 0.98,
  shielding: 'gas',
} as const;
const type308 = {
  name: message('consumables.filler.308l'),
  classes: 'ISO 14343 G 19 9 L Si · AWS ER308LSi',
  use: message('consumables.304-and-304l'),
} as const;

const list: readonly Filler[] = [
  {
    code: 'steel-solid',
    name: message('consumables.mild-steel-solid'),
    classes: 'ISO 14341 G 42 4 M21 3Si1 · AWS ER70S-6',
    family: 'steel',
    construction: 'solid',
    kA: 0.339,
    kB: 6.4e-5,
    densityKgPerM3: 7850,
    hotResistivity: 0.95,
    meltingError: 0.08,
    yield: 0.98,
    shielding: 'gas',
  },
  { ...stainless, code: 'stainless-solid', ...type308 },
  { ...stainless, code: 'stainless-308l', ...type308 },
  {
    ...stainless,
    code: 'stainless-309l',
    name: message('consumables.filler.309l'),
    classes: 'ISO 14343 G 23 12 L Si · AWS ER309LSi',
    use: message('consumables.grade-note.dissimilar'),
  },
  {
    ...stainless,
    code: 'stainless-316l',
    name: message('consumables.filler.316l'),
    classes: 'ISO 14343 G 19 12 3 L Si · AWS ER316LSi',
    use: message('consumables.316-and-316l'),
  },
  {
    code: 'aluminium-4043',
    name: message('consumables.aluminium-alsi5'),
    classes: 'ISO 18273 Al 4043 · AWS ER4043',
    family: 'aluminium',
    construction: 'solid',
    kA: 0.848,
    kB: 1.8e-5,
    densityKgPerM3: 2680,
    hotResistivity: 0.08,
    meltingError: 0.08,
    yield: 0.98,
    shielding: 'gas',
  },
  {
    code: 'aluminium-5356',
    name: message('consumables.aluminium-almg5'),
    classes: 'ISO 18273 Al 5356 · AWS ER5356',
    family: 'aluminium',
    construction: 'solid',
    kA: 0.97,
    kB: 2.4e-5,
    densityKgPerM3: 2640,
    hotResistivity: 0.1,
    meltingError: 0.1,
    yield: 0.98,
    shielding: 'gas',
  },
  {
    code: 'cusi3',
    name: message('consumables.filler.copper-silicon'),
    classes: 'ISO 24373 Cu 6560 · AWS ERCuSi-A',
    family: 'copper-silicon',
    construction: 'solid',
    kA: 0.55,
    kB: 4.0e-5,
    densityKgPerM3: 8500,
    hotResistivity: 0.35,
    meltingError: 0.2,
    yield: 0.98,
    shielding: 'gas',
  },
  {
    code: 'steel-metal-cored',
    name: message('consumables.steel-metal-cored'),
    classes: 'ISO 17632 T 46 M M21 · AWS E70C-6M',
    family: 'steel',
    construction: 'cored',
    kA: 0.36,
    kB: 9.0e-5,
    densityKgPerM3: 7000,
    hotResistivity: 1.0,
    meltingError: 0.15,
    yield: 0.95,
    shielding: 'gas',
  },
  {
    code: 'steel-flux-cored',
    name: message('consumables.filler.gas-shielded-flux-cored'),
    classes: 'ISO 17632 T 46 P M21 · AWS E71T-1M',
    family: 'steel',
    construction: 'cored',
    kA: 0.42,
    kB: 9.0e-5,
    densityKgPerM3: 7000,
    hotResistivity: 1.0,
    meltingError: 0.15,
    yield: 0.85,
    shielding: 'gas',
  },
  {
    code: 'steel-self-shielded',
    name: message('consumables.filler.self-shielded-flux-cored'),
    classes: 'ISO 17632 T 42 Z N · AWS E71T-11',
    family: 'steel',
    construction: 'cored',
    kA: 0.34,
    kB: 9.0e-5,
    densityKgPerM3: 7000,
    hotResistivity: 1.0,
    meltingError: 0.2,
    yield: 0.85,
    shielding: 'self',
  },
];

/** The class that a second name stands for; every other code is its own. */
const aliases: Partial<Record<FillerCode, FillerCode>> = { 'stainless-308l': 'stainless-solid' };

/** One code for wires that are the same by another name. */
export function canonicalFiller(code: FillerCode): FillerCode {
  return aliases[code] ?? code;
}

export function isSameFiller(one: FillerCode, other: FillerCode): boolean {
  return canonicalFiller(one) === canonicalFiller(other);
}

/** Each class once, for offering. */
export const fillers: readonly Filler[] = list.filter(({ code }) => aliases[code] === undefined);
export const fillerCodes: readonly FillerCode[] = list.map((filler) => filler.code);

/** The filler of a code; throws on an unknown one, which the contract never lets through. */
export function fillerOf(code: FillerCode): Filler {
  const filler = list.find((candidate) => candidate.code === code);
  if (!filler) throw new Error(`unknown filler code ${code}`);
  return filler;
}
