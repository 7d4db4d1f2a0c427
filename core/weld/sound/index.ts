export { crackles, strongestToneHz } from './listen.ts';
export { looped, loudest, renderSound, type PowerTrace } from './render.ts';
