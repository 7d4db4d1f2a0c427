/** Every view in every language: nothing of the English catalogue is left, and nothing is cut off, on a desk, a tablet and a phone. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { languages } from '@fox-tempo/core/base/messages';
import { expect, signIn, test } from './driver.ts';
import { isFull } from '../server/testing/full.ts';
import { walkViews, cutOffAt } from './walk.ts';

const read = (language: string) =>
  JSON.parse(readFileSync(new URL(`../words/${language}.json`, import.meta.url), 'utf8')) as Record<string, string>;
const english = read('en');

/** The text between the values of a sentence. */
const literals = (pattern: string) =>
  pattern
    .split(/\{[^{}]*(?:\{[^{}]*\}[^{}]*)*\}/)
    .map((part) => part.trim())
    .filter((part) => /\p{L}{3}/u.test(part));

/** English pieces that would give a sentence away: one that stands alone, or three words of a longer one. */
function traces(language: string): { readonly whole: Set<string>; readonly parts: readonly string[] } {
  const own = read(language);
  const said = Object.values(own).join('\n');
  const whole = new Set<string>();
  const parts = new Set<string>();
  for (const [key, pattern] of Object.entries(english)) {
    if (own[key] === pattern) continue;
    for (const part of literals(pattern)) {
      if (said.includes(part)) continue;
      if (part === pattern.trim()) whole.add(part);
      if (/\p{L}+\s+\p{L}+\s+\p{L}+/u.test(part)) parts.add(part);
    }
  }
  return { whole, parts: [...parts] };
}

/** Everything the page says, names for screen readers and its title too; what is marked as English on purpose is left out. */
function saidOn(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const out = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const node = walker.currentNode;
      if (!node.parentElement?.closest('script, style, [lang="en"]')) out.push(node.textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext'])
      for (const element of document.querySelectorAll(`[${name}]`)) out.push(element.getAttribute(name) ?? '');
    return out.map((text) => text.trim()).filter((text) => /\p{L}{3}/u.test(text));
  });
}

/** What stands on the machines' own plates: it is shown as it is there. */
async function platesOf(page: Page, url: string): Promise<ReadonlySet<string>> {
  const found = new Set<string>();
  const visit = (value: unknown) => {
    if (typeof value === 'string') found.add(value.trim());
    else if (typeof value === 'object' && value !== null) Object.values(value).forEach(visit);
  };
  const { items } = (await (await page.request.get(`${url}/api/machines`)).json()) as {
    items: readonly { id: string }[];
  };
  for (const { id } of items) visit(await (await page.request.get(`${url}/api/machines/${id}`)).json());
  return found;
}

for (const language of languages.filter((one) => one !== 'en')) {
  test(`every view in ${language}: no English sentence left, nothing cut off`, async ({ page, app }) => {
    test.skip(!isFull, 'npm run check:all: the walk in the longest words of all languages finds nearly all of it');
    test.setTimeout(900_000);
    const { whole, parts } = traces(language);
    await signIn(page, app, 'mirja-keskalo');
    await page.addInitScript(
      (chosen) =>
        localStorage.setItem('fox-tempo/settings', JSON.stringify({ state: { language: chosen }, version: 0 })),
      language,
    );
    const plates = await platesOf(page, app.url);
    const longPlates = [...plates].filter((plate) => plate.length > 8);
    const found = new Set<string>();
    await page.setViewportSize({ width: 1280, height: 800 });
    await walkViews(page, app.url, async ({ path }) => {
      await expect(page.locator('html')).toHaveAttribute('lang', language);
      for (const text of await saidOn(page)) {
        if (plates.has(text)) continue;
        // A chart line is quoted in the machine's own words, in a sentence too.
        const own = longPlates.reduce((rest, plate) => rest.replaceAll(plate, ''), text);
        const trace = whole.has(text) ? text : parts.find((part) => own.includes(part));
        if (trace !== undefined) found.add(`${path}: ${trace}`);
      }
      for (const cut of await cutOffAt(page, path)) found.add(cut);
    });
    expect([...found]).toEqual([]);
  });
}
