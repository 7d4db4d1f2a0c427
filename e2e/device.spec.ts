/** What a browser and its device can do to a draft: storage that is full, two tabs of one seam, a server of another version, a link to what was taken off. */
import { expect, signIn, test } from './driver.ts';

test('storage that is full is said at once, and what is typed still saves', async ({ page, app }) => {
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.goto(`${app.url}/seams/jack-post-upright`);
  await page.getByLabel('Seam length, mm').fill('210');
  await expect(page.getByRole('alert').filter({ hasText: 'Drafts cannot be kept on this device.' })).toContainText(
    'Its storage is full',
  );
  await page.getByRole('button', { name: /^Save revision/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'saved as' })).toBeVisible();
});

test('two tabs of one draft: each says so, neither writes over the other, one goes on', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/trike-frame-node`);
  const second = await page.context().newPage();
  await second.goto(`${app.url}/seams/trike-frame-node`);
  await page.getByLabel('Gap, mm').fill('0.4');
  const notice = second.getByRole('alert').filter({ hasText: 'Another tab has another draft of this seam.' });
  await expect(notice).toBeVisible();
  await second.getByLabel('Gap, mm').fill('0.9');
  await expect(second.getByRole('button', { name: /^Save revision/ })).toBeDisabled();
  await notice.getByRole('button', { name: 'Use the other tab’s' }).click();
  await expect(second.getByLabel('Gap, mm')).toHaveValue('0.4');
  // What was typed here is one step back.
  await second.getByRole('button', { name: 'Undo' }).click();
  await expect(second.getByLabel('Gap, mm')).toHaveValue('0.9');
  await second.close();
});

test('an answer of another version of the server is said, with what is safe', async ({ page, app }) => {
  await page.route('**/api/seams/**', async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, headers: { ...response.headers(), 'fox-tempo-contract': '0' } });
  });
  await page.goto(`${app.url}/seams/counter-corner`);
  const notice = page.getByRole('alert').filter({ hasText: 'The server has a different version from this page' });
  await expect(notice).toContainText('Drafts are kept');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  // An answer that is still on its way is nobody's any more.
  await page.unrouteAll({ behavior: 'ignoreErrors' });
});

test('a link to a seam that was taken off says so, and the way on', async ({ page, app, browser }) => {
  const lead = await (await browser.newContext()).newPage();
  await signIn(lead, app);
  const copy = (await (
    await lead.request.post(`${app.url}/api/seams/sink-flange-lap/copy`, {
      headers: { 'idempotency-key': crypto.randomUUID() },
      data: { name: 'Lap to be taken off', partId: 'kitchen-counter' },
    })
  ).json()) as { id: string; version: number; detail?: string };
  expect(copy.detail).toBeUndefined();
  await lead.request.delete(`${app.url}/api/seams/${copy.id}`, { headers: { 'if-match': `"${copy.version}"` } });
  await page.goto(`${app.url}/simulator/${copy.id}`);
  const notice = page.getByRole('alert').filter({ hasText: 'Removed from the list.' });
  await expect(notice).toContainText('It can be restored');
  await expect(page.getByRole('button', { name: /^Save revision/ })).toBeDisabled();
  await notice.getByRole('button', { name: 'Restore it' }).click();
  await expect(notice).toHaveCount(0);
  // One that never was is another matter.
  await page.goto(`${app.url}/simulator/no-such-seam`);
  await expect(page.getByText(/Drafts on this device are kept\./)).toBeVisible();
  await lead.context().close();
});

test('found by any word, by keyboard alone; words and keys one key away', async ({ page, app }) => {
  await page.goto(`${app.url}/today`);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await page.keyboard.press('Control+K');
  await page.getByPlaceholder(/Seam, part, machine/).fill('axle simulator');
  await expect(page.getByRole('option', { name: /Axle plate to tube: arc simulator/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/simulator\/axle-plate-to-tube$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys: Arc simulator' })).toContainText('moves the crosshair');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('F1');
  await page.getByLabel('Search the glossary').fill('heat');
  await expect(page.getByRole('dialog', { name: 'Glossary' })).toContainText('kJ/mm');
  await page.keyboard.press('Escape');
});
