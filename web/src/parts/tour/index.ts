export { FirstHour } from './first-hour.tsx';
export { visited } from './tour-steps.ts';
export { useIsNewShop } from './use-is-new-shop.ts';
/** Loaded only where a shop is new. */
export const loadShopStart = async () => ({ default: (await import('./shop-start.tsx')).ShopStart });
