export { type CardContent, cardDensities, cardDocument } from './card-document.ts';
