/** Cautions of places that are not the bench: they arise where the work is, not from wire or gas. Local rules come first. */
import { say, type Said } from '../said/index.ts';

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
    say('setup.battery-off-both-poles'),
    say('setup.airbags-sealants-and-foam'),
    say('setup.fuel-and-closed-sections'),
  ],
  bearings: [say('setup.return-clamp-beside-the-seam'), say('setup.stray-current-through-bearings')],
  height: [say('setup.platform-and-harness'), say('setup.hoses-and-leads-tied')],
  inside: [say('setup.gas-pools-inside'), say('setup.a-second-person-outside')],
  'hot-day': [say('setup.drink-and-rest-in-shade')],
  field: [say('setup.mains-adapters'), say('setup.portable-bottle'), say('setup.two-lift-the-source')],
};
