/** The same work in other languages and units. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, signIn, test } from './driver.ts';

const words = (language: string) =>
  JSON.parse(readFileSync(new URL(`../words/${language}.json`, import.meta.url), 'utf8')) as Record<string, string>;

async function read(page: Page, language: string, units: 'metric' | 'us'): Promise<void> {
  await page.addInitScript(
    (state) => localStorage.setItem('fox-tempo/settings', JSON.stringify({ state, version: 0 })),
    { language, units },
  );
}

test.describe('nobody signed in', () => {
  test.use({ person: '' });

  test('German, by keyboard alone: the language before anybody is known, a figure changed, refused and saved', async ({
    page,
    app,
  }) => {
    await page.goto(`${app.url}/sign-in`);
    const tabTo = async (target: ReturnType<typeof page.getByRole>) => {
      for (let step = 0; step < 120; step++) {
        if ((await target.count()) === 1 && (await target.evaluate((node) => node === document.activeElement))) return;
        await page.keyboard.press('Tab');
      }
      throw new Error('not reached by Tab');
    };
    await tabTo(page.getByRole('button', { name: 'Deutsch' }));
    await page.keyboard.press('Enter');
    await expect(page.locator('html')).toHaveAttribute('lang', 'de');
    await expect(page).toHaveTitle(/Anmelden/);

    await signIn(page, app, 'ilse-brandokor');
    await page.goto(`${app.url}/seams/axle-plate-to-tube`);
    const feed = page.getByLabel('Drahtvorschub, m/min', { exact: true });
    await tabTo(feed);
    // A comma is what is typed here.
    await page.keyboard.press('Control+a');
    await page.keyboard.type('1.234,5');
    await expect(page.getByText('hat mehr als ein Komma oder einen Punkt')).toBeVisible();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('6,1');
    await expect(page.getByRole('button', { name: /^Drahtvorschub/ })).toContainText('6,1');
    await page.keyboard.press('Control+s');
    await expect(page.getByRole('button', { name: /^Revision \d+ speichern/ })).toBeDisabled();
    await expect(page.getByLabel('Drahtvorschub, m/min', { exact: true })).toHaveValue('6,1');
  });
});

test('Spanish on a tablet in US units: a seam, its setting and its set-up', async ({ page, app }) => {
  await read(page, 'es', 'us');
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto(`${app.url}/seams/trike-box-floor`);
  const feed = page.getByRole('button', { name: /^Avance de hilo/ });
  await expect(feed).toContainText('ipm');
  await expect(feed).not.toContainText('m/min');
  // 2.5 mm is no sixteenth: it is said as a decimal with a comma.
  await expect(page.getByLabel('Primera pieza, in')).toHaveValue('0,0984');
  // A hazard that nobody has read in Spanish has its English beside it.
  await expect(page.locator('[lang=en]', { hasText: 'Aluminium under argon' })).toBeVisible();
  await page.getByLabel('Primera pieza, in').fill('1/8');
  await expect(page.getByText('3,2 mm').first()).toBeVisible();
  await page.goto(`${app.url}/seams/trike-box-floor/setup`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Trike box');
});

test('a card in Polish for a program made in English: on screen and on paper', async ({ page, app }) => {
  const polish = words('pl');
  await signIn(page, app, 'teo-varnholt');
  const saved = await page.request.put(`${app.url}/api/session/preferences`, {
    data: { language: 'pl', units: 'metric', theme: null, hand: null },
  });
  expect(saved.status()).toBe(200);
  await signIn(page, app, 'ilse-brandokor');
  await page.goto(`${app.url}/seams/trike-frame-rail`);
  await page.getByLabel('For whom').first().selectOption({ label: 'Teo Varnholt: Polski, metric' });
  const link = page.getByRole('link', { name: 'Show it on a screen' }).first();
  const address = await link.getAttribute('href');
  expect(address).toContain('lang=pl');
  await page.goto(app.url + (address ?? ''));
  await expect(page.locator('html')).toHaveAttribute('lang', 'pl');
  await expect(page.getByText(polish['view.app.for-another-reader'] ?? 'missing', { exact: false })).toBeVisible();
  await expect(page.getByText('m/min').first()).toBeVisible();
  const paper = await page.request.get(`${app.url}/api/seams/trike-frame-rail/card.pdf`, {
    params: { machine: 'rowan', paper: 'A4', units: 'metric', lang: 'pl' },
  });
  expect(paper.headers()['content-type']).toContain('application/pdf');
});
