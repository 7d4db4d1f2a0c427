export { type CardContent, cardDocument } from './card-document.ts';
export { cardDensities } from './card-blocks.ts';
