import { expect, figure, numberIn, test } from './driver.ts';

test('a stainless outside corner: described, set, saved, still there after a restart', async ({ page, app }) => {
  await page.goto(`${app.url}/seams`);
  await page.getByRole('button', { name: 'Describe a seam' }).click();
  await page.getByLabel('On which part').selectOption({ label: 'Kitchen counter' });
  await page.getByLabel('What it is called').fill('Hood corner');
  // Nothing is invented: what is missing is named until it is said.
  await expect(page.getByText(/the metal, the joint, the first part’s thickness/)).toBeVisible();
  await page.getByLabel('Metal', { exact: true }).selectOption('Steel');
  await page.getByLabel('Joint', { exact: true }).selectOption('Tee');
  await page.getByLabel('First part, mm').fill('3');
  await page.getByRole('button', { name: 'Go to its sheet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Hood corner');
  await expect(page).toHaveTitle('Hood corner · Fox Tempo');

  await page.getByLabel('Metal').selectOption('Stainless');
  await expect(page.getByLabel('Gas', { exact: true })).toHaveValue('M12-ArC-2');
  await page.getByLabel('First part, mm').fill('2,5 mm');
  await page.getByLabel('Second part, mm').fill('2.5');
  await page.getByLabel('Position').selectOption('PA');
  const filletAmps = numberIn(await figure(page, 'Mean current').textContent());
  await page.getByLabel('Joint', { exact: true }).selectOption('Outside corner');
  // A tenth less is wished than for the fillet, the wished bead and pace pull a little of it back; and a longer arc.
  await expect
    .poll(async () => numberIn(await figure(page, 'Mean current').textContent()) / filletAmps)
    .toBeLessThan(0.97);
  expect(numberIn(await figure(page, 'Mean current').textContent()) / filletAmps).toBeGreaterThan(0.85);
  expect(numberIn(await figure(page, 'Arc length').textContent())).toBeGreaterThanOrEqual(4.5);

  // The sum behind a figure is one click away.
  await figure(page, 'Wire feed speed').click();
  await expect(page.getByText(/outside corner 0\.9 = \d+ A/)).toBeVisible();

  const card = page.getByRole('region', { name: 'Dial card, Rowan' });
  await page.getByLabel('Machine', { exact: true }).selectOption({ label: 'Rowan, bay 2' });
  await expect(card.getByText('Change over first.')).toBeVisible();
  const feedOnCard = await card.locator('dd').nth(1).textContent();
  expect(numberIn(feedOnCard)).toBeCloseTo(numberIn(await figure(page, 'Wire feed speed').textContent()), 1);

  await page.getByRole('button', { name: 'Save revision 1' }).click();
  // Wire, gas, length and gap were only assumed: not saved unseen.
  await page.getByRole('button', { name: 'All right: save' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'saved as revision 1' })).toBeVisible();
  const address = page.url();

  await app.stop();
  await app.start();
  await page.goto(address);
  await expect(page.getByLabel('First part, mm')).toHaveValue('2.5');
  await expect(page.getByLabel('Joint', { exact: true })).toHaveValue('corner-outside');
  await expect(page.getByText('revision 1', { exact: true })).toBeVisible();
  await expect(card.locator('dd').nth(1)).toHaveText(feedOnCard ?? '');
});

test('everything moves together when one thing is changed', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/axle-plate-to-tube`);
  const wave = page.getByRole('img', { name: /^Pulse/ });
  const drawing = page.getByRole('img', { name: /Drawn to scale/ });
  const card = page.getByRole('region', { name: /Dial card/ });
  const state = async () => [
    await wave.getAttribute('aria-label'),
    await drawing.getAttribute('aria-label'),
    await figure(page, 'Mean current').textContent(),
    await card.locator('dd').nth(1).textContent(),
  ];
  await expect(wave).toBeVisible();
  const before = await state();
  await page.getByLabel('First part, mm').fill('5/32 in');
  await expect.poll(async () => (await state()).every((text, index) => text !== before[index])).toBe(true);
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('First part, mm')).toHaveValue('3.969');

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('First part, mm')).toHaveValue('2.5');
  // The panels beside the form follow a moment after it.
  await expect.poll(state).toEqual(before);
});

test('the arc is simulated off the page’s thread, and again when the setting moves', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/sink-flange-lap`);
  const panel = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Simulated arc' }) });
  await expect(panel).toContainText('one drop per pulse: a steady hum');
  const amps = async () =>
    numberIn((await panel.getByText('Mean current').locator('..').textContent())?.replace('Mean current', '') ?? '');
  // The simulated arc and the solved pulse agree on the current within the drop that one of them leaves out.
  const planned = numberIn(await figure(page, 'Mean current').textContent());
  expect(Math.abs((await amps()) / planned - 1)).toBeLessThan(0.05);
  await page.getByLabel('Wire feed speed, m/min').fill('6');
  await expect.poll(amps).toBeGreaterThan(planned + 10);
  await expect(page.getByText('first choice:')).toBeVisible();
});

test('units and light switch by one key, and stay', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/axle-plate-to-tube`);
  await expect(figure(page, 'Wire feed speed')).toContainText('m/min');
  await page.keyboard.press('F2');
  await expect(figure(page, 'Wire feed speed')).toContainText('ipm');
  await expect(page.getByLabel('First part, in')).toHaveValue('0.0984');
  await page.keyboard.press('F4');
  await expect(page.locator('html')).toHaveClass('dark');
  await page.reload();
  await expect(page.locator('html')).toHaveClass('dark');
  await expect(figure(page, 'Wire feed speed')).toContainText('ipm');
});

test('impossible chains are refused with the reason and a way out that works', async ({ page, app }) => {
  await page.goto(`${app.url}/seams/counter-corner`);
  await page.getByLabel('Gas', { exact: true }).selectOption('C1');
  const refusal = page.getByRole('alert');
  await expect(refusal).toContainText('Pulse needs argon-rich gas');
  await expect(page.getByRole('button', { name: /^Save revision/ })).toBeDisabled();
  await refusal.getByRole('button', { name: 'Change to argon 98 %, CO₂ 2 %' }).click();
  await expect(refusal).toHaveCount(0);

  await page.getByLabel('First part, mm').fill('400');
  await expect(page.getByText('Thickness must lie between 0.6 and 25 mm; got 400 mm.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Save revision/ })).toBeDisabled();
  // Half-typed text is still there after a reload, with its reason.
  await page.reload();
  await expect(page.getByLabel('First part, mm')).toHaveValue('400');
  await expect(page.getByText('got 400 mm')).toBeVisible();
  await page.getByLabel('First part, mm').fill('1.5');

  await page.getByLabel('Wire feed speed, m/min').fill('29');
  await expect(refusal).toContainText('No solution at 29 m/min');
  await refusal.getByRole('button', { name: 'Use the planned feed' }).click();
  await expect(refusal).toHaveCount(0);
});

test('the whole way by keyboard alone', async ({ page, app }) => {
  await page.goto(`${app.url}/today`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the content' })).toBeFocused();
  const tabTo = async (target: ReturnType<typeof page.getByRole>) => {
    for (let step = 0; step < 80; step++) {
      if (await target.evaluate((node) => node === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error('not reached by Tab');
  };
  await tabTo(page.getByRole('button', { name: 'Seams of Market cart frame' }));
  await page.keyboard.press('Enter');
  await tabTo(page.getByRole('link', { name: /^Frame corner, mitred/ }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Frame corner, mitred');

  await tabTo(page.getByLabel('Gap, mm'));
  await page.keyboard.type('1');
  await tabTo(page.getByLabel('Wire feed speed, m/min'));
  await page.keyboard.type('5');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Wire feed speed, m/min')).toHaveValue('5.1');
  await tabTo(figure(page, 'Heat input'));
  await page.keyboard.press('Enter');
  await expect(figure(page, 'Heat input')).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('status').filter({ hasText: 'saved as revision 2' })).toBeVisible();
});

test('the first view needs under 240 kB of compressed script', async ({ page, app }) => {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  let received = 0;
  const scripts = new Set<string>();
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) received += encodedDataLength;
  });
  await page.goto(app.url, { waitUntil: 'networkidle' });
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  expect(received).toBeGreaterThan(50_000);
  expect(received).toBeLessThan(240_000);
});
