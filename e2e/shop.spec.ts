import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { Application, expect, expectAccessible, signIn, test } from './driver.ts';

test('two browsers, two people, four counters at once: stock and order agree, nothing is lost, both see it', async ({
  page,
  app,
  browser,
}) => {
  // Four pages plan the day anew at each of twenty-four counts.
  test.setTimeout(180_000);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, app, 'teo-varnholt');
  const pages: Page[] = [page, await page.context().newPage(), other, await other.context().newPage()];
  const stock = async () =>
    (await (await page.request.get(`${app.url}/api/stock`)).json()) as {
      cylinders: { id: string; pressureBar: number | null; volumeL: number }[];
      spools: { id: string; massKg: number }[];
    };
  // A part and an order of its own: none of its welds is logged, so that its parts are counted.
  const add = async (address: string, data: object) =>
    (await (
      await page.request.post(`${app.url}/api${address}`, { headers: { 'idempotency-key': crypto.randomUUID() }, data })
    ).json()) as { id: string };
  const { id: partId } = await add('/parts', { name: 'Twelve gates', about: '' });
  for (const seam of ['axle-plate-to-tube', 'hitch-bracket-fillet'])
    await add(`/seams/${seam}/copy`, { partId, name: `${seam} of a gate` });
  const { id: orderId } = await add('/orders', { number: 'TG 12', partId, quantity: 12, dueOn: '2030-01-10' });
  const evidence = async () =>
    (
      (await (await page.request.get(`${app.url}/api/observations?kind=parts-done&limit=200`)).json()) as {
        items: { id: string; body: { orderId: string; drawn: { amount: number; unit: string }[] } }[];
      }
    ).items.filter(({ body }) => body.orderId === orderId);
  const earlier = new Set((await evidence()).map(({ id }) => id));
  const before = await stock();
  await Promise.all(pages.map((one) => one.goto(`${app.url}/today`)));
  const counter = (one: Page) => one.getByRole('button', { name: 'One more Twelve gates done' });
  const taps = 3;
  await Promise.all(
    pages.map(async (one) => {
      for (let tap = 0; tap < taps; tap++) {
        await counter(one).click();
        await expect(counter(one)).toBeEnabled({ timeout: 20_000 });
      }
      await expect(one.getByRole('alert')).toHaveCount(0);
    }),
  );
  const done = taps * pages.length;
  await Promise.all([page, other].map((one) => one.reload()));
  for (const one of [page, other]) await expect(one.getByRole('img', { name: `${done} of 12 done` })).toBeVisible();

  // Each part takes the same; what left is a whole multiple of it, to the milligram and the millilitre.
  const after = await stock();
  const own = (await evidence()).filter(({ id }) => !earlier.has(id));
  expect(own).toHaveLength(taps * pages.length);
  const drawn = (unit: string) =>
    own
      .flatMap(({ body }) => body.drawn)
      .filter((one) => one.unit === unit)
      .reduce((sum, { amount }) => sum + amount, 0);
  const wire = (list: typeof before) => list.spools.reduce((sum, { massKg }) => sum + massKg, 0);
  const gas = (list: typeof before) =>
    list.cylinders.reduce((sum, { pressureBar, volumeL }) => sum + (pressureBar ?? 0) * volumeL, 0);
  expect(Math.round(1e6 * (wire(before) - wire(after)))).toBe(Math.round(1e6 * drawn('kg')));
  expect(Math.round(1e3 * (gas(before) - gas(after)))).toBe(Math.round(1e3 * drawn('L')));

  // And back again, part by part: the opposite movements.
  for (let back = 0; back < taps * pages.length; back++) {
    await page.getByRole('button', { name: 'Take one Twelve gates back' }).click();
    await expect(page.getByRole('img', { name: `${done - back - 1} of 12 done` })).toBeVisible();
  }
  expect(await stock().then((list) => [wire(list), gas(list)])).toEqual([wire(before), gas(before)]);
  await other.context().close();
});

test('the office adds a person, a part and an order; a seam is described, copied, moved, taken off and brought back', async ({
  page,
  app,
  browser,
}) => {
  await page.goto(`${app.url}/shop`);
  await signIn(page, app, 'corvin-dellamaar');
  await page.goto(`${app.url}/shop`);
  await expect(page.getByRole('row', { name: /Ilse Brandokor lead hand/ })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Sunniva Tarrel');
  await page.getByLabel('PIN, four to eight digits').fill('6161');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('row', { name: /Sunniva Tarrel welder set/ })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Parts' }).click();
  await expect(page.getByRole('heading', { name: 'A new part' })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Serving hatch');
  await page.getByRole('button', { name: 'Add the part' }).click();
  await expect(page.getByRole('row', { name: /Serving hatch/ })).toBeVisible();
  await page.getByRole('link', { name: 'Orders' }).click();
  await expect(page.getByRole('heading', { name: 'A new order' })).toBeVisible();
  await page.getByLabel('Order number').fill('MC 2099');
  await page.getByLabel('Part', { exact: true }).selectOption({ label: 'Serving hatch' });
  await page.getByLabel('How many').fill('0');
  await expect(page.getByText('How many must be at least 1; got 0.')).toBeVisible();
  await page.getByLabel('How many').fill('8');
  await page.getByRole('button', { name: 'Add the order' }).click();
  await expect(page.getByRole('row', { name: /MC 2099 Serving hatch 0 of 8/ })).toBeVisible();

  const lead = await (await browser.newContext()).newPage();
  await signIn(lead, app);
  await lead.goto(`${app.url}/seams`);
  await lead.getByRole('searchbox', { name: 'Search the seams' }).fill('lap stainless');
  await expect(lead.getByRole('link', { name: /Sink flange lap/ })).toBeVisible();
  await expect(lead.getByRole('link', { name: /Axle plate/ })).toHaveCount(0);
  await lead.getByRole('button', { name: /remove Sink flange lap/ }).click();
  await lead.getByLabel('Name of a copy').fill('Hatch flange lap');
  await lead.getByLabel('On which part').selectOption({ label: 'Serving hatch' });
  await lead.getByRole('button', { name: 'Copy', exact: true }).click();
  // The copy is the same weld: the feed that somebody chose by hand comes with it.
  await expect(lead.getByLabel('Wire feed speed, m/min')).toHaveValue('4.4');
  await expect(lead.getByText('revision 1', { exact: true })).toBeVisible();

  await lead.goto(`${app.url}/seams`);
  await lead.getByRole('button', { name: /remove Hatch flange lap/ }).click();
  await lead.getByRole('button', { name: 'Remove from the list' }).click();
  await expect(lead.getByRole('alert')).toContainText('Hatch flange lap was removed from the list');
  await expect(lead.getByRole('link', { name: /Hatch flange lap/ })).toHaveCount(0);
  await lead.getByRole('region', { name: 'Notices' }).getByRole('button', { name: 'Undo' }).click();
  await expect(lead.getByRole('link', { name: /Hatch flange lap/ })).toBeVisible();
  await lead.context().close();
});

test('the shop as a file goes out and comes in, with a preview first', async ({ page, app }) => {
  await page.goto(`${app.url}/shop/files`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the shop as a file' }).click(),
  ]);
  const path = await download.path();
  const file = JSON.parse(readFileSync(path, 'utf8')) as { seams: { spec: { name: string } }[] };
  expect(file.seams.length).toBeGreaterThan(8);
  const [first] = file.seams;
  first!.spec.name = 'Brought in';
  await page.getByLabel('File to import').setInputFiles({
    name: 'changed.tempo.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await expect(page.getByRole('row', { name: /seam Brought in added/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /machine Rowan there already/ })).toBeVisible();
  await page.getByRole('button', { name: 'Import 1' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Imported: 1' })).toBeVisible();
  await page
    .getByLabel('File to import')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"other"}') });
  await expect(page.getByRole('alert')).toContainText('fox-tempo/shop');
});

test('a program file comes on a sheet as a draft, and what is none is refused', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/canopy-post-edge`);
  const file = readFileSync(new URL('../docs/examples/frame-corner-dip.tempo.json', import.meta.url));
  const bring = (name: string, buffer: Buffer) =>
    page.getByLabel('Program file').setInputFiles({ name, mimeType: 'application/json', buffer });
  await bring('x.json', Buffer.from('{"format":"fox-tempo/program","version":9}'));
  await expect(page.getByRole('alert').filter({ hasText: 'Not loaded' })).toContainText('reads up to 2');
  await bring('frame-corner-dip.tempo.json', file);
  await expect(page.getByText('frame-corner-dip.tempo.json is on the sheet')).toBeVisible();
  await expect(page.getByLabel('Transfer mode', { exact: true })).toHaveValue('dip');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Transfer mode', { exact: true })).not.toHaveValue('dip');
});

test('backup, wipe, restore, verify: equal; without its password file a start is refused and the data are whole', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const own = new Application();
  try {
    await own.start();
    await signIn(page, own, 'mirja-keskalo');
    await page.goto(`${own.url}/today`);
    await page.getByRole('button', { name: 'One more Canopy rail done' }).click();
    await expect(page.getByRole('img', { name: '1 of 24 done' })).toBeVisible();
    await page.goto(`${own.url}/shop/backup`);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Back everything up' }).click(),
    ]);
    const file = join(own.folder, 'taken.foxbackup');
    await download.saveAs(file);
    const whole = await own.shopFile('verify', file);
    expect([whole.code, whole.output]).toEqual([0, expect.stringContaining('equals the shop as it stands now')]);
    expect((await own.shopFile('restore', file)).output).toContain('stop it first');

    await own.stop();
    own.wipe();
    const restored = await own.shopFile('restore', file);
    expect([restored.code, restored.output]).toEqual([0, expect.stringContaining('every table equals the backup')]);
    expect((await own.shopFile('verify', file)).output).toContain('equals the shop as it stands now');
    await own.start();
    await signIn(page, own, 'mirja-keskalo');
    await page.goto(`${own.url}/today`);
    await expect(page.getByRole('img', { name: '1 of 24 done' })).toBeVisible();

    await own.stop();
    rmSync(join(own.folder, 'pg-password'));
    const refused = await own.secondStart();
    expect([refused.code, refused.output]).toEqual([1, expect.stringContaining('Nothing was touched')]);
    expect(refused.output).not.toMatch(/\bat .*\.mjs/);
    await own.start('--mend');
    await page.goto(`${own.url}/today`);
    await expect(page.getByRole('img', { name: '1 of 24 done' })).toBeVisible();
  } finally {
    await own.stop();
    own.remove();
  }
});

test('a shop of one’s own begins with a one-time code and nothing made up', async ({ page }) => {
  test.setTimeout(120_000);
  const own = new Application();
  try {
    const output = await own.start('--empty');
    const code = /one-time code {2}([A-Z0-9-]+)/.exec(output)?.[1] ?? '';
    await page.context().clearCookies();
    await page.goto(own.url);
    await expect(page.getByRole('heading', { name: 'This shop has no owner yet' })).toBeVisible();
    await page.getByLabel('One-time code').fill(code);
    await page.getByLabel('Your name').fill('Orla Vennick');
    await page.getByLabel('PIN, four to eight digits').fill('3141');
    await page.getByRole('button', { name: 'Become the owner' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    await expect(page.getByText('No order is open.')).toBeVisible();
    await page.goto(`${own.url}/seams`);
    await page.getByRole('button', { name: 'Describe a seam' }).click();
    await expect(page.getByText(/A seam belongs to a part/)).toBeVisible();
  } finally {
    await own.stop();
    own.remove();
  }
});
