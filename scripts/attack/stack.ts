/** A whole Fox Tempo on data of its own, to be killed part by part. Loopback only. */
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../lib/ports.mjs';
import { root } from '../lib/run.mjs';

export class Stack {
  readonly folder = mkdtempSync(join(tmpdir(), 'fox-tempo-attack-'));
  private script: ChildProcess | undefined;
  private port = 0;
  private cookie = '';

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** What the start printed; throws when it ended before it was ready. */
  async start(): Promise<string> {
    chmodSync(this.folder, 0o755);
    this.port ||= await freePort();
    const script = spawn(process.execPath, ['scripts/start.mjs', '--no-install', '--port', String(this.port)], {
      cwd: root,
      env: { ...process.env, FOX_TEMPO_DATA: this.folder },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.script = script;
    let output = '';
    return new Promise((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        output += chunk.toString();
        if (output.includes('is ready at')) resolve(output);
      };
      script.stdout.on('data', hear);
      script.stderr.on('data', hear);
      script.once('exit', () => reject(new Error(`the start ended:\n${output.slice(-1500)}`)));
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { script } = this;
    if (!script || script.exitCode !== null || script.signalCode !== null) return;
    const ended = new Promise((resolve) => script.once('exit', resolve));
    script.kill(signal);
    await ended;
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
    rmSync(`${this.folder}-backups`, { recursive: true, force: true });
  }

  scriptPid(): number {
    return this.script?.pid ?? 0;
  }

  serverPid(): number {
    return childrenOf(this.scriptPid()).find((pid) => commandOf(pid).includes('server/main.ts')) ?? 0;
  }

  postmasterPid(): number {
    const file = join(this.folder, 'pg', 'postmaster.pid');
    return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : 0;
  }

  /** A process that serves one of the server's connections. */
  backendPid(): number {
    return childrenOf(this.postmasterPid()).find((pid) => commandOf(pid).includes('127.0.0.1(')) ?? 0;
  }

  async signIn(personId = 'ilse-brandokor'): Promise<void> {
    const answer = await this.ask('POST', '/session/demo', { personId });
    this.cookie =
      answer.headers
        .getSetCookie()
        .find((one) => one.startsWith('tempo='))
        ?.split(';')[0] ?? '';
  }

  sessionHeader(): Record<string, string> {
    return { cookie: this.cookie };
  }

  /** Asks with the session; throws where there is no answer. */
  ask(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Response> {
    return fetch(`${this.url}/api${path}`, {
      method,
      headers: {
        cookie: this.cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      body: body === undefined ? null : JSON.stringify(body),
      signal: AbortSignal.timeout(20_000),
    });
  }

  async ready(patienceMs: number): Promise<boolean> {
    for (const until = Date.now() + patienceMs; Date.now() < until;) {
      const answer = await this.ask('GET', '/ready').catch(() => undefined);
      if (answer?.status === 200) return true;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return false;
  }
}

function childrenOf(parent: number): number[] {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => Number(statOf(pid)[1]) === parent);
}

/** State and parent of a process, as the system tells them. */
function statOf(pid: number): string[] {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ') ?? [];
  } catch {
    return [];
  }
}

function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
}
