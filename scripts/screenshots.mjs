/** Takes docs/screenshots again from the demo data, on a fresh shop of its own; with an argument only those whose name begins so. */
import { mkdtempSync, chmodSync, rmSync, mkdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { startServer } from './lib/app-server.mjs';
import { ensureBuild } from './lib/build.mjs';
import { chromiumArguments, chromiumPath, ensureChromium } from './lib/chromium.mjs';
import { freePort } from './lib/ports.mjs';
import { ensurePostgres, openCluster, removeCluster } from './lib/postgres.mjs';
import { root } from './lib/run.mjs';
import { endOn, say } from './lib/say.mjs';

const wide = { width: 1280, height: 800 };
const tablet = { width: 768, height: 1024 };

/** The whole of the sweet-spot map, and the arc held still. */
async function mapDrawn(page) {
  await page.getByText(/^here: /).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Pause the arc' }).click();
}

/** Name of the picture, where it is taken, and what is done before. */
const pictures = [
  { name: 'today-day', path: '/today' },
  { name: 'seams-day', path: '/seams' },
  { name: 'seam-sheet-day', path: '/seams/axle-plate-to-tube' },
  { name: 'seam-sheet-night', path: '/seams/trike-box-floor', theme: 'night' },
  { name: 'seam-sheet-us-tablet', path: '/seams/sink-flange-lap', size: tablet, units: 'us' },
  {
    name: 'seam-sheet-sums',
    path: '/seams/counter-corner',
    act: async (page) => {
      await page.getByRole('button', { name: /^Mean current/ }).click();
      await page.getByRole('button', { name: /^Wire feed/ }).click();
      await page.getByRole('button', { name: /^Arc length/ }).click();
    },
  },
  {
    name: 'seam-sheet-simulated',
    path: '/seams/trike-frame-node',
    act: async (page) => {
      await page.getByRole('heading', { name: 'Fast pulse' }).evaluate((node) => node.scrollIntoView());
    },
  },
  { name: 'wire-and-gas-day', path: '/seams/trike-frame-node/wire' },
  {
    name: 'set-up-tablet',
    path: '/seams/trike-box-floor/setup',
    size: tablet,
  },
  {
    name: 'store-day',
    path: '/seams/frame-corner-butt/store',
    act: (page) => page.getByRole('button', { name: 'Slot 3: Axle plate to tube' }).click(),
  },
  { name: 'bench-day', path: '/bench/axle-plate-to-tube', act: mapDrawn },
  {
    name: 'bench-map-night',
    path: '/bench/axle-plate-to-tube',
    theme: 'night',
    act: async (page) => {
      await mapDrawn(page);
      await page.getByRole('heading', { name: 'Sweet-spot map' }).evaluate((node) => node.scrollIntoView());
    },
  },
  {
    name: 'bench-beat-tablet',
    path: '/bench/trike-lid-seam',
    size: tablet,
    act: async (page) => {
      await mapDrawn(page);
      await page.getByText(/^Slow low, .*kW/).waitFor();
      await page.getByRole('heading', { name: 'Slow beat' }).evaluate((node) => node.scrollIntoView());
    },
  },
  { name: 'machine-dials-day', path: '/machines/hazel' },
  {
    name: 'machine-chart-night',
    path: '/machines/rowan/chart',
    theme: 'night',
    act: async (page) => {
      await page.getByRole('button', { name: 'Teach line 12' }).click();
      await page.locator('[aria-label^="Current against feed"] svg').waitFor();
      await page.getByRole('button', { name: 'Teach line 12' }).evaluate((node) => node.scrollIntoView());
    },
  },
  { name: 'compare-day', path: '/machines/compare?left=rowan&right=alder&seam=trike-lid-seam' },
  { name: 'stock-day', path: '/library/stock' },
  {
    name: 'seam-sheet-refused',
    path: '/seams/counter-corner',
    act: (page) => page.getByLabel('Gas', { exact: true }).selectOption('C1'),
  },
];

async function main() {
  await ensurePostgres();
  await ensureChromium();
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-pictures-'));
  chmodSync(folder, 0o755);
  const cluster = await openCluster({ folder, throwaway: true });
  cluster.ensureDatabase('fox_tempo');
  const port = await freePort();
  const server = await startServer({ databaseUrl: cluster.url('fox_tempo'), port });
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
  mkdirSync(join(root, 'docs', 'screenshots'), { recursive: true });
  try {
    const wanted = pictures.filter(({ name }) => name.startsWith(process.argv[2] ?? ''));
    for (const { name, path, theme = 'day', units = 'metric', size = wide, act } of wanted) {
      const page = await browser.newPage({ viewport: size, locale: 'en-GB' });
      await page.addInitScript(
        (state) => localStorage.setItem('fox-tempo/settings', JSON.stringify({ state, version: 0 })),
        {
          theme,
          units,
          personId: 'teo-varnholt',
          machineId: 'rowan',
        },
      );
      await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle' });
      await page.getByRole('heading', { level: 1 }).waitFor();
      if (/^\/seams\/[^/]+$/.test(path)) {
        // The chart comes as a chunk of its own, the simulation from a worker.
        await page.locator('[aria-label^="Fast pulse"] svg').waitFor();
        await page.getByText('Drops a pulse').waitFor();
      }
      await act?.(page);
      await page.evaluate(() => document.fonts.ready);
      await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`), animations: 'disabled' });
      await page.close();
      say(`${name}.png`);
    }
  } finally {
    await browser.close();
    await server.stop();
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
}

main().catch(endOn);
