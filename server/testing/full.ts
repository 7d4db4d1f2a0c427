/** `npm run check:all` walks everything; `npm test` walks what finds nearly all of it in minutes. */
export const isFull = process.env['FOX_TEMPO_FULL'] === '1';
