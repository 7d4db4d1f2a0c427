export { ensureShop, markDemo, ping, readShop } from './repo.ts';
export { shopSite } from './site.ts';
