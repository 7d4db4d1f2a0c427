/** Weld, see, judge, and know the next move. */
import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './driver.ts';

test.use({ person: 'teo-varnholt' });

const tap = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** Saves; a figure that does not fit is let stand first. */
async function record(page: Page): Promise<void> {
  const stands = page.getByRole('button', { name: 'Measured again: keep it' });
  if (await stands.isVisible()) await stands.click();
  await tap(page, 'Record this test weld');
  await expect(page).toHaveURL(/\/trials\/[0-9a-f-]{36}$/);
}

async function chooseMachine(page: Page, name: string): Promise<void> {
  const choice = page.getByRole('main').getByLabel('On which machine');
  await choice.selectOption({ label: name });
  await expect(choice.locator('option:checked')).toHaveText(name);
}

/** What stands first among the causes. */
async function firstCauses(page: Page): Promise<string[]> {
  const list = page
    .getByRole('region', { name: 'Likely causes' })
    .or(page.locator('section', { hasText: 'Likely causes' }))
    .first();
  await expect(list.locator('ol > li').first()).toBeVisible({ timeout: 30_000 });
  return (await list.locator('ol > li').allInnerTexts()).slice(0, 3);
}

test('six taps record a good weld; the verdict stands before it is saved', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/axle-plate-to-tube/trial`);
  const verdict = page.locator('section', { hasText: 'Verdict' }).first();
  await expect(verdict).toContainText('open');
  for (const side of ['Front', 'Back', 'Start', 'End']) await tap(page, `${side}, looked at: clean`);
  await tap(page, 'fits');
  await expect(verdict).toContainText('passed by eye');
  await tap(page, 'Record this test weld');
  await expect(page).toHaveURL(/\/trials\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('banner').or(page.locator('header'))).toContainText('passed by eye');
  await expectAccessible(page, 'day');
});

for (const { machine, seam, truth } of [
  {
    machine: 'Rowan',
    seam: 'hitch-bracket-fillet',
    truth: /bad return .* clamp connection|bad weld cable or gun connection/,
  },
  { machine: 'Hazel', seam: 'sink-flange-lap', truth: /another wire size loaded/ },
  { machine: 'Alder', seam: 'trike-box-floor', truth: /too little gas/ },
]) {
  test(`a fault hidden in the stand-in of ${machine} is found, mended, and the weld passes`, async ({ page, app }) => {
    test.setTimeout(120_000);
    await page.goto(`${app.url}/seams/${seam}/trial`);
    await chooseMachine(page, machine);
    await tap(page, 'Weld on the machine simulator');
    await expect(page.getByText(/^Welded in/)).toBeVisible();
    await record(page);
    expect((await firstCauses(page)).join('\n')).toMatch(truth);

    // The first move; what it puts right stands ready at the stand-in.
    await page.getByRole('button', { name: 'Done: weld again' }).first().click();
    await expect(page.getByText('After the move')).toBeVisible();
    await tap(page, 'Weld on the machine simulator');
    await expect(page.getByText('had been wrong')).toBeVisible();
    await expect(page.locator('section', { hasText: 'Verdict' }).first()).toContainText('passed');
    await record(page);
    await expect(page.getByRole('link', { name: 'after this test weld' })).toBeVisible();
  });
}

test('a leg that does not fit the metal fed is asked back, and may stand', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/hitch-bracket-fillet/trial`);
  await page.getByLabel('Seconds, s').fill('25');
  await page.getByLabel('Leg, first plate, mm').fill('9');
  await page.getByLabel('Leg, second plate, mm').fill('9');
  await expect(page.getByText(/does not fit the/)).toBeVisible();
  await tap(page, 'Measured again: keep it');
  await expect(page.getByRole('button', { name: 'Record this test weld' })).toBeEnabled();
  // A figure no bead has is refused at the field.
  await page.getByLabel('Leg, first plate, mm').fill('60');
  await expect(page.getByText(/must lie between 0.3 and 40/)).toBeVisible();
  // And nothing is lost by a reload.
  await page.reload();
  await expect(page.getByLabel('Leg, second plate, mm')).toHaveValue('9');
  await expect(page.getByLabel('Seconds, s')).toHaveValue('25');
});

test('recorded while the server is away, a trial waits and arrives once', async ({ page, app, context }) => {
  await page.goto(`${app.url}/seams/counter-corner/trial`);
  for (const side of ['Front', 'Back', 'Start', 'End']) await tap(page, `${side}, looked at: clean`);
  await page.getByLabel('Note').fill('without a net');
  await context.setOffline(true);
  await tap(page, 'Record this test weld');
  await expect(page.getByText('1 record waits to be sent')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('1 record waits to be sent')).toBeHidden({ timeout: 30_000 });
  const { items } = (await (await page.request.get(`${app.url}/api/trials?seam=counter-corner`)).json()) as {
    items: { id: string }[];
  };
  const notes = await Promise.all(
    items.map(
      async ({ id }) =>
        ((await (await page.request.get(`${app.url}/api/trials/${id}`)).json()) as { body: { note: string } }).body
          .note,
    ),
  );
  expect(notes.filter((note) => note === 'without a net')).toHaveLength(1);
});

test('the next plan of a slow hand asks for less wire, and says why', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/axle-plate-to-tube`);
  const feed = page.getByRole('button', { name: /^Wire feed speed/ });
  const before = Number.parseFloat(((await feed.textContent()) ?? '').replace(/^\D+/, ''));
  const welds = page.locator('section', { hasText: 'From the shop’s own welds' }).first();
  await welds.getByLabel('Made for the travel speed of').selectOption({ label: 'Odile Trennaby' });
  await expect(welds).toContainText(/travels at 0\.\d+ of the plan \(\d+ timed welds here, weight \d+ %\)/);
  await tap(page, 'Plan for this welder');
  await expect(welds).toContainText(/Odile Trennaby travels at .* of wire instead of/);
  const after = Number.parseFloat(((await feed.textContent()) ?? '').replace(/^\D+/, ''));
  expect(after).toBeLessThan(before);
});

test('a new seam starts from the nearest passed trial, and says so', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/frame-corner-butt`);
  const welds = page.locator('section', { hasText: 'From the shop’s own welds' }).first();
  await expect(welds).toContainText('Passed on seams like it');
  await welds.getByRole('button', { name: 'Start from it' }).first().click();
  await expect(welds.getByRole('button', { name: 'Started from it' })).toBeVisible();
});

test('the list is filtered, a filter is kept, trials are held side by side', async ({ page, app }) => {
  await page.goto(`${app.url}/trials`);
  await page.getByLabel('Verdict').selectOption('fail');
  await expect(page).toHaveURL(/verdict=fail/);
  await expect(page.getByRole('table').getByText('passed by eye')).toHaveCount(0);
  await page.getByLabel('Keep this filter as').fill('fails');
  await tap(page, 'Keep');
  await tap(page, 'All test welds');
  await expect(page).toHaveURL(/\/trials$/);
  await tap(page, 'fails');
  await expect(page).toHaveURL(/verdict=fail/);
  await page.getByRole('checkbox').nth(0).check();
  await page.getByRole('checkbox').nth(1).check();
  await tap(page, 'Compare (2)');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Test welds side by side');
  await expect(page.getByText('Settings that differ')).toBeVisible();
  await expectAccessible(page, 'day');
});

test('a sweep is walked live and gives the band', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/axle-plate-to-tube/trial-plan`);
  await expect(page.getByText('Sweep of the arc length').first()).toBeVisible();
  await tap(page, 'Arc on');
  await expect(page.getByText(/^Step 1 of/)).toBeVisible();
  await tap(page, 'Stop');
  await page.getByLabel('Step of the first crackle').fill('4');
  await page.getByLabel('Step that was too long').fill('11');
  await expect(page.getByText(/^Good from/)).toBeVisible();
  await expectAccessible(page, 'day');
});
