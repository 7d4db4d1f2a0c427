/** Codes of the languages that there are catalogues for. */
export const languages = ['en', 'de', 'es', 'pl'] as const;
export type Language = (typeof languages)[number];
