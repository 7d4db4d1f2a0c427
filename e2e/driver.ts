/** Starts the real application on data of its own, and offers it to journeys: its address, a restart, a database that goes away. */
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { AxeBuilder } from '@axe-core/playwright';
import { test as base, expect, type Page } from '@playwright/test';

const root = fileURLToPath(new URL('..', import.meta.url));

export class Application {
  readonly folder = mkdtempSync(join(tmpdir(), 'fox-tempo-e2e-'));
  private child: ChildProcess | undefined;
  private port = 0;

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Runs `npm start`'s script until it says that it is ready; returns what it printed. */
  async start(...more: readonly string[]): Promise<string> {
    chmodSync(this.folder, 0o755);
    this.port ||= await freePort();
    const child = spawn(process.execPath, ['scripts/start.mjs', '--no-install', '--port', String(this.port), ...more], {
      cwd: root,
      env: { ...process.env, FOX_TEMPO_DATA: this.folder },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.child = child;
    let output = '';
    return new Promise((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        output += chunk.toString();
        if (output.includes('is ready at')) resolve(output);
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('exit', () => reject(new Error(`the start script ended:\n${output}`)));
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** Stops PostgreSQL under the running server, as a power cut in the cabinet would; nobody brings it back until `wakeStart`. */
  stopDatabase(): void {
    const [pid] = readFileSync(join(this.folder, 'pg', 'postmaster.pid'), 'utf8').split('\n');
    this.child?.kill('SIGSTOP');
    process.kill(Number(pid), 'SIGINT');
  }

  /** The start script looks after its database again. */
  wakeStart(): void {
    this.child?.kill('SIGCONT');
  }

  /** Another start on the same data; resolves with its exit code and words. */
  async secondStart(): Promise<{ code: number | null; output: string }> {
    const child = spawn(process.execPath, ['scripts/start.mjs', '--no-install'], {
      cwd: root,
      env: { ...process.env, FOX_TEMPO_DATA: this.folder },
    });
    let output = '';
    child.stdout.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()));
    return new Promise((resolve) => child.once('exit', (code) => resolve({ code, output })));
  }

  /** Runs one of the file commands on this data; resolves with its exit code and words. */
  async shopFile(act: 'backup' | 'verify' | 'restore', file: string): Promise<{ code: number | null; output: string }> {
    const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/shop-file.ts', act, file], {
      cwd: root,
      env: { ...process.env, FOX_TEMPO_DATA: this.folder },
    });
    let output = '';
    child.stdout.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()));
    return new Promise((resolve) => child.once('exit', (code) => resolve({ code, output })));
  }

  /** Deletes the data, not the backups that stand beside them. */
  wipe(): void {
    for (const name of ['pg', 'pg-log', 'pg-password'])
      rmSync(join(this.folder, name), { recursive: true, force: true });
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
    // Backups stand beside the data folder, so that deleting one leaves the other.
    rmSync(`${this.folder}-backups`, { recursive: true, force: true });
  }
}

/** Signs a page's browser in as one of the demo shop's people, who reads as the device does: what an earlier journey chose is not theirs. */
export async function signIn(page: Page, app: Application, personId = 'ilse-brandokor'): Promise<void> {
  const answer = await page.request.post(`${app.url}/api/session/demo`, { data: { personId } });
  expect(answer.status()).toBe(200);
  const preferences = { language: null, units: null, theme: null, hand: null };
  expect((await page.request.put(`${app.url}/api/session/preferences`, { data: preferences })).status()).toBe(200);
}

export const test = base.extend<{ person: string }, { app: Application }>({
  /** Who is signed in when a journey begins; nobody when empty. */
  person: ['ilse-brandokor', { option: true }],
  page: async ({ page, app, person }, use) => {
    if (person !== '') await signIn(page, app, person);
    await use(page);
  },
  app: [
    async ({}, use) => {
      const app = new Application();
      await app.start();
      await use(app);
      await app.stop();
      app.remove();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
});

export { expect };

/**
 * No violation of WCAG 2.2 A and AA that axe can find: by day everything but contrast, by night contrast and the size of what is touched.
 * The contrast of every pair of colours, in both lights, is computed in a unit test.
 */
export async function expectAccessible(page: Page, light: 'day' | 'night' = 'night'): Promise<void> {
  // What lies half under the strip that stays in sight scrolls out from under it; measured where it stands it counts as cut off.
  await page.evaluate(() => {
    for (const strip of document.querySelectorAll<HTMLElement>('nav[aria-label="Dials in short"]'))
      strip.style.position = 'static';
  });
  const axe = new AxeBuilder({ page });
  const asked =
    light === 'day'
      ? axe
          .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
          .disableRules(['color-contrast'])
      : axe.withRules(['color-contrast', 'target-size']);
  const { violations } = await asked.analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual(
    [],
  );
}

/** Figure of the setting by its label, as shown. */
export function figure(page: Page, label: string) {
  return page.getByRole('button', { name: new RegExp(`^${label}`) });
}

/** First number in a text. */
export function numberIn(text: string | null): number {
  return Number(/−?\d+(?:\.\d+)?/.exec(text ?? '')?.[0].replace('−', '-'));
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
