/** Whole tags of the languages that there are catalogues for. */
export const languages = ['en', 'de', 'es', 'pl', 'pt-BR'] as const;
export type Language = (typeof languages)[number];
