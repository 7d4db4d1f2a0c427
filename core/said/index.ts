export { languages, type Language } from './languages.ts';
export type { CoreSentences } from './keys.ts';
export { amount, bare, codes, inSentence, isSaid, joined, oneOf, say } from './said.ts';
export type { Amount, Phrase, Said, SaidValue } from './values.ts';
