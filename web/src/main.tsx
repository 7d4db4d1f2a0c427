/** First the words, then the interface: nothing is shown that would have to be said again. */
import { isLanguage } from '@fox-tempo/words';
import { wordsForPage } from './lib/load-words.ts';
import { borrowUnits, settings } from './session/settings.ts';
import { spoken, speak } from './lib/words.ts';

/** A card may be opened in the language and units of another reader. */
const asked = new URLSearchParams(location.search);
const lang = asked.get('lang');
const units = asked.get('units');
if (units === 'metric' || units === 'us') borrowUnits(units);
const { language, units: system } = settings.getState();
speak(await wordsForPage(isLanguage(lang) ? lang : language, system));
settings.subscribe((state) => {
  if (state.units !== spoken().system) speak(spoken().inUnits(state.units));
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
const { start } = await import('./app/start.tsx');
start(root);
