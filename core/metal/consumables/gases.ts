/**
 * Shielding gases by ISO 14175 designation: the designation is read as a composition, and the composition is what the physics uses.
 * Form here: `<group>-Ar<components>-<percent>[/<percent>]`, components C (CO2), O (O2), He, in that order of the percentages.
 */
import { message, amount, joined, type Phrase } from '../../base/messages/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';

export interface GasComposition {
  readonly argonPct: number;
  readonly co2Pct: number;
  readonly o2Pct: number;
  readonly heliumPct: number;
}

export interface Gas extends GasComposition {
  readonly code: string;
  /** Plain words with percentages, never a trade nickname. */
  readonly name: Phrase;
}

/** What the application offers; any other well-formed designation is read too. */
export const commonGasCodes = [
  'M21-ArC-18',
  'M20-ArC-8',
  'M21-ArC-25',
  'M20-ArC-15',
  'M12-ArC-2',
  'M13-ArO-2',
  'M12-ArHeC-30/2',
  'C1',
  'I1',
  'I3-ArHe-30',
  'I3-ArHe-50',
  'I2',
  'none',
] as const;

/** ISO 14175 limits of the groups met in this trade: [CO2 above, to], [O2 above, to], as percentages. */
const groups: Record<string, { co2: readonly [number, number]; o2: readonly [number, number] }> = {
  M12: { co2: [0.5, 5], o2: [0, 0] },
  M13: { co2: [0, 0], o2: [0.5, 3] },
  M14: { co2: [0.5, 5], o2: [0.5, 3] },
  M20: { co2: [5, 15], o2: [0, 0] },
  M21: { co2: [15, 25], o2: [0, 0] },
  M22: { co2: [0, 0], o2: [3, 10] },
  M23: { co2: [0.5, 5], o2: [3, 10] },
  M24: { co2: [5, 15], o2: [0.5, 3] },
  M25: { co2: [5, 15], o2: [3, 10] },
  M26: { co2: [15, 25], o2: [0.5, 3] },
  M27: { co2: [15, 25], o2: [3, 10] },
};

const pure: Record<string, GasComposition> = {
  C1: { argonPct: 0, co2Pct: 100, o2Pct: 0, heliumPct: 0 },
  I1: { argonPct: 100, co2Pct: 0, o2Pct: 0, heliumPct: 0 },
  I2: { argonPct: 0, co2Pct: 0, o2Pct: 0, heliumPct: 100 },
  none: { argonPct: 0, co2Pct: 0, o2Pct: 0, heliumPct: 0 },
};

const elements = { C: 'co2Pct', O: 'o2Pct', He: 'heliumPct' } as const;

/** Reads a designation. Issues: `unknown-gas` (not of the form), `gas-group-mismatch` (percentages outside the group's limits). */
export function parseGas(code: string, path = 'gas'): Outcome<Gas> {
  const single = Object.hasOwn(pure, code) ? pure[code] : undefined;
  if (single) return success({ code, name: compositionName(single), ...single });
  const match = /^(M\d{2}|I3)-Ar((?:He|C|O)+)-(\d+(?:\.\d+)?(?:\/\d+(?:\.\d+)?)*)$/.exec(code);
  const group = match?.[1];
  const components = match?.[2]?.match(/He|C|O/g) as (keyof typeof elements)[] | null | undefined;
  const shares = match?.[3]?.split('/').map(Number);
  if (!group || !components || !shares || components.length !== shares.length || (group !== 'I3' && !groups[group])) {
    return failure({
      path,
      code: 'unknown-gas',
      message: message('consumables.error.unknown-gas-designation', { code }),
      limit: [...commonGasCodes],
      got: code,
      hint: message('consumables.hint.iso-14175-designation'),
    });
  }
  const composition = { argonPct: 100, co2Pct: 0, o2Pct: 0, heliumPct: 0 };
  components.forEach((component, index) => {
    composition[elements[component]] += shares[index] ?? 0;
  });
  composition.argonPct = 100 - composition.co2Pct - composition.o2Pct - composition.heliumPct;
  const fits =
    group === 'I3'
      ? isInert(composition) && composition.heliumPct > 0.5 && composition.heliumPct <= 95
      : inGroup(group, composition);
  if (!fits || composition.argonPct < 0 || new Set(components).size !== components.length) {
    return failure({
      path,
      code: 'gas-group-mismatch',
      message: message('consumables.error.gas-percentages', { code, group }),
      got: code,
      hint: message('consumables.hint.cylinder-label'),
    });
  }
  return success({ code, name: compositionName(composition), ...composition });
}

/** The gas of a code already validated by the contract; throws on any other. */
export function gasOf(code: string): Gas {
  const known = read.get(code);
  if (known) return known;
  const gas = parseGas(code);
  if (!gas.ok) throw new Error(`unknown gas code ${code}`);
  // A shop has a dozen gases; a stream of invented ones must not grow memory.
  if (read.size < 200) read.set(code, gas.value);
  return gas.value;
}

/** A gas in plain words, also where there is none. */
export function gasName(code: string): Phrase {
  return code === 'none' ? message('consumables.no-gas') : gasOf(code).name;
}

/** Designations read so far: a plan asks for its gas a hundred times. */
const read = new Map<string, Gas>();

/** Active share in CO2 equivalents: the oxygen counts half, as in the transition rule of this model. */
export function activeCo2EquivalentPct(gas: GasComposition): number {
  return gas.co2Pct + gas.o2Pct / 2;
}

export function isInert(gas: GasComposition): boolean {
  return gas.co2Pct === 0 && gas.o2Pct === 0;
}

function inGroup(group: string, gas: GasComposition): boolean {
  const limits = groups[group];
  if (!limits) return false;
  const within = (value: number, [above, to]: readonly [number, number]) =>
    to === 0 ? value === 0 : value > above && value <= to;
  return within(gas.co2Pct, limits.co2) && within(gas.o2Pct, limits.o2);
}

function compositionName(gas: GasComposition): Phrase {
  const parts = [
    [message('consumables.argon'), gas.argonPct],
    [message('consumables.helium'), gas.heliumPct],
    ['CO₂', gas.co2Pct],
    [message('consumables.oxygen'), gas.o2Pct],
  ] as const;
  const present = parts.filter(([, share]) => share > 0);
  if (present.length === 0) return message('consumables.no-gas');
  if (present.length === 1 && present[0]) return present[0][0];
  return joined(
    present.map(([name, share]) => joined([name, amount('percent', share)], ' ')),
    ', ',
  );
}
