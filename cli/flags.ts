/** `--lang` and `--units` anywhere among the words of a command, as `--lang de` or `--lang=de`. */
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { isLanguage, languages, message, type Language, type Words } from '@fox-tempo/words';
import { refused, type CommandAnswer } from './run.ts';

export interface Flags {
  readonly lang: Language;
  readonly units: UnitSystem;
}

export interface ReadFlags {
  readonly words: readonly string[];
  readonly flags: Flags;
  /** Set when a flag names something that there is not. */
  readonly refusal?: (words: Words) => CommandAnswer;
}

const systems = ['metric', 'us'] as const satisfies readonly UnitSystem[];

export function readFlags(args: readonly string[]): ReadFlags {
  const words: string[] = [];
  const found: Record<string, string> = {};
  for (let at = 0; at < args.length; at++) {
    const [, name, value] = /^--(lang|units)(?:=(.*))?$/.exec(args[at] ?? '') ?? [];
    if (name === undefined) words.push(args[at] ?? '');
    else found[name] = value ?? args[++at] ?? '';
  }
  const { lang = 'en', units = 'metric' } = found;
  const isKnownSystem = units === 'metric' || units === 'us';
  const flags: Flags = { lang: isLanguage(lang) ? lang : 'en', units: isKnownSystem ? units : 'metric' };
  const wrong = !isLanguage(lang)
    ? { flag: 'lang', known: languages, got: lang }
    : isKnownSystem
      ? undefined
      : { flag: 'units', known: systems, got: units };
  if (!wrong) return { words, flags };
  return {
    words,
    flags,
    refusal: (said) =>
      refused(said, [
        {
          path: wrong.flag,
          code: 'unknown-code',
          message: message('cli.error.flag-choice', wrong),
          limit: wrong.known,
          got: wrong.got,
        },
      ]),
  };
}
