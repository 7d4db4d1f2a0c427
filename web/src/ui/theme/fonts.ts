/** Fonts of each script that a language may be written in; all of them ship with the application. */
import { type Language, written } from '@fox-tempo/words';

interface Fonts {
  readonly body: string;
  readonly figures: string;
}

const fonts: Readonly<Record<(typeof written)[Language]['script'], Fonts>> = {
  latin: { body: '"Archivo Variable", system-ui, sans-serif', figures: '"Spline Sans Mono", ui-monospace, monospace' },
};

export function fontsFor(language: Language): Fonts {
  return fonts[written[language].script];
}
