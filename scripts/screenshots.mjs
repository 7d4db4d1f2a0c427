/** Takes docs/screenshots again from the demo data, on a fresh shop of its own; with an argument only those whose name begins so. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib/run.mjs';
import { endOn, say } from './lib/say.mjs';
import { withThrowawayApp } from './lib/throwaway-app.mjs';

const wide = { width: 1280, height: 800 };
const tablet = { width: 768, height: 1024 };

/** The whole of the sweet-spot map, and the arc held still. */
async function mapDrawn(page) {
  await page.getByText(/^here: /).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Pause the arc' }).click();
}

/** Name of the picture, where it is taken, and what is done before. */
const pictures = [
  {
    name: 'today-day',
    path: '/today',
    act: (page) => page.getByText('Planning …').first().waitFor({ state: 'hidden', timeout: 60_000 }),
  },
  { name: 'seams-day', path: '/seams' },
  { name: 'seam-sheet-day', path: '/seams/axle-plate-to-tube' },
  { name: 'seam-sheet-es-us-tablet', path: '/seams/sink-flange-lap', size: tablet, units: 'us', language: 'es' },
  { name: 'wire-and-gas-day', path: '/seams/trike-frame-node/wire' },
  {
    name: 'set-up-tablet',
    path: '/seams/trike-box-floor/setup',
    size: tablet,
  },
  { name: 'simulator-day', path: '/simulator/axle-plate-to-tube', act: mapDrawn },
  { name: 'sequence-day', path: '/sequence/trike-frame-rail' },
  {
    name: 'trial-record-tablet',
    path: '/seams/hitch-bracket-fillet/trial',
    size: { width: 768, height: 1500 },
    act: async (page) => {
      await page.getByRole('button', { name: 'Weld on the machine simulator' }).click();
      await page.getByText(/^Welded in/).waitFor();
    },
  },
  {
    name: 'trial-judged-day',
    path: '/trials/00000000-0000-4000-8000-000000000018',
    act: (page) => page.getByText('Likely causes').waitFor({ timeout: 60_000 }),
  },
  { name: 'trials-day', path: '/trials' },
  {
    name: 'window-day',
    path: '/seams/axle-plate-to-tube/window',
    person: 'ilse-brandokor',
    act: async (page) => {
      await page.getByRole('button', { name: 'Test every corner' }).click();
      await page.getByText('It fails').waitFor({ timeout: 60_000 });
    },
  },
  { name: 'procedure-day', path: '/seams/axle-plate-to-tube/procedure' },
  { name: 'shift-day', path: '/shift' },
  { name: 'at-machine-night', path: '/at-machine/axle-plate-to-tube?machine=rowan', theme: 'night' },
  { name: 'costs-day', path: '/costs', person: 'corvin-dellamaar' },
  {
    name: 'heat-day',
    path: '/seams/trike-box-floor/heat',
    act: async (page) => {
      await page.getByLabel('Part', { exact: true }).selectOption('box');
      await page.getByText(/^Least waiting: (?:\d, ){7}/).waitFor({ timeout: 60_000 });
      await page.getByRole('slider', { name: 'Moment' }).fill('108');
      // A slider that was just moved wears a ring.
      await page.getByRole('slider', { name: 'Moment' }).blur();
    },
  },
  {
    name: 'run-plan-day',
    path: '/run-plan',
    act: (page) => page.getByRole('heading', { name: 'Order of work' }).waitFor({ timeout: 60_000 }),
  },
  { name: 'machine-dials-day', path: '/machines/hazel' },
];

async function main() {
  mkdirSync(join(root, 'docs', 'screenshots'), { recursive: true });
  await withThrowawayApp(async ({ browser, url }) => {
    const wanted = pictures.filter(({ name }) => name.startsWith(process.argv[2] ?? ''));
    for (const picture of wanted) {
      const { name, path, theme = 'day', units = 'metric', language = 'en', size = wide, act } = picture;
      const { person = 'teo-varnholt' } = picture;
      const page = await browser.newPage({ viewport: size, locale: 'en-GB' });
      await page.request.post(`${url}/api/session/demo`, { data: { personId: person } });
      await page.addInitScript(
        (state) => localStorage.setItem('fox-tempo/settings', JSON.stringify({ state, version: 0 })),
        {
          theme,
          units,
          language,
          personId: person,
          machineId: 'rowan',
        },
      );
      await page.goto(`${url}${path}`, { waitUntil: 'networkidle' });
      await page.getByRole('heading', { level: 1 }).waitFor();
      if (language !== 'en') await page.waitForTimeout(4000);
      else if (/^\/seams\/[^/]+$/.test(path)) {
        // The chart comes as a chunk of its own, the simulation from a worker.
        await page.locator('[aria-label^="Pulse"] svg').waitFor();
        await page.getByText('Drops per pulse').waitFor();
      }
      await act?.(page);
      await page.evaluate(() => document.fonts.ready);
      await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`), animations: 'disabled' });
      await page.close();
      say(`${name}.png`);
    }
  });
}

main().catch(endOn);
