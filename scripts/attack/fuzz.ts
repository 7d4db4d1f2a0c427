/** Thousands of requests and command-line inputs that nobody would send on purpose: never a 500, never a stack. Seeded, so that a find can be repeated. */
import { english } from '@fox-tempo/words/english';
import { connect } from 'node:net';
import { gzipSync } from 'node:zlib';
import {
  endpointNames,
  endpoints,
  exampleFiles,
  verbNames,
  type Endpoint,
  type EndpointName,
} from '@fox-tempo/contract';
import { runVerb } from '../../cli/run.ts';
import { say } from '../lib/say.mjs';
import type { Stack } from './stack.ts';

/** A small generator of numbers from 0 to 1 (mulberry32), the same for the same seed. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const oddTexts = [
  '',
  ' ',
  '\0',
  '\ud800',
  'a\0b',
  '../../etc/passwd',
  "'; drop table people; --",
  '%',
  '%00',
  '💥',
  'x'.repeat(5000),
  '-1',
  '1e309',
  'NaN',
  '__proto__',
  'constructor',
  '\u202e',
  '=1+1',
  '0'.repeat(400),
];
const oddNumbers = [0, -0, -1, 1e308, -1e308, 1e-308, 2 ** 53, 2 ** 31, 0.1 + 0.2];

export class Fuzzer {
  private readonly next: () => number;
  constructor(seed: number) {
    this.next = random(seed);
  }
  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)] as T;
  }
  chance(share: number): boolean {
    return this.next() < share;
  }
  value(depth = 0): unknown {
    const kind = this.next();
    if (kind < 0.25) return this.pick(oddTexts);
    if (kind < 0.5) return this.pick(oddNumbers);
    if (kind < 0.6) return this.pick([null, true, false]);
    if (depth > 4) return [];
    if (kind < 0.8) return Array.from({ length: Math.floor(this.next() * 4) }, () => this.value(depth + 1));
    return Object.fromEntries(
      Array.from({ length: Math.floor(this.next() * 4) }, () => [this.pick(oddTexts), this.value(depth + 1)]),
    );
  }
  /** A sound value with one or more places spoilt. */
  spoil(value: unknown, depth = 0): unknown {
    if (this.chance(depth === 0 ? 0.03 : 0.12)) return this.value();
    if (Array.isArray(value)) return value.map((one) => this.spoil(one, depth + 1));
    if (typeof value !== 'object' || value === null) return value;
    const entries = Object.entries(value).map(([key, inner]) => [
      this.chance(0.03) ? this.pick(oddTexts) : key,
      this.spoil(inner, depth + 1),
    ]);
    return Object.fromEntries(this.chance(0.05) ? entries.slice(1) : entries);
  }
}

/** Sound questions to start from. */
const examples = exampleFiles();
const soundInputs: Record<string, unknown> = {
  melt: { filler: 'steel-solid', diameterMm: 1, extensionMm: 12, wireFeedMPerMin: 8 },
  pulse: { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.2, wireFeedMPerMin: 5.5, extensionMm: 13 },
  plan: {
    seam: { materialGroup: 'steel', thicknessesMm: [3, 3], joint: 'tee', position: 'PB', gapMm: 0, lengthMm: 100 },
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1,
    mode: 'pulse',
    arcHabit: 'by-joint',
  },
  'double-pulse': { from: { school: 'swing', meanFeedMPerMin: 7, swingPercent: 20, frequencyHz: 2 }, to: 'top' },
  bead: { filler: 'steel-solid', diameterMm: 1.2, wireFeedMPerMin: 8.5, legMm: 6 },
  heat: {
    voltageV: 24.6,
    currentA: 186,
    travelMmPerMin: 420,
    efficiency: 0.8,
    thicknessMm: 10,
    preheatC: 20,
    shape: 'run-on-plate',
  },
  translate: { machine: examples['rowan'], program: examples['lid-seam'] },
  'read-dials': { machine: examples['rowan'], dials: { line: 12 } },
  sequence: {
    program: examples['lid-seam'],
    events: [
      { atS: 1, action: 'press' },
      { atS: 3, action: 'release' },
    ],
    untilS: 6,
  },
  calibrate: {
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1,
    points: [{ wireFeedMPerMin: 8, meanCurrentA: 140, ctwdMm: 16 }],
  },
};

export interface FuzzReport {
  readonly requests: number;
  readonly fives: readonly string[];
  readonly stacks: number;
}

export async function fuzzRequests(stack: Stack, count: number, seed: number): Promise<FuzzReport> {
  const fuzzer = new Fuzzer(seed);
  const fives: string[] = [];
  let stacks = 0;
  const leftAlone: readonly EndpointName[] = [
    'backup',
    'jobEvents',
    'signOut',
    'changePin',
    'makeOwner',
    'addJob',
    'signIn',
    'demoSignIn',
  ];
  const names = endpointNames.filter((name) => !leftAlone.includes(name));
  const one = async () => {
    const name = fuzzer.pick(names);
    const endpoint: Endpoint = endpoints[name];
    const ids = ['axle-plate-to-tube', 'rowan', 'order-2041', 'mix-1', 'nowhere', ...oddTexts];
    const filled = endpoint.path.replace(/:(\w+)/g, () => encodeURIComponent(wellFormed(fuzzer.pick(ids))));
    const query = fuzzer.chance(0.4)
      ? `?${fuzzer.pick(['limit', 'cursor', 'kind', 'machine', 'paper', 'x[y]'])}=${encodeURIComponent(wellFormed(fuzzer.pick(oddTexts)))}`
      : '';
    const headers: Record<string, string> = {};
    if (fuzzer.chance(0.8)) headers['if-match'] = fuzzer.pick(['"1"', '"999999999"', '*', 'W/"2"', '""']);
    if (fuzzer.chance(0.8))
      headers['idempotency-key'] = fuzzer.pick([crypto.randomUUID(), crypto.randomUUID(), 'x', '']);
    if (fuzzer.chance(0.1)) headers['range'] = fuzzer.pick(['bytes=5-1', 'bytes=-', 'bytes=0-0,1-1', 'x']);
    if (fuzzer.chance(0.05)) headers['accept-encoding'] = fuzzer.pick(['gzip;q=x', '*;q=0', '']);
    const verb = fuzzer.pick(verbNames);
    const path = name === 'compute' ? `/compute/${verb}` : `${filled}${query}`;
    const sound =
      name === 'compute'
        ? soundInputs[verb]
        : { name: 'A', about: '', count: 1, dials: {}, file: examples['hazel'], kind: 'note', body: { text: 'x' } };
    const body = endpoint.body ? fuzzer.spoil(sound ?? {}) : undefined;
    const answer = await stack.ask(endpoint.method, path, body, headers).catch((error: unknown) => error as Error);
    if (answer instanceof Error) {
      fives.push(`${endpoint.method} ${path.slice(0, 80)}: no answer, ${answer.message}`);
      return;
    }
    const text = await answer.text();
    if (answer.status === 500)
      fives.push(`${endpoint.method} ${path.slice(0, 80)} ${JSON.stringify(body)?.slice(0, 200) ?? ''}`);
    if (/node_modules|\bat .*\.ts:\d+/.test(text)) stacks += 1;
  };
  for (let done = 0; done < count; done += 20)
    await Promise.all(Array.from({ length: Math.min(20, count - done) }, one));
  fives.push(...(await damagedRequests(stack)));
  return { requests: count, fives, stacks };
}

function wellFormed(text: string): string {
  return text.toWellFormed();
}

/** What no client library would send. */
async function damagedRequests(stack: Stack): Promise<string[]> {
  const { port } = new URL(stack.url);
  const raw = (head: string, body: Buffer | string = '') =>
    new Promise<string>((resolve) => {
      const socket = connect(Number(port), '127.0.0.1');
      let said = '';
      socket.on('data', (chunk) => (said += chunk.toString('latin1')));
      socket.on('close', () => resolve(said));
      socket.on('error', () => resolve(said));
      socket.setTimeout(4000, () => socket.destroy());
      socket.write(head.replaceAll('\n', '\r\n'));
      socket.end(body);
    });
  const to = (path: string, more: string, length: number) =>
    `POST /api/${path} HTTP/1.1\nHost: 127.0.0.1\nConnection: close\nContent-Type: application/json\nContent-Length: ${length}\n${more}\n`;
  const deep = `{"a":${'['.repeat(50_000)}${']'.repeat(50_000)}}`;
  const half = gzipSync('{"a":1}').subarray(0, 12);
  const cases: [string, string, (Buffer | string)?][] = [
    ['a corrupt compressed body', to('session', 'Content-Encoding: gzip\n', 7), 'nogzip!'],
    ['half a compressed body', to('session', 'Content-Encoding: gzip\n', half.length), half],
    ['a body that is cut off', to('session', '', 5000), '{"personId":'],
    ['50 000 lists in one another', to('session', '', deep.length), deep],
    ['half a surrogate pair', to('session', '', 40), '{"personId":"\\ud800","pin":"1234"}       '],
    ['a NUL in the text', to('session', '', 40), '{"personId":"a\\u0000b","pin":"1234"}     '],
    ['an asset that climbs', 'GET /assets/..%2f..%2fpackage.json HTTP/1.1\nHost: 127.0.0.1\nConnection: close\n\n'],
    ['an asset with a NUL', 'GET /assets/a%00b.js HTTP/1.1\nHost: 127.0.0.1\nConnection: close\n\n'],
    ['an address that is no UTF-8', 'GET /api/seams/%ff HTTP/1.1\nHost: 127.0.0.1\nConnection: close\n\n'],
    ['a bad range', 'GET /index.html HTTP/1.1\nHost: 127.0.0.1\nConnection: close\nRange: bytes=9999999-1\n\n'],
    ['a header that never ends', `GET /api/health HTTP/1.1\nHost: 127.0.0.1\nX: ${'a'.repeat(40_000)}\n\n`],
    ['no host', 'GET /api/health HTTP/1.1\nConnection: close\n\n'],
  ];
  const bad: string[] = [];
  for (const [name, head, body] of cases) {
    const status = Number((await raw(head, body)).split(' ')[1]);
    // Cut-off bodies may get no answer at all; a 500 is never one.
    if (status >= 500) bad.push(`${name}: ${status}`);
  }
  const alive = await stack.ask('GET', '/ready');
  if (alive.status !== 200) bad.push('the server did not survive damaged requests');
  return bad;
}

/** Inputs of the command line, in this process. Counts throws. */
export function fuzzCommandLine(count: number, seed: number): { inputs: number; throws: readonly string[] } {
  const fuzzer = new Fuzzer(seed);
  const throws: string[] = [];
  for (let at = 0; at < count; at++) {
    const verb = fuzzer.chance(0.02) ? fuzzer.pick(oddTexts) : fuzzer.pick(Object.keys(soundInputs));
    const text = fuzzer.chance(0.04)
      ? fuzzer.pick([
          '',
          '{',
          '[]',
          'null',
          '"x"',
          '['.repeat(50_000),
          `{"a":${'['.repeat(50_000)}${']'.repeat(50_000)}}`,
          '\uFEFF{}',
        ])
      : JSON.stringify(fuzzer.spoil(soundInputs[verb] ?? {}));
    try {
      const answer = runVerb(verb, () => text, english);
      if (answer.ok && /NaN|Infinity/.test(JSON.stringify(answer.value) ?? ''))
        throws.push(`${verb}: not a number in an answer`);
      if (!answer.ok && /"message":""/.test(JSON.stringify(answer.error)))
        throws.push(`${verb}: refused without a word`);
    } catch (error) {
      throws.push(`${verb} ${text.slice(0, 200)}: ${String(error)}`);
    }
  }
  say(`${count} command-line inputs: ${throws.length} thrown`);
  return { inputs: count, throws };
}
