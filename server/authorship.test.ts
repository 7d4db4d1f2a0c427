/** A record keeps its author and its moment, whoever is signed in when it arrives, and counts once. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import {
  authorHeader,
  problems,
  hoursAfterSession,
  keptAnswerDays,
  madeAtHeader,
  outboxDays,
  type Observation,
  type Run,
  type SessionState,
} from '@fox-tempo/contract';
import { createTickets } from './modules/session/index.ts';
import { openTestApp, type DemoPerson } from './testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const ticketOf = async (person: DemoPerson) => {
  const { me } = (await test.as(person).get('/api/session').expect(200)).body as SessionState;
  return me?.ticket ?? '';
};
const note = { kind: 'note', body: { text: 'two grains of spatter' } };
const madeAt = '2026-01-02T03:04:05.000Z';

function observe(by: DemoPerson, ticket: string | null, key: string = randomUUID()) {
  const call = test.as(by).post('/api/observations').set('idempotency-key', key).set(madeAtHeader, madeAt);
  return (ticket === null ? call : call.set(authorHeader, ticket)).send(note);
}

describe('a record that comes under another session', () => {
  it('keeps its author and moment, and is marked with who sent it', async () => {
    const { body } = await observe('ilse-brandokor', await ticketOf('teo-varnholt')).expect(201);
    expect(body).toMatchObject({
      recordedBy: 'Teo Varnholt',
      sentBy: 'Ilse Brandokor',
      deviceAt: madeAt,
    } satisfies Partial<Observation>);
  });

  it('counts once, under whichever session it is sent again', async () => {
    const key = randomUUID();
    const ticket = await ticketOf('teo-varnholt');
    const first = await observe('ilse-brandokor', ticket, key).expect(201);
    expect((await observe('runa-felswick', ticket, key).expect(201)).body).toEqual(first.body);
    expect((await observe('teo-varnholt', null, key).expect(201)).body).toEqual(first.body);
    // Not as somebody else's, though.
    await observe('runa-felswick', null, key).expect(422);
  });

  it('has the rights of its author, not of who sends it', async () => {
    await observe('corvin-dellamaar', null).expect(403);
    await observe('corvin-dellamaar', await ticketOf('teo-varnholt')).expect(201);
    await observe('teo-varnholt', await ticketOf('corvin-dellamaar')).expect(403);
  });

  it.each([
    ['made up', () => Promise.resolve('teo-varnholt.99999999999999.abc')],
    [
      'of another person than it is signed for',
      async () => (await ticketOf('teo-varnholt')).replace('teo-varnholt', 'runa-felswick'),
    ],
    ['of nobody here', () => Promise.resolve('x')],
  ])('is refused with a ticket that is %s', async (_what, ticket) => {
    const { body } = await observe('ilse-brandokor', await ticket()).expect(403);
    expect(body.type).toBe('/problems/author-unknown');
  });

  it('needs a session all the same', async () => {
    const { default: request } = await import('supertest');
    await request(test.app)
      .post('/api/observations')
      .set('idempotency-key', randomUUID())
      .set(authorHeader, await ticketOf('teo-varnholt'))
      .send(note)
      .expect(401);
  });

  it('is taken for acts of observation alone', async () => {
    const ticket = await ticketOf('mirja-keskalo');
    await test
      .as('teo-varnholt')
      .put('/api/shop')
      .set(authorHeader, ticket)
      .set('if-match', '"1"')
      .send({})
      .expect(403);
  });

  it('draws stock for its author: a logged weld, a count, a reading', async () => {
    const ticket = await ticketOf('teo-varnholt');
    const late = (path: string) =>
      test.as('runa-felswick').post(path).set(authorHeader, ticket).set(madeAtHeader, madeAt);
    const run = (
      await late('/api/runs').send({ seamId: 'counter-corner', machineId: 'hazel', revision: 1, body: {} }).expect(201)
    ).body as Run;
    expect(run).toMatchObject({ recordedBy: 'Teo Varnholt', sentBy: 'Runa Felswick', deviceAt: madeAt });
    const reading = await late('/api/machines/rowan/lead-readings').send({ mOhm: 15, note: '' }).expect(201);
    expect(reading.body).toMatchObject({ by: 'Teo Varnholt', at: madeAt });
  });
});

describe('a ticket', () => {
  const tickets = createTickets('a secret');
  const ends = Date.parse('2026-05-01T18:00:00Z');
  it('holds for a day after its session ended, and not a second longer', () => {
    const ticket = tickets.issue('teo.v', ends);
    const last = ends + hoursAfterSession * 3_600_000;
    expect(tickets.read(ticket, last)).toBe('teo.v');
    expect(tickets.read(ticket, last + 1)).toBeUndefined();
  });
  it('of another server is nothing', () => {
    expect(createTickets('another').read(tickets.issue('teo', ends), ends)).toBeUndefined();
  });
});

describe('answers to keys', () => {
  it('are kept longer than any device asks again', () => {
    expect(keptAnswerDays).toBeGreaterThan(2 * outboxDays);
  });
  it('are sent again only after a fault that passes', () => {
    const again = Object.entries(problems).flatMap(([kind, { fate }]) => (fate === 'again' ? [kind] : []));
    expect(again.sort()).toEqual(['busy', 'cross-site', 'database-away', 'internal', 'too-many', 'wrong-host'].sort());
  });
});
