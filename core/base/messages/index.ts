export { languages, type Language } from './languages.ts';
export type { CoreSentences } from './keys.ts';
export {
  absent,
  allOf,
  amount,
  bare,
  codes,
  hazard,
  inSentence,
  isSaid,
  joined,
  oneOf,
  message,
  sentences,
  signed,
  sum,
  whether,
} from './said.ts';
export type { Amount, Phrase, Said, SaidValue } from './values.ts';
