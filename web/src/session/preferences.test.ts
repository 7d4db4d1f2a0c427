import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { wordsIn } from '@fox-tempo/words';
import { resetSettings } from '../testing/show.tsx';
import { isForSomebodyElse, adoptPreferences, toggleTheme, toggleUnits } from './preferences.ts';
import { settings } from './settings.ts';
import { speak, spoken, t } from '../lib/words.ts';

const english = spoken();
beforeEach(() => resetSettings());
afterEach(() => {
  speak(english);
  history.replaceState(null, '', '/');
});

describe('how somebody reads', () => {
  it('comes with the person who signs in, and asks for another page only where the language differs', () => {
    expect(adoptPreferences(undefined)).toBe(false);
    expect(adoptPreferences({ language: 'en', units: 'us', theme: 'night', hand: 'left' })).toBe(false);
    expect(settings.getState()).toMatchObject({ units: 'us', theme: 'night', hand: 'left' });
    expect(adoptPreferences({ language: 'pl', units: null, theme: null, hand: null })).toBe(true);
    expect(settings.getState()).toMatchObject({ language: 'pl', units: 'us' });
  });

  it('keeps the page of another reader as it is', () => {
    history.replaceState(null, '', '/?lang=de');
    expect(isForSomebodyElse()).toBe(true);
    expect(adoptPreferences({ language: 'es', units: null, theme: null, hand: null })).toBe(false);
  });

  it('falls back where the language has left the shop', () => {
    expect(adoptPreferences({ language: 'fi', units: null, theme: null, hand: null })).toBe(false);
    expect(settings.getState().language).toBe('en');
  });

  it('is switched by one key each', () => {
    toggleUnits();
    toggleTheme();
    expect(settings.getState()).toMatchObject({ units: 'us', theme: 'night' });
    toggleUnits();
    expect(settings.getState().units).toBe('metric');
  });

  it('is said in the language of the page, which tells screen readers so', async () => {
    speak(await wordsIn('de', 'metric'));
    expect(document.documentElement.lang).toBe('de');
    expect(t('view.app.today')).toBe('Heute');
  });
});
