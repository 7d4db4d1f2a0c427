/** In whose language and units an answer is said: what the question asks for, else what the browser or program prefers. */
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { isLanguage, languageFor, wordsIn, type Words } from '@fox-tempo/words';
import { english } from '@fox-tempo/words/english';
import type { RequestHandler, Response } from 'express';

/** Header by which a page asks for its system of units; programs may put `units` in the address. */
export const unitsHeader = 'fox-tempo-units';

/** Finds the words of a request before anything can be refused. An unknown language is answered in English: what is said matters less than that it is. */
export const chooseWords: RequestHandler = async (request, response, next) => {
  const { lang, units = request.get(unitsHeader) } = request.query;
  const language = isLanguage(lang) ? lang : languageFor(request.get('accept-language'));
  const system: UnitSystem = units === 'us' ? 'us' : 'metric';
  (response.locals as { words?: Words }).words = await wordsIn(language, system);
  next();
};

export function wordsOf(response: Response): Words {
  return (response.locals as { words?: Words }).words ?? english;
}
