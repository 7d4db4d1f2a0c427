import { expect, figure, numberIn, test } from './driver.ts';

test('a thick butt is asked for its edges, planned in passes, and what gave way has its way out in one touch', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/seams`);
  await page.getByRole('button', { name: 'Describe a seam' }).click();
  await page.getByLabel('On which part').selectOption({ label: 'Market cart frame' });
  await page.getByLabel('What it is called').fill('Draw bar splice');
  await page.getByLabel('Metal', { exact: true }).selectOption('Steel');
  await page.getByLabel('Joint', { exact: true }).selectOption('Butt');
  await page.getByLabel('First part, mm').fill('12');
  await page.getByRole('button', { name: 'Go to its sheet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Draw bar splice');

  // Square it does not fuse through; the refusal says so and the way out is one touch.
  const refusal = page.getByRole('alert');
  await expect(refusal).toContainText('A square butt of 12 mm without a gap does not fuse through');
  await refusal.getByRole('button', { name: /V/ }).click();
  await expect(refusal).toHaveCount(0);
  const passes = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Passes' }) });
  await expect(passes).toContainText('1 root');
  const amps = async (row: string) =>
    numberIn(await passes.getByRole('row', { name: row }).getByRole('cell').nth(1).textContent());
  // An open root holds over its gap, on backing it needs to be only a little colder.
  expect((await amps('1 root')) / (await amps('2 fill'))).toBeLessThan(0.7);
  await page.getByLabel('Backing').selectOption('Ceramic');
  await expect.poll(async () => (await amps('1 root')) / (await amps('2 fill'))).toBeGreaterThan(0.8);

  await page.goto(`${app.url}/seams/axle-plate-to-tube`);
  const before = numberIn(await figure(page, 'Travel speed').textContent());
  await page.getByRole('button', { name: /^A larger leg/ }).click();
  // More metal per millimetre: slower, and nothing has to give any more.
  await expect.poll(async () => numberIn(await figure(page, 'Travel speed').textContent())).toBeLessThan(before - 50);
  await expect(page.getByText('Current, travel speed and weld size do not all fit.')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^A larger leg/ })).toBeVisible();
});

test('addresses of earlier versions, printed on cards and kept as bookmarks, lead to the same view', async ({
  page,
  app,
}) => {
  for (const [old, now] of [
    ['/bench/trike-frame-rail', '/simulator/trike-frame-rail'],
    ['/score/trike-frame-rail/machines', '/sequence/trike-frame-rail/machines'],
    ['/bench-mode/trike-frame-rail?machine=rowan', '/at-machine/trike-frame-rail?machine=rowan'],
  ] as const) {
    await page.goto(`${app.url}${old}`);
    await expect(page).toHaveURL(`${app.url}${now}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
});
