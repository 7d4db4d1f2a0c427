export { isLanguage, languageFor, languages, written, type Language } from './languages.ts';
export { isWhole, loadWords, wordsIn } from './load.ts';
export { formatForInput, sayQuantity, showQuantity, type Saying, type Shown } from './numbers.ts';
export { terms, type TermId } from './terms.ts';
export { patternTrouble, type PatternTrouble } from './pattern.ts';
export { shopTexts, takeShopTexts, type ShopTexts, type Texts } from './shop-texts.ts';
export { formatIn, withSentences } from './with-sentences.ts';
export { hazard, makeWords, message, type Catalogue, type SentenceKey, type ValuesOf, type Words } from './words.ts';
