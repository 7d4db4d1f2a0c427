/** An application on a database of its own in the throwaway cluster, with a session for each of the demo shop's people. */
import type { Role } from '@fox-tempo/contract';
import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import pg from 'pg';
import request from 'supertest';
import { createApp } from '../app.ts';
import { assemble } from '../assemble.ts';
import { people } from '../db/demo/shop.ts';
import { seedIfEmpty } from '../db/seed.ts';
import type { Limits } from '../http/gate.ts';
import type { Template } from './templates.ts';

export type DemoPerson = (typeof people)[number]['id'];

/** One of the demo shop for each role. */
export const personOf: Record<Role, DemoPerson> = {
  welder: 'teo-varnholt',
  lead: 'ilse-brandokor',
  office: 'corvin-dellamaar',
  owner: 'mirja-keskalo',
};

export interface TestOptions {
  readonly seeded?: boolean;
  /** Six weeks of demo trials too. */
  readonly trials?: boolean;
  readonly limits?: Limits;
  /** A database that is there already. */
  readonly url?: string;
  readonly dataFolder?: string;
}

export async function openTestApp({ seeded = true, trials = false, limits, url, dataFolder }: TestOptions = {}) {
  const database = url ?? (await makeDatabase(seeded && !trials ? 'template_demo' : 'template_bare'));
  const assembly = await assemble({ url: database, dataFolder });
  const { connection, pool, queue, keeper, store, tickets } = assembly;
  if (seeded && trials) await seedIfEmpty(connection.db, { trials });
  const app = createApp({
    connection,
    sessions: store.handler,
    pool,
    queue,
    keeper,
    tickets,
    checksAnswers: true,
    ...(limits ? { limits } : {}),
  });
  const cookies = new Map<string, string>();
  if (seeded) for (const { id } of people) cookies.set(id, await cookieOf(app, id));
  return {
    url: database,
    connection,
    assembly,
    app,
    cookie: (person: DemoPerson = 'teo-varnholt') => cookies.get(person) ?? '',
    /** Requests with the person's session; the lead hand unless another one is named. */
    as: (person: DemoPerson = 'ilse-brandokor') =>
      request
        .agent(app)
        .set('Cookie', cookies.get(person) ?? '')
        .use(withNewKey),
    close: () => assembly.close(),
  };
}

async function cookieOf(app: Express, personId: string): Promise<string> {
  const answer = await request(app).post('/api/session/demo').send({ personId }).expect(200);
  const header = answer.headers['set-cookie'] as unknown as string[] | undefined;
  return header?.find((one) => one.startsWith('tempo='))?.split(';')[0] ?? '';
}

/** Every write adds something of its own, unless the test names a key. */
function withNewKey(call: { readonly method: string; set(name: string, value: string): unknown }): void {
  if (call.method === 'POST' || call.method === 'PUT') call.set('Idempotency-Key', randomUUID());
}

/** The address of a new database: empty, or a copy of a template. */
export async function makeDatabase(template?: Template): Promise<string> {
  const base = process.env['TEST_POSTGRES_URL'];
  if (base === undefined) throw new Error('the throwaway cluster is not running; run the tests through "npm run unit"');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: base });
  await admin.connect();
  await admin.query(`create database ${name} ${template === undefined ? '' : `template ${template}`}`);
  await admin.end();
  return base.replace(/\/postgres$/, `/${name}`);
}
