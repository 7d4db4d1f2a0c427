/** Cautions of places that are not the bench: they arise where the work is, not from wire or gas. Local rules come first. */
import { hazard, type Said, say } from '../said/index.ts';

export const workPlaces = ['vehicle', 'bearings', 'height', 'inside', 'hot-day', 'field'] as const;
export type WorkPlace = (typeof workPlaces)[number];

export const workPlaceNames: Readonly<Record<WorkPlace, Said>> = {
  vehicle: say('setup.on-a-vehicle'),
  bearings: say('setup.beside-bearings-or-electronics'),
  height: say('setup.at-height-or-hard-to-reach'),
  inside: say('setup.inside-a-tank-or-hull'),
  'hot-day': say('setup.on-a-hot-day'),
  field: say('setup.away-from-the-shop'),
};

export const placeCautions: Readonly<Record<WorkPlace, readonly Said[]>> = {
  vehicle: [
    hazard('setup.battery-off-both-poles'),
    hazard('setup.airbags-sealants-and-foam'),
    hazard('setup.fuel-and-closed-sections'),
  ],
  bearings: [hazard('setup.return-clamp-beside-the-seam'), hazard('setup.stray-current-through-bearings')],
  height: [hazard('setup.platform-and-harness'), hazard('setup.hoses-and-leads-tied')],
  inside: [hazard('setup.gas-pools-inside'), hazard('setup.a-second-person-outside')],
  'hot-day': [hazard('setup.drink-and-rest-in-shade')],
  field: [hazard('setup.mains-adapters'), hazard('setup.portable-bottle'), hazard('setup.two-lift-the-source')],
};
