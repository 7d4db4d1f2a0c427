export { loadShop, Shop } from './shop.tsx';
