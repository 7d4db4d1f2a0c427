export { readShopTexts } from './service.ts';
