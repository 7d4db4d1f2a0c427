/** How far a setting may be moved: a window that looks right and fails at a corner, cut, written, and read by the welder; a reference that stands on trials. */
import { expect, expectAccessible, signIn, test } from './driver.ts';

test('a window of ten percent and a millimetre fails at a corner, is cut, written with a reason, and stands on the card', async ({
  page,
  app,
  browser,
}) => {
  test.setTimeout(120_000);
  await page.goto(`${app.url}/seams/axle-plate-to-tube/window`);
  await page.getByRole('button', { name: 'Test every corner' }).click();
  await expect(page.getByText('It fails')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText(/trim −1\.5 mm: \d+ short circuits per second/).first()).toBeVisible();
  await expectAccessible(page, 'day');
  await page.getByLabel('Why').fill('three trials passed in it');
  await page.getByRole('button', { name: 'Write the largest good window' }).click();
  await expect(page.getByText(/Ilse Brandokor.*three trials passed in it/)).toBeVisible({ timeout: 40_000 });
  // On a machine that is set for this weld already the line lies among the folded ones.
  const moved = page.getByText(/^may be moved from/).first();
  if (!(await moved.isVisible())) await page.getByText(/already set:/).click();
  await expect(moved).toBeVisible();

  const welder = await (await browser.newContext()).newPage();
  await signIn(welder, app, 'teo-varnholt');
  await welder.goto(`${app.url}/seams/axle-plate-to-tube`);
  const hers = welder.getByText(/may be moved from/).first();
  await expect(hers).toBeAttached();
  if (!(await hers.isVisible())) await welder.getByText(/already set:/).click();
  await expect(hers).toBeVisible();
  await welder.goto(`${app.url}/seams/axle-plate-to-tube/window`);
  await expect(welder.getByText('A lead hand writes windows.')).toBeVisible();
});

test('a reference stands on passed trials; without one it is not issued', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/jack-post-upright`);
  await page.getByRole('button', { name: 'Issue or lock' }).click();
  await page.getByLabel('Why').fill('because I say so');
  await expect(page.getByText('No passed test weld of this revision')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Issue revision/ })).toBeDisabled();
  await page.goto(`${app.url}/seams/axle-plate-to-tube`);
  await page.getByRole('button', { name: 'Issue or lock' }).click();
  await page.getByLabel('On which machine').selectOption({ label: 'Rowan' });
  await page.getByLabel('Why').fill('three passed in a row');
  await page.getByRole('button', { name: /^Issue revision/ }).click();
  await expect(page.getByText(/Revision \d+ on Rowan/)).toBeVisible();
});
