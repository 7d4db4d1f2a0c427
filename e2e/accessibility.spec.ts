import { expect, expectAccessible, signIn, test } from './driver.ts';
import { isFull } from '../server/testing/full.ts';
import { walkViews } from './walk.ts';

for (const [light, width, height] of [
  ['day', 1280, 800],
  ['night', 768, 1024],
] as const) {
  test(`no accessibility violation in any view by ${light}, ${width} wide`, async ({ page, app }) => {
    test.skip(light === 'night' && !isFull, 'npm run check:all: contrast is a unit test, sizes are walked by day');
    // Every view, one after the other, on a busy machine too.
    test.setTimeout(600_000);
    // Everything that a role may see is looked at.
    await signIn(page, app, 'mirja-keskalo');
    await page.addInitScript(
      (theme) => localStorage.setItem('fox-tempo/settings', JSON.stringify({ state: { theme }, version: 0 })),
      light,
    );
    await page.setViewportSize({ width, height });
    await walkViews(page, app.url, async ({ path, waitsFor }) => {
      if (waitsFor)
        await expect(page.getByRole('img', { name: waitsFor }).locator('svg')).toBeVisible({ timeout: 20_000 });
      await expectAccessible(page, light);
      // Nothing may run out of the window sideways.
      const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(beyond, `${path} runs out of the window`).toBeLessThanOrEqual(0);
    });
  });

  test(`no accessibility violation in refusals and open forms by ${light}`, async ({ page, app }) => {
    await page.addInitScript(
      (theme) => localStorage.setItem('fox-tempo/settings', JSON.stringify({ state: { theme }, version: 0 })),
      light,
    );
    await page.setViewportSize({ width, height });
    await page.goto(`${app.url}/seams/counter-corner`);
    await page.getByLabel('Gas', { exact: true }).selectOption('C1');
    await expect(page.getByRole('alert')).toBeVisible();
    await page.getByLabel('Gap, mm').fill('wide');
    await expectAccessible(page, light);

    await page.goto(`${app.url}/machines/hazel`);
    await page.getByRole('button', { name: 'Test the direction of Share' }).click();
    await expect(page.getByText('Before you begin.')).toBeVisible();
    await expectAccessible(page, light);
    await page.getByRole('button', { name: 'Edit Drive' }).click();
    await expect(page.getByLabel('How its scale works')).toBeVisible();
    await expectAccessible(page, light);

    await page.goto(`${app.url}/machines/rowan/chart`);
    await page.getByRole('button', { name: 'Teach line 12' }).click();
    await expect(page.getByRole('img', { name: /^Current against feed/ }).locator('svg')).toBeVisible();
    await expectAccessible(page, light);
  });
}
