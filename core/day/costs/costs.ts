/** What a seam takes, planned or found: minutes, wire, gas, energy and tips; and in money where the shop wrote down its rates. */
import type { FillerCode } from '../../metal/consumables/index.ts';
import { wearOf } from '../../machine/wear/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { lostVolts, minutesOf, hoursOf, thousandth } from '../../base/units/convert.ts';

/** The shop's own rates; what is left out is counted in amounts, not in money. */
export interface Rates {
  /** As it is written behind a sum. */
  readonly currency: string;
  readonly labourPerHour?: number | undefined;
  readonly energyPerKwh?: number | undefined;
  readonly tip?: number | undefined;
  readonly wirePerKg?: Readonly<Partial<Record<FillerCode, number>>> | undefined;
  readonly gasPerM3?: Readonly<Record<string, number>> | undefined;
}

export interface Takes {
  readonly arcMinutes: number;
  /** Arc, handling and chipping, without changeovers. */
  readonly workMinutes: number;
  readonly wireKg: number;
  readonly gasL: number;
  readonly kwh: number;
  /** Share of a contact tip's life. */
  readonly tips: number;
}

export interface WorkOf {
  readonly arcSeconds: number;
  readonly slagSeconds?: number | undefined;
  readonly wireKg: number;
  readonly gasL: number;
  readonly meanCurrentA: number;
  /** At the contact tip. */
  readonly voltageV: number;
}

export const nothingTaken: Takes = { arcMinutes: 0, workMinutes: 0, wireKg: 0, gasL: 0, kwh: 0, tips: 0 };

/** Share of mains power that an inverter hands on; cooling and idling are not in it. Assumed. */
const sourceEfficiency = 0.85;

export function takesOf(
  work: WorkOf,
  site: { readonly circuitMOhm: number; readonly handlingMinutes: number; readonly tipLife: number },
): Takes {
  const { arcSeconds, slagSeconds = 0, wireKg, gasL, meanCurrentA, voltageV } = work;
  const arcMinutes = minutesOf(arcSeconds);
  const watts = meanCurrentA * (voltageV + lostVolts(meanCurrentA, site.circuitMOhm));
  const worn = wearOf('contact-tip', { arcMinutes, currentA: meanCurrentA, wireKg, isAluminium: false });
  return {
    arcMinutes,
    workMinutes: arcMinutes + minutesOf(slagSeconds) + site.handlingMinutes,
    wireKg,
    gasL,
    kwh: thousandth(hoursOf(watts * arcMinutes)) / sourceEfficiency,
    tips: worn / site.tipLife,
  };
}

export function times(takes: Takes, factor: number): Takes {
  return mapped(takes, (value) => value * factor);
}

export function plus(one: Takes, other: Takes): Takes {
  return {
    arcMinutes: one.arcMinutes + other.arcMinutes,
    workMinutes: one.workMinutes + other.workMinutes,
    wireKg: one.wireKg + other.wireKg,
    gasL: one.gasL + other.gasL,
    kwh: one.kwh + other.kwh,
    tips: one.tips + other.tips,
  };
}

function mapped(takes: Takes, change: (value: number) => number): Takes {
  const { arcMinutes, workMinutes, wireKg, gasL, kwh, tips } = takes;
  return {
    arcMinutes: change(arcMinutes),
    workMinutes: change(workMinutes),
    wireKg: change(wireKg),
    gasL: change(gasL),
    kwh: change(kwh),
    tips: change(tips),
  };
}

export const moneyParts = ['labour', 'wire', 'gas', 'energy', 'tips'] as const;
export type MoneyPart = (typeof moneyParts)[number];

export interface Money {
  /** Undefined where the shop has no rate for it. */
  readonly parts: Readonly<Record<MoneyPart, number | undefined>>;
  /** Of the parts that have a rate. */
  readonly total: number;
}

export function moneyOf(takes: Takes, { filler, gas }: Pick<Program, 'filler' | 'gas'>, rates: Rates): Money {
  const rated = (amount: number, rate: number | undefined) => (rate === undefined ? undefined : amount * rate);
  const parts = {
    labour: rated(hoursOf(takes.workMinutes), rates.labourPerHour),
    wire: rated(takes.wireKg, rates.wirePerKg?.[filler]),
    gas: gas === 'none' ? 0 : rated(thousandth(takes.gasL), rates.gasPerM3?.[gas]),
    energy: rated(takes.kwh, rates.energyPerKwh),
    tips: rated(takes.tips, rates.tip),
  };
  return { parts, total: moneyParts.reduce((sum, part) => sum + (parts[part] ?? 0), 0) };
}

export function moneySum(list: readonly Money[]): Money {
  const parts = Object.fromEntries(
    moneyParts.map((part) => {
      const known = list.flatMap((one) => one.parts[part] ?? []);
      // Where one line has no rate, the sum has none either: it would pass for the whole.
      return [part, known.length < list.length ? undefined : known.reduce((sum, value) => sum + value, 0)];
    }),
  ) as Record<MoneyPart, number | undefined>;
  return { parts, total: list.reduce((sum, { total }) => sum + total, 0) };
}
