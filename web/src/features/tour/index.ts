export { FirstHour } from './first-hour.tsx';
export { visited } from './tour-steps.ts';
export { useShopStart } from './use-shop-start.ts';
/** Loaded only where a shop is new. */
export const loadShopStart = async () => ({ default: (await import('./shop-start.tsx')).ShopStart });
