/** Texts that native readers of the shop confirmed or corrected. They stand before the catalogue's, and a hazard among them is read. */
import type { Language } from './languages.ts';

export type Texts = Readonly<Record<string, string>>;
export type ShopTexts = Readonly<Partial<Record<Language, Texts>>>;

let inUse: ShopTexts = {};

export function shopTexts(): ShopTexts {
  return inUse;
}

/** For this process or thread; whoever keeps words made before asks for them anew. */
export function takeShopTexts(texts: ShopTexts): void {
  inUse = texts;
}
