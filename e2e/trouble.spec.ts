import { expect, signIn, test } from './driver.ts';

test('two people on one seam: both versions are shown, and either may stand', async ({ page, app, browser }) => {
  const other = await (await browser.newContext()).newPage();
  await signIn(other, app, 'teo-varnholt');
  for (const one of [page, other]) await one.goto(`${app.url}/seams/hitch-bracket-fillet`);
  await other.getByLabel('Gap, mm').fill('0.8');
  await other.getByRole('button', { name: /^Save revision/ }).click();
  await expect(other.getByRole('status').filter({ hasText: 'saved as' })).toBeVisible();

  await page.getByLabel('Required leg, mm').fill('6');
  await page.getByRole('button', { name: /^Save revision/ }).click();
  const conflict = page.getByRole('alertdialog', { name: 'Two versions of this seam' });
  await expect(conflict.getByRole('row', { name: /Gap/ })).toContainText('0.8 mm');
  await expect(conflict.getByRole('row', { name: /Leg/ })).toContainText('6.0 mm');
  // Each changed another line: what is proposed is both.
  await expect(conflict.getByRole('radio', { name: 'Gap: the stored one' })).toBeChecked();
  await expect(conflict.getByRole('radio', { name: 'Leg: yours' })).toBeChecked();
  await conflict.getByRole('button', { name: 'Save both together as the next revision' }).click();
  await expect(conflict).toHaveCount(0);
  await expect(page.getByLabel('Required leg, mm')).toHaveValue('6');
  await expect(page.getByLabel('Gap, mm')).toHaveValue('0.8');

  // The other one, now behind, takes what is stored.
  await other.getByLabel('Gap, mm').fill('1');
  await other.getByRole('button', { name: /^Save revision/ }).click();
  await other.getByRole('button', { name: 'Take the stored one' }).click();
  await expect(other.getByLabel('Required leg, mm')).toHaveValue('6');
  await expect(other.getByLabel('Gap, mm')).toHaveValue('0.8');
  await other.context().close();
});

test('an older revision can be brought back', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/sink-flange-lap`);
  await expect(page.getByLabel('Wire feed speed, m/min')).toHaveValue('4.4');
  await page.getByRole('button', { name: 'Bring back revision 1' }).click();
  await expect(page.getByLabel('Wire feed speed, m/min')).toHaveValue('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Wire feed speed, m/min')).toHaveValue('4.4');
});

test('a second start says where the first one is, and touches nothing', async ({ page, app }) => {
  const second = await app.secondStart();
  expect(second.code).toBe(1);
  expect(second.output).toContain(`already running at ${app.url}`);
  await page.goto(app.url);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
});

test('the database goes away while somebody works: the draft stays, the view says so, and saving works again later', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/seams/trike-frame-node`);
  await page.getByLabel('Gap, mm').fill('0.4');
  app.stopDatabase();
  await page.getByRole('button', { name: /^Save revision/ }).click();
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('The database cannot be reached');
  await expect(alert).toContainText('draft is kept');
  await expect(page.getByLabel('Gap, mm')).toHaveValue('0.4');

  // The start script finds it gone and brings it back; the page that stayed open saves.
  app.wakeStart();
  await expect
    .poll(async () => (await page.request.get(`${app.url}/api/ready`)).status(), { timeout: 20_000 })
    .toBe(200);
  await page.getByRole('button', { name: /^Save revision/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'saved as' })).toBeVisible();

  // Killed, not stopped: the next start has to recover, and nobody has to sign in again.
  await page.getByLabel('Gap, mm').fill('0.6');
  await app.stop('SIGKILL');
  await app.start();
  await page.goto(`${app.url}/seams/trike-frame-node`);
  await expect(page.getByLabel('Gap, mm')).toHaveValue('0.6');
  await page.getByRole('button', { name: /^Save revision/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'saved as' })).toBeVisible();
});

test('a server that is gone: the page says so and finds it again', async ({ page, app }) => {
  await page.goto(`${app.url}/today`);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await app.stop();
  await page.getByRole('link', { name: 'Seams' }).click();
  await expect(page.getByRole('heading', { name: 'The server cannot be reached' })).toBeVisible();
  await app.start();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Seams' })).toBeVisible();
});
