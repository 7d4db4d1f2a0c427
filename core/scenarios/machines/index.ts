export { alder } from './alder.ts';
export { hazel } from './hazel.ts';
export { medlar } from './medlar.ts';
export { rowan } from './rowan.ts';
