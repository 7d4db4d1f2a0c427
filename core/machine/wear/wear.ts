/**
 * What wears by welding, counted by use and not by the calendar: tips by arc minutes and current, nozzles by arc minutes, liners and drive rolls by wire.
 * Factors and usual lives are rules of practice, assumed; the shop's own replacements take their place.
 */
import { message, type Said } from '../../base/messages/index.ts';
import type { QuantityName } from '../../base/units/index.ts';

export const wearParts = ['contact-tip', 'gas-nozzle', 'liner', 'drive-rolls'] as const;
export type WearPart = (typeof wearParts)[number];

export const wearPartNames: Readonly<Record<WearPart, Said>> = {
  'contact-tip': message('maintenance.contact-tip'),
  'gas-nozzle': message('maintenance.gas-nozzle'),
  liner: message('maintenance.liner'),
  'drive-rolls': message('maintenance.drive-rolls'),
};

/** What a part's use is counted in: minutes of arc, for a tip those of a middling current; kilograms of wire. */
export const wearUnits: Readonly<Record<WearPart, QuantityName>> = {
  'contact-tip': 'minutes',
  'gas-nozzle': 'minutes',
  liner: 'spoolMass',
  'drive-rolls': 'spoolMass',
};

/** What a weld, or many of one kind, did. */
export interface WeldDone {
  readonly arcMinutes: number;
  readonly currentA: number;
  readonly wireKg: number;
  readonly isAluminium: boolean;
}

/** A tip's minute at a low, middling and high current, A up to, and its weight. */
const tipClasses = [
  [150, 0.7],
  [250, 1],
  [Number.POSITIVE_INFINITY, 1.8],
] as const;
/** Soft wire leaves its oxide in the liner: a kilogram of it counts as so many of steel's (a third of the density, and dirtier). */
const aluminiumLiner = 4;

export function wearOf(part: WearPart, { arcMinutes, currentA, wireKg, isAluminium }: WeldDone): number {
  switch (part) {
    case 'contact-tip':
      return arcMinutes * (tipClasses.find(([most]) => currentA <= most)?.[1] ?? 1);
    case 'gas-nozzle':
      return arcMinutes;
    case 'liner':
      return wireKg * (isAluminium ? aluminiumLiner : 1);
    case 'drive-rolls':
      return wireKg;
  }
}

/** What a part lasts before the shop has replaced any: wide on purpose. */
export const usualLife: Readonly<Record<WearPart, number>> = {
  'contact-tip': 240,
  'gas-nozzle': 900,
  liner: 150,
  'drive-rolls': 600,
};
