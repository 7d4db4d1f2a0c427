/** The arc bench measured in headless Chromium without a GPU at 1280x800: printed by `npm run bench`. Nothing here fails a build. */
/* global document, HTMLSelectElement, KeyboardEvent, MutationObserver, requestAnimationFrame, WheelEvent, window -- inside the page */
import { randomUUID } from 'node:crypto';
import { endOn, say } from './lib/say.mjs';
import { withThrowawayApp } from './lib/throwaway-app.mjs';

/** Listens to every message between page and workers, before the application starts. */
function overhearWorkers() {
  const Real = globalThis.Worker;
  const heard = [];
  globalThis.heard = heard;
  globalThis.Worker = class extends Real {
    constructor(...of) {
      super(...of);
      this.addEventListener('message', ({ data }) =>
        heard.push({ at: performance.now(), from: 'worker', kind: data.kind, id: data.id }),
      );
    }
    postMessage(message) {
      heard.push({ at: performance.now(), from: 'page', kind: message.kind, id: message.id, count: message.count });
      super.postMessage(message);
    }
  };
}

/** Value at a share of the sorted list. */
function quantile(list, share) {
  return [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))] ?? Number.NaN;
}

/** Milliseconds from the question to the first zone on the page and to the whole map. */
async function mapTimes(page) {
  await page.getByText(/^here: /).waitFor({ timeout: 60_000 });
  const first = page.evaluate(
    () =>
      new Promise((resolve) => {
        const map = document.querySelector('[role=application]').parentElement;
        const select = [...document.querySelectorAll('select')].find((one) => one.value === 'trimMm');
        const begun = performance.now();
        const before = map.querySelectorAll('rect').length;
        const observer = new MutationObserver(() => {
          if (map.querySelectorAll('rect').length === before) return;
          observer.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - begun));
        });
        observer.observe(map, { childList: true, subtree: true });
        Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(select, 'ctwdMm');
        select.dispatchEvent(new Event('change', { bubbles: true }));
      }),
  );
  const begun = Date.now();
  const firstMs = await first;
  await page.getByText(/^here: /).waitFor({ timeout: 60_000 });
  return { firstMs, wholeMs: Date.now() - begun };
}

/** Milliseconds from a cancel to the last that a worker says of what was cancelled. */
async function cancelMs(page) {
  await page.getByLabel('Across').selectOption('stiffness');
  await page.getByText(/^drawing/).waitFor();
  await page.waitForTimeout(900);
  await page.getByLabel('Across').selectOption('wireFeedMPerMin');
  await page.waitForTimeout(400);
  return page.evaluate(() => {
    const cancels = globalThis.heard.filter((one) => one.from === 'page' && one.kind === 'cancel').slice(-2);
    const last = cancels.map(({ at, id }) =>
      Math.max(
        0,
        ...globalThis.heard
          .filter((one) => one.from === 'worker' && one.id === id && one.at > at)
          .map((one) => one.at - at),
      ),
    );
    return Math.max(0, ...last);
  });
}

/** Milliseconds from one press on the feed's dial to the figures of the new arc, many times. */
function moveMs(page, moves) {
  return page.evaluate(async (rounds) => {
    const figures = document.querySelector('section[aria-label="In numbers"]');
    const plus = [...document.querySelectorAll('button')].find((one) =>
      /: one step, wire feed.* higher/.test(one.getAttribute('aria-label') ?? ''),
    );
    const each = [];
    for (let round = 0; round < rounds; round++) {
      await new Promise((resolve) => setTimeout(resolve, 350));
      each.push(
        await new Promise((resolve) => {
          const begun = performance.now();
          const observer = new MutationObserver(() => {
            // Only figures of the new arc count.
            if (!globalThis.heard.some((one) => one.kind === 'done' && one.at > begun)) return;
            observer.disconnect();
            resolve(performance.now() - begun);
          });
          observer.observe(figures, { childList: true, subtree: true, characterData: true });
          plus.click();
        }),
      );
    }
    return each;
  }, moves);
}

/** Milliseconds between frames while the arc plays. */
function frameMs(page) {
  return page.evaluate(
    () =>
      new Promise((resolve) => {
        const each = [];
        let before = performance.now();
        const tick = (now) => {
          each.push(now - before);
          before = now;
          if (each.length < 180) requestAnimationFrame(tick);
          else resolve(each.slice(10));
        };
        requestAnimationFrame(tick);
      }),
  );
}

/** The lid seam made long enough for two minutes of arc; the data are thrown away afterwards. */
async function lengthenSeam(page, url, seamId, lengthMm) {
  const address = `${url}/api/seams/${seamId}`;
  const seam = await (await page.request.get(address)).json();
  const saved = await page.request.put(address, {
    headers: { 'if-match': `"${seam.version}"` },
    data: { spec: { ...seam.spec, lengthMm }, choice: seam.choice },
  });
  if (!saved.ok()) throw new Error(`the long seam could not be saved: ${await saved.text()}`);
}

/** Milliseconds between frames while a score is scrolled and zoomed by the wheel in every one of them. */
function scoreFrameMs(page) {
  return page.evaluate(
    () =>
      new Promise((resolve) => {
        const staves = document.querySelector('[data-px-per-s]');
        const { left, top } = staves.getBoundingClientRect();
        const wheel = (deltaY, keys) =>
          staves.dispatchEvent(
            new WheelEvent('wheel', {
              deltaY,
              clientX: left + 400,
              clientY: top + 100,
              bubbles: true,
              cancelable: true,
              ...keys,
            }),
          );
        const each = [];
        let before = performance.now();
        let count = 0;
        const tick = (now) => {
          each.push(now - before);
          before = now;
          count++;
          if (count % 40 < 12) wheel(-120, { ctrlKey: true });
          else if (count % 40 < 28) wheel(90, { shiftKey: true });
          else wheel(120, { ctrlKey: true });
          if (count < 200) requestAnimationFrame(tick);
          else resolve(each.slice(10));
        };
        requestAnimationFrame(tick);
      }),
  );
}

/** Milliseconds from the trigger's key to the state on the page, each way, many times. */
function keyToStateMs(page, rounds) {
  return page.evaluate(async (count) => {
    const state = document.querySelector('[data-state]');
    const each = [];
    const key = (type) => window.dispatchEvent(new KeyboardEvent(type, { code: 'Space', key: ' ', bubbles: true }));
    const until = (phase) =>
      new Promise((resolve) => {
        if (state.getAttribute('data-state') === phase) resolve();
        const observer = new MutationObserver(() => {
          if (state.getAttribute('data-state') !== phase) return;
          observer.disconnect();
          resolve();
        });
        observer.observe(state, { attributes: true });
      });
    for (let round = 0; round < count; round++) {
      for (const [type, phase] of [
        ['keydown', 'pre-gas'],
        ['keyup', 'post-gas'],
      ]) {
        const seen = until(phase);
        const begun = performance.now();
        key(type);
        await seen;
        each.push(performance.now() - begun);
        await new Promise((resolve) => setTimeout(resolve, 120));
      }
      await until('idle');
    }
    return each;
  }, rounds);
}

/** Orders until the day has so many operations; the data are thrown away afterwards. */
async function fillDay(page, url, operations) {
  const { items: seams } = await (await page.request.get(`${url}/api/seams?limit=200`)).json();
  const { items: orders } = await (await page.request.get(`${url}/api/orders?limit=200`)).json();
  const seamsOf = (partId) => seams.filter((seam) => seam.partId === partId && seam.revision?.use).length;
  const parts = [...new Set(seams.map(({ partId }) => partId))].filter((partId) => seamsOf(partId) > 0);
  let count = orders
    .filter(({ done, quantity }) => done < quantity)
    .reduce((sum, { partId }) => sum + seamsOf(partId), 0);
  for (let at = 0; count < operations; at++) {
    const partId = parts[at % parts.length];
    const dueOn = new Date(Date.now() + (2 + at / 6) * 86_400_000).toISOString().slice(0, 10);
    const added = await page.request.post(`${url}/api/orders`, {
      headers: { 'idempotency-key': randomUUID() },
      data: { number: `B ${at}`, partId, quantity: 4, dueOn },
    });
    if (!added.ok()) throw new Error(`an order could not be added: ${await added.text()}`);
    count += seamsOf(partId);
  }
}

/** Milliseconds between frames while a page is scrolled down and the lanes sideways in every one of them. */
function dayFrameMs(page) {
  return page.evaluate(
    () =>
      new Promise((resolve) => {
        const lanes = document.querySelector('[data-job]').closest('[tabindex]') ?? document.body;
        const each = [];
        let before = performance.now();
        let count = 0;
        const tick = (now) => {
          each.push(now - before);
          before = now;
          count++;
          window.scrollBy(0, count % 60 < 30 ? 60 : -60);
          lanes.scrollBy(count % 80 < 40 ? 50 : -50, 0);
          if (count < 200) requestAnimationFrame(tick);
          else resolve(each.slice(10));
        };
        requestAnimationFrame(tick);
      }),
  );
}

async function main() {
  await withThrowawayApp(async ({ browser, url }) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(overhearWorkers);
    await page.request.post(`${url}/api/session/demo`, { data: { personId: 'teo-varnholt' } });
    await page.goto(`${url}/simulator/axle-plate-to-tube`);
    const { firstMs, wholeMs } = await mapTimes(page);
    const cancelled = await cancelMs(page);
    await page.getByText(/^here: /).waitFor({ timeout: 60_000 });
    const frames = await frameMs(page);
    const moves = await moveMs(page, 40);
    await lengthenSeam(page, url, 'trike-lid-seam', 2300);
    await page.goto(`${url}/sequence/trike-lid-seam`);
    await page.getByRole('button', { name: 'Unfold main' }).click();
    const arcWords = await page.getByText(/^Arc \d/).textContent();
    const scored = await scoreFrameMs(page);
    const keys = await keyToStateMs(page, 8);
    await page.request.post(`${url}/api/session/demo`, { data: { personId: 'ilse-brandokor' } });
    await fillDay(page, url, 200);
    const asked = Date.now();
    await page.goto(`${url}/run-plan`);
    await page.locator('[data-job]').first().waitFor({ timeout: 60_000 });
    const plannedMs = Date.now() - asked;
    const day = await dayFrameMs(page);
    const row = (what, measured, budget) => say(`${what.padEnd(44)}  ${measured.padStart(10)}   ${budget}`);
    row('arc bench, first picture of a map', `${firstMs.toFixed(0)} ms`, 'within 300 ms');
    row('arc bench, map of 40 x 40', `${(wholeMs / 1000).toFixed(1)} s`, 'within 8 s on two workers');
    row('arc bench, cancelled map falls silent', `${cancelled.toFixed(0)} ms`, 'under 50 ms');
    row('arc bench, move to figures, 95th percentile', `${quantile(moves, 0.95).toFixed(0)} ms`, 'within 50 ms');
    row('arc bench, frames of the living arc, median', `${(1000 / quantile(frames, 0.5)).toFixed(0)} /s`, '30 or more');
    row(
      `score of ${/[\d.]+/.exec(arcWords)?.[0]} s of arc, frames scrolled and zoomed`,
      `${(1000 / quantile(scored, 0.5)).toFixed(0)} /s`,
      '30 or more',
    );
    row('run plan, 200 operations planned and drawn', `${(plannedMs / 1000).toFixed(1)} s`, '');
    row('run plan, 200 operations, frames scrolled', `${(1000 / quantile(day, 0.5)).toFixed(0)} /s`, '30 or more');
    row(
      'score, key to state, median and worst',
      `${quantile(keys, 0.5).toFixed(0)}, ${Math.max(...keys).toFixed(0)} ms`,
      'under 30 ms',
    );
  });
}

main().catch(endOn);
