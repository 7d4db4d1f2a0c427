import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { wordsIn } from '@fox-tempo/words';
import { english } from '@fox-tempo/words/english';
import { speak } from '../../lib/words.ts';
import { answerFetch, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { Translations } from './translations.tsx';

const shipped = {
  english: { 'plan.caution.zinc-fume': 'Zinc fume', 'view.app.undo': 'Undo', 'view.app.retry': 'Try again' },
  own: { 'plan.caution.zinc-fume': 'Zinkrauch', 'view.app.undo': 'Zurück', 'view.app.retry': 'Nochmal' },
  hazards: { 'plan.caution.zinc-fume': 'Zinc fume' },
};
const review = (key: string, text: string) => ({ key, english: 'x', text, by: 'Mirja Keskalo', at: when });

async function open(role: 'owner' | 'welder', answers: Record<string, unknown> = {}) {
  signInAs(role);
  const answered = answerFetch({ 'GET /api/words/de': { reviews: [] }, ...answers });
  showRoutes(
    [
      {
        path: '/',
        Component: () => <Translations load={() => Promise.resolve(shipped)} />,
        HydrateFallback: () => null,
      },
    ],
    '/',
  );
  await screen.findByText('Zinkrauch');
  return answered;
}
const row = (text: string) => within(screen.getByText(text).closest('li')!);

beforeEach(async () => {
  resetSettings();
  speak(await wordsIn('de', 'metric'));
});
afterEach(() => {
  cleanup();
  speak(english);
});

describe('translations', () => {
  it('begin with the hazards that nobody confirmed, and are found by a word of either language', async () => {
    await open('owner');
    expect(screen.getAllByRole('listitem')[0]?.textContent).toContain('Zinkrauch');
    expect(screen.getByRole('status').textContent).toContain('1 Gefahrenhinweis ist nicht bestätigt');
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'again' } });
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([expect.stringContaining('Nochmal')]);
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'nowhere' } });
    expect(screen.queryAllByRole('listitem')).toEqual([]);
  });

  it('are confirmed with one press, and then say by whom and when', async () => {
    const { calls } = await open('owner', {
      'POST /api/words/de': () => ({ reviews: [review('plan.caution.zinc-fume', 'Zinkrauch')] }),
    });
    fireEvent.click(row('Zinkrauch').getByRole('button', { name: 'Bestätigen' }));
    await new Promise((resolve) => setTimeout(resolve));
    expect(calls.find(({ method }) => method === 'POST')?.body).toEqual({
      key: 'plan.caution.zinc-fume',
      text: 'Zinkrauch',
    });
  });

  it('keep a half-typed correction when it is refused', async () => {
    const { calls } = await open('owner');
    fireEvent.click(row('Zurück').getByRole('button', { name: 'Berichtigen' }));
    const field = screen.getByLabelText('Text in Deutsch');
    fireEvent.change(field, { target: { value: 'Rückgängig' } });
    fireEvent.click(screen.getByRole('button', { name: 'Berichtigung speichern' }));
    expect(await screen.findByText(/Nicht gespeichert/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text in Deutsch').value).toBe('Rückgängig');
    expect(calls.filter(({ method }) => method === 'POST')).toHaveLength(1);
  });

  it('are read by everybody and changed by an owner', async () => {
    await open('welder', { 'GET /api/words/de': { reviews: [review('view.app.undo', 'Rückgängig')] } });
    expect(screen.queryByRole('button', { name: 'Bestätigen' })).toBeNull();
    expect(screen.getByText(/berichtigt von Mirja Keskalo/)).toBeTruthy();
  });

  it('have nothing to check on an English page', () => {
    speak(english);
    signInAs('owner');
    answerFetch({});
    showRoutes([{ path: '/', Component: () => <Translations />, HydrateFallback: () => null }], '/');
    expect(screen.getByText(/Choose another language first/)).toBeTruthy();
  });
});
