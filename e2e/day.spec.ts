/** The day's run: heat in a part, and the order of work. */
import { expect, expectAccessible, test } from './driver.ts';

test('heat in a part: the plate at any moment, waits under a ceiling, the order that waits least, one reading', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/seams/trike-box-floor/heat`);
  const table = page.getByRole('table').first();
  await expect(table.getByRole('row')).toHaveCount(5);
  await expect(page.getByText(/^Waits least: /)).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'Take this order' }).click();
  await expect(page.getByRole('button', { name: 'Back to the list’s order' })).toBeVisible();
  await page.getByLabel('No start above, °C').fill('30');
  await expect(page.getByText(/As it stands: .* of it waiting/)).toBeVisible();
  // A seam off the plate is named with the plate's own size.
  await page.getByLabel('1: y, mm', { exact: true }).fill('900');
  await expect(page.getByText(/Seam 1 lies off the plate/)).toBeVisible();
  await page.getByLabel('1: y, mm', { exact: true }).fill('40');
  await page.getByLabel('It read, °C').fill('90');
  await expect(
    page.getByText(/All warmth is counted .* times as predicted|says nothing of the rest|contradicts the field/),
  ).toBeVisible();
  await expectAccessible(page, 'day');
  await page.reload();
  await expect(page.getByLabel('It read, °C')).toHaveValue('90');
  // A box of joined plates: its eight edges, the order that waits least, and one seam's levels carried into the score.
  await page.getByRole('button', { name: 'Without it' }).click();
  await page.getByLabel('Part', { exact: true }).selectOption({ label: 'box of joined plates' });
  await page.getByLabel('No start above, °C').fill('100');
  await expect(table.getByRole('row')).toHaveCount(9);
  await expect(page.getByText(/^Waits least: (?:\d, ){7}\d;/)).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'Levels of seam 8 into the score' }).click();
  await expect(page.getByText(/In the score’s draft for place 8: a tap at/)).toBeVisible();
  await page.getByRole('link', { name: 'Open the score' }).click();
  await expect(page.getByText(/edited; draft kept here/)).toBeVisible();
});

test('a day is planned, disturbed by a machine that is down, moved by hand, and planned again', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/run-plan`);
  const rows = page.getByRole('table').getByRole('row');
  await expect(rows.nth(1)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('No machine can say')).toBeVisible();
  await page.getByRole('button', { name: 'Alder is down' }).click();
  await expect(page.getByRole('button', { name: 'Alder is back' })).toBeVisible();
  await expect(page.getByText(/Trike box, floor seam/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Alder is back' }).click();
  await page.getByRole('button', { name: 'Weld Hitch bracket, lower fillet first on Rowan' }).click();
  await expect(page.getByRole('button', { name: 'Let go', exact: true })).toBeVisible({ timeout: 30_000 });
  const rowan = rows.filter({ has: page.getByRole('rowheader', { name: 'Rowan' }) }).first();
  await expect(rowan).toContainText('Hitch bracket');
  await expectAccessible(page, 'day');
});
