import { expect, expectAccessible, signIn, test } from './driver.ts';

test.describe('nobody signed in', () => {
  test.use({ person: '' });

  test('the sign-in page shows who can try what, takes a PIN by touch or keys, and leads back', async ({
    page,
    app,
  }) => {
    await page.goto(`${app.url}/seams/counter-corner`);
    await expect(page.getByRole('heading', { level: 1, name: 'Marrowby Cartworks' })).toBeVisible();
    for (const name of ['Corvin Dellamaar', 'Ilse Brandokor', 'Mirja Keskalo', 'Teo Varnholt'])
      await expect(page.getByRole('button', { name: `Look around as ${name}` })).toBeVisible();
    await expectAccessible(page);

    await page.getByRole('button', { name: /^Teo Varnholt/ }).click();
    for (const digit of ['9', '9', '9', '9']) await page.getByRole('button', { name: digit, exact: true }).click();
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('Wrong PIN');
    await page.getByLabel('PIN of Teo Varnholt').fill('1404');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/seams\/counter-corner$/);
    await expect(page.getByRole('link', { name: /^Teo Varnholt, welder/ })).toBeVisible();
  });

  test('a visitor is in as anybody with one touch, on the demo shop', async ({ page, app }) => {
    await page.goto(app.url);
    await page.getByRole('button', { name: 'Look around as Corvin Dellamaar' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Corvin Dellamaar, office/ })).toBeVisible();
  });
});

test.describe('a welder', () => {
  test.use({ person: 'teo-varnholt' });

  test('saves settings, and cannot issue, lock or change a machine; a lead hand can', async ({
    page,
    app,
    browser,
  }) => {
    await page.goto(`${app.url}/machines/hazel/about`);
    await expect(page.getByText(/A lead hand or owner changes/)).toBeVisible();
    await page.getByLabel('Location').fill('bay 9');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('lead hand or owner');
    await expect(page.getByLabel('Location')).toHaveValue('bay 9');

    await page.goto(`${app.url}/seams/hitch-bracket-fillet`);
    await expect(page.getByRole('button', { name: 'Issue or lock' })).toHaveCount(0);

    const lead = await (await browser.newContext()).newPage();
    await signIn(lead, app, 'ilse-brandokor');
    await lead.goto(`${app.url}/seams/hitch-bracket-fillet`);
    await lead.getByRole('button', { name: 'Issue or lock' }).click();
    await lead.getByLabel('Why').fill('three passed in a row');
    await lead.getByLabel('On which machine').selectOption({ label: 'Rowan' });
    // A reference is issued on limits that somebody wrote.
    await expect(lead.getByRole('button', { name: /^Issue revision/ })).toBeDisabled();
    await lead.getByRole('button', { name: /^Write the usual limits/ }).click();
    await lead.getByRole('button', { name: /^Issue revision/ }).click();
    await expect(lead.getByText(/Revision \d+ on Rowan/)).toBeVisible();
    await lead.getByRole('button', { name: 'Issue or lock' }).click();
    await lead.getByLabel('Why').fill('customer approved it');
    await lead.getByRole('button', { name: 'Lock the setting' }).click();
    await expect(lead.getByText(/Locked/)).toBeVisible();

    // The welder's page was open meanwhile: the save is refused, and the draft kept.
    await page.reload();
    await expect(page.getByText(/by Ilse Brandokor.*customer approved it/)).toBeVisible();
    await page.getByLabel('Gap, mm').fill('0.4');
    await page.getByRole('button', { name: /^Save revision/ }).click();
    await expect(page.getByRole('alert')).toContainText('locked');
    await expect(page.getByLabel('Gap, mm')).toHaveValue('0.4');
    await lead.getByRole('button', { name: 'Issue or lock' }).click();
    await lead.getByLabel('Why').fill('freed again');
    await lead.getByRole('button', { name: 'Unlock the setting' }).click();
    await expect(lead.getByText('Not locked')).toBeVisible();
    await lead.context().close();
  });

  test('whose session ends keeps what was typed, and goes on after signing in', async ({ page, app }) => {
    await page.goto(`${app.url}/seams/canopy-rail-lap`);
    await page.getByLabel('Gap, mm').fill('0.3');
    await page.context().clearCookies();
    await page.getByRole('button', { name: /^Save revision/ }).click();
    await page.getByRole('link', { name: 'Sign in again' }).click();
    await page
      .getByLabel('PIN of Teo Varnholt')
      .or(page.getByRole('button', { name: /^Teo Varnholt/ }))
      .first()
      .click();
    await page.getByLabel('PIN of Teo Varnholt').fill('1404');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Gap, mm')).toHaveValue('0.3');
    await page.getByRole('button', { name: /^Save revision/ }).click();
    await expect(page.getByRole('status').filter({ hasText: 'saved as' })).toBeVisible();
  });
});
