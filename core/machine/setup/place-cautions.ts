/** Cautions of places that are not the bench: they arise where the work is, not from wire or gas. Local rules come first. */
import { hazard, type Said, message } from '../../base/messages/index.ts';

export const workPlaces = ['vehicle', 'bearings', 'height', 'inside', 'hot-day', 'field'] as const;
export type WorkPlace = (typeof workPlaces)[number];

export const workPlaceNames: Readonly<Record<WorkPlace, Said>> = {
  vehicle: message('setup.on-a-vehicle'),
  bearings: message('setup.site.bearings'),
  height: message('setup.site.height'),
  inside: message('setup.site.tank'),
  'hot-day': message('setup.site.heat'),
  field: message('setup.site.away'),
};

export const placeCautions: Readonly<Record<WorkPlace, readonly Said[]>> = {
  vehicle: [hazard('setup.site.battery'), hazard('setup.site.airbags'), hazard('setup.site.fuel')],
  bearings: [hazard('setup.site.clamp'), hazard('setup.site.stray-current')],
  height: [hazard('setup.platform-and-harness'), hazard('setup.site.hoses')],
  inside: [hazard('setup.gas-pools-inside'), hazard('setup.site.second-person')],
  'hot-day': [hazard('setup.site.drink')],
  field: [hazard('setup.mains-adapters'), hazard('setup.portable-bottle'), hazard('setup.site.lift')],
};
