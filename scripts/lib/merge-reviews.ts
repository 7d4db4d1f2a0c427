/** Puts what native readers confirmed or corrected into the catalogues that ship. */
import { patternTrouble, type Language } from '@fox-tempo/words';
import type { Reviews } from '../../words/hazards.ts';

export interface ReviewFile {
  readonly format: 'fox-tempo/words';
  readonly language: Language;
  readonly reviews: readonly {
    readonly key: string;
    readonly english: string;
    readonly text: string;
    readonly by: string;
    readonly at: string;
  }[];
}

export interface Merged {
  readonly catalogue: Readonly<Record<string, string>>;
  readonly reviews: Reviews;
  /** What was left out, with the reason. */
  readonly left: readonly string[];
}

/** `hazards`: keys whose reader is noted, so that the English beside them goes. */
export function mergeReviews(
  { language, reviews: read }: ReviewFile,
  english: Readonly<Record<string, string>>,
  catalogue: Readonly<Record<string, string>>,
  reviews: Reviews,
  hazards: ReadonlySet<string>,
): Merged {
  const texts: Record<string, string> = { ...catalogue };
  const own: Record<string, Reviews[string][string]> = { ...reviews[language] };
  const left: string[] = [];
  for (const { key, english: said, text, by, at } of read) {
    if (english[key] !== said) left.push(`${key}: its English has changed since`);
    else if (patternTrouble(said, text, language)) left.push(`${key}: it names other values than its English`);
    else {
      texts[key] = text;
      if (hazards.has(key)) own[key] = { by, on: at.slice(0, 10), text };
    }
  }
  return { catalogue: texts, reviews: { ...reviews, [language]: own }, left };
}
