/**
 * How somebody reads: language, units, light and hand. The device keeps what was last used on it; a person who is signed in brings their own,
 * and what they change here goes with them. Another language is another page: it is loaded anew, with everything half-typed kept.
 */
import type { Preferences } from '@fox-tempo/contract';
import { isLanguage, type Language } from '@fox-tempo/words';
import { api } from '../data/api.ts';
import { session } from './session.ts';
import { settings, useSettings, type Settings } from './settings.ts';
import { spoken } from '../lib/words.ts';

export type OwnPreferences = Pick<Settings, 'language' | 'units' | 'theme' | 'hand'>;

export function usePreferences(): OwnPreferences {
  const language = useSettings((state) => state.language);
  const units = useSettings((state) => state.units);
  const theme = useSettings((state) => state.theme);
  const hand = useSettings((state) => state.hand);
  return { language, units, theme, hand };
}

/** Sets it on this device and, where somebody is signed in, with that person. */
export function changePreferences(change: Partial<OwnPreferences>): void {
  settings.setState(change);
  const { language, units, theme, hand } = settings.getState();
  const saved =
    session.getState().state?.me == null
      ? Promise.resolve()
      : api.savePreferences({ language, units, theme, hand }).then((state) => session.getState().take(state));
  const turn = () => turnPage(language);
  // A preference that the server did not hear of still holds on this device.
  void saved.then(turn, turn);
}

/** What the person who has just signed in brings along; true when the page has to be loaded anew for it. */
export function adoptPreferences(preferences: Preferences | undefined): boolean {
  if (!preferences) return false;
  const { language, units, theme, hand } = preferences;
  settings.setState({
    ...(isLanguage(language) ? { language } : {}),
    ...(units ? { units } : {}),
    ...(theme ? { theme } : {}),
    ...(hand ? { hand } : {}),
  });
  return !isForSomebodyElse() && settings.getState().language !== spoken().language;
}

/** The page was opened in the language of another reader: a card for whoever sets it. */
export function isForSomebodyElse(): boolean {
  return new URLSearchParams(location.search).has('lang');
}

function turnPage(language: Language): void {
  if (language !== spoken().language) location.reload();
}

export function toggleUnits(): void {
  changePreferences({ units: settings.getState().units === 'metric' ? 'us' : 'metric' });
}

export function toggleTheme(): void {
  changePreferences({ theme: settings.getState().theme === 'day' ? 'night' : 'day' });
}
