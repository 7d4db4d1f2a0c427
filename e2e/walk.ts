/** Goes through the views of one signed-in page without loading the application anew, and measures what stands there. */
import type { Page, Request } from '@playwright/test';
import { expect } from './driver.ts';
import { views } from './views.ts';

/** A desk, a tablet and a phone. */
export const sizes = [
  [1280, 800],
  [768, 1024],
  [390, 844],
] as const;

/** Shows every view in turn, and calls `look` when it has stopped changing. */
export async function walkViews(
  page: Page,
  url: string,
  look: (view: (typeof views)[number]) => Promise<void>,
): Promise<void> {
  const underWay = new Set<Request>();
  page.on('request', (request) => {
    if (!['eventsource', 'websocket', 'ping'].includes(request.resourceType())) underWay.add(request);
  });
  const ended = (request: Request) => underWay.delete(request);
  page.on('requestfinished', ended);
  page.on('requestfailed', ended);
  await page.goto(`${url}/today`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  for (const view of views) {
    await page.evaluate((path) => {
      history.pushState({}, '', path);
      dispatchEvent(new PopStateEvent('popstate', { state: {} }));
    }, view.path);
    await expect.poll(() => underWay.size, { timeout: 30_000, intervals: [20, 50, 100] }).toBe(0);
    await quiet(page);
    await expect.poll(() => underWay.size, { timeout: 30_000, intervals: [20, 50, 100] }).toBe(0);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await look(view);
  }
}

/** Resolves when nothing has changed for a fifth of a second; a view that always moves is looked at after a second and a half. */
export function quiet(page: Page): Promise<void> {
  return page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const done = () => {
          observer.disconnect();
          clearTimeout(still);
          clearTimeout(longest);
          resolve();
        };
        let still = setTimeout(done, 200);
        const longest = setTimeout(done, 1500);
        const observer = new MutationObserver(() => {
          clearTimeout(still);
          still = setTimeout(done, 200);
        });
        observer.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
      }),
  );
}

/** Resolves when two frames were drawn; a browser without a monitor may draw none for a page where nothing moves. */
function drawn(): Promise<unknown> {
  return new Promise((resolve) => {
    setTimeout(resolve, 250);
    requestAnimationFrame(() => requestAnimationFrame(resolve));
  });
}

/** What is cut off on this view at each size; the page is left at the first of them. */
export async function cutOffAt(page: Page, path: string): Promise<string[]> {
  const found: string[] = [];
  for (const [width, height] of [...sizes.slice(1), sizes[0]]) {
    await page.setViewportSize({ width, height });
    await page.evaluate(drawn);
    for (const one of await cutOffOn(page)) found.push(`${path} at ${width}: ${one}`);
  }
  return found;
}

/** Text that is wider than what it stands in, and the page where it runs out of the window. */
function cutOffOn(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const out: string[] = [];
    const beyond = document.documentElement.scrollWidth - window.innerWidth;
    if (beyond > 0) out.push(`the page runs out of the window by ${beyond}`);
    for (const element of document.querySelectorAll<HTMLElement>('body *')) {
      const direct = [...element.childNodes].some(
        (node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim(),
      );
      if (!direct || element.closest('svg, select, [aria-hidden="true"]')) continue;
      const { display, overflowX } = getComputedStyle(element);
      if (display === 'inline' || element.clientWidth <= 1) continue;
      if (overflowX === 'auto' || overflowX === 'scroll') continue;
      // What is cut at the first line on purpose carries its whole text as its title.
      if (overflowX !== 'visible' && element.title !== '') continue;
      if (element.scrollWidth > element.clientWidth + 1)
        out.push(
          `${element.tagName.toLowerCase()} "${element.textContent?.trim().slice(0, 60)}" ${element.scrollWidth} in ${element.clientWidth}`,
        );
    }
    return out;
  });
}
