export { FirstHour } from './first-hour.tsx';
export { visited } from './tour-steps.ts';
export { ShopStart, useShopStart } from './shop-start.tsx';
