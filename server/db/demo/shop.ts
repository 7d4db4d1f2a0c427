/** People, parts, orders and rates of Marrowby Cartworks, all invented. Due dates are days from the seeding. */
import type { ShopState } from '@fox-tempo/contract';

/** Each role, and four who weld; their PINs stand in the README, for the demo shop alone. */
export const people = [
  { id: 'ilse-brandokor', name: 'Ilse Brandokor', role: 'lead', pin: '2405' },
  { id: 'teo-varnholt', name: 'Teo Varnholt', role: 'welder', pin: '1404' },
  { id: 'mirja-keskalo', name: 'Mirja Keskalo', role: 'owner', pin: '4407' },
  { id: 'runa-felswick', name: 'Runa Felswick', role: 'welder', pin: '5406' },
  { id: 'bastian-oxmere', name: 'Bastian Oxmere', role: 'welder', pin: '6405' },
  { id: 'odile-trennaby', name: 'Odile Trennaby', role: 'welder', pin: '7404' },
  { id: 'corvin-dellamaar', name: 'Corvin Dellamaar', role: 'office', pin: '3406' },
] as const;

export const shopName = 'Marrowby Cartworks';

export const parts = [
  { id: 'market-cart-frame', name: 'Market cart frame', about: 'Square tube 2.5 mm on 5 mm axle plates' },
  { id: 'kitchen-counter', name: 'Kitchen counter', about: '1.5 mm 304L, outside corners stay bright' },
  { id: 'cargo-trike-box', name: 'Cargo trike box', about: '2.5 mm 5754 sheet on a 4 mm 6082 frame' },
  { id: 'canopy-rail', name: 'Canopy rail', about: '1 mm galvanised, brazed' },
] as const;

export const orders = [
  { id: 'order-2041', number: 'MC 2041', partId: 'market-cart-frame', quantity: 12, done: 5, dueInDays: 2 },
  { id: 'order-2044', number: 'MC 2044', partId: 'cargo-trike-box', quantity: 6, done: 1, dueInDays: 4 },
  { id: 'order-2038', number: 'MC 2038', partId: 'kitchen-counter', quantity: 3, done: 0, dueInDays: 6 },
  { id: 'order-2047', number: 'MC 2047', partId: 'canopy-rail', quantity: 24, done: 0, dueInDays: 11 },
] as const;

/** Made up, in the shop's own round figures. */
export const demoRates: NonNullable<ShopState['rates']> = {
  currency: '€',
  labourPerHour: 48,
  energyPerKwh: 0.25,
  tip: 1.8,
  wirePerKg: {
    'steel-solid': 2.6,
    'stainless-308l': 11,
    'stainless-316l': 14,
    'aluminium-5356': 13,
    'steel-flux-cored': 4.2,
  },
  gasPerM3: { 'M21-ArC-18': 7, 'M12-ArC-2': 9, I1: 8 },
};
