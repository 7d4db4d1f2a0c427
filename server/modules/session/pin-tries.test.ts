/** Wrong PINs are counted by person and device: a stranger shuts nobody out, and the person hears of it. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { OwnSession, Person, SessionState } from '@fox-tempo/contract';
import { people } from '../../db/demo/shop.ts';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp({ limits: { perMinute: 100_000, signInsPerMinute: 100_000 } });
});
afterAll(() => test.close());

const pinOf = (id: string) => people.find((person) => person.id === id)?.pin ?? '';
type Agent = ReturnType<typeof request.agent>;
const signIn = (agent: Agent, personId: string, pin: string) => agent.post('/api/session').send({ personId, pin });
const wrong = async (agent: Agent, personId: string, times: number) => {
  const statuses: number[] = [];
  for (let at = 0; at < times; at++) statuses.push((await signIn(agent, personId, '2905')).status);
  return statuses;
};

describe('wrong PINs', () => {
  it('from elsewhere make nobody wait on a device of the shop', async () => {
    const tablet = request.agent(test.app);
    await signIn(tablet, 'runa-felswick', pinOf('runa-felswick')).expect(200);
    expect(await wrong(request.agent(test.app), 'teo-varnholt', 6)).toEqual([401, 401, 401, 401, 401, 429]);
    // A new device is no new chance.
    expect(await wrong(request.agent(test.app), 'teo-varnholt', 1)).toEqual([429]);
    const { body } = await signIn(tablet, 'teo-varnholt', pinOf('teo-varnholt')).expect(200);
    expect((body as SessionState).me?.wrongTries?.count).toBe(5);
    // Told once.
    const again = await signIn(tablet, 'teo-varnholt', pinOf('teo-varnholt')).expect(200);
    expect((again.body as SessionState).me?.wrongTries).toBeNull();
  });

  it('at a release or decision shut the lead hand out of neither device nor release of others', async () => {
    const tablet = request.agent(test.app);
    await signIn(tablet, 'runa-felswick', pinOf('runa-felswick')).expect(200);
    const release = (agent: Agent, pin: string) =>
      agent
        .post('/api/seams/counter-corner/releases')
        .send({ by: { personId: 'ilse-brandokor', pin }, reason: 'gap is wide' });
    const statuses: number[] = [];
    for (let at = 0; at < 6; at++) statuses.push((await release(tablet, '2905')).status);
    expect(statuses).toEqual([401, 401, 401, 401, 401, 429]);
    await signIn(tablet, 'bastian-oxmere', pinOf('bastian-oxmere')).expect(200);
    await release(tablet, pinOf('ilse-brandokor')).expect(201);
    await signIn(tablet, 'ilse-brandokor', pinOf('ilse-brandokor')).expect(200);
  });

  it('answer for nobody as for anybody, to the last wait', async () => {
    const answers = async (id: string) => {
      const agent = request.agent(test.app);
      const said: unknown[] = [];
      for (let at = 0; at < 6; at++) {
        const { status, body } = await signIn(agent, id, '2905');
        said.push([status, (body as { type: string }).type]);
      }
      return said;
    };
    expect(await answers('nobody-at-all')).toEqual(await answers('odile-trennaby'));
  });

  it('are told to an owner, and to nobody else', async () => {
    await wrong(request.agent(test.app), 'corvin-dellamaar', 2);
    const list = async (by: 'mirja-keskalo' | 'ilse-brandokor') =>
      ((await test.as(by).get('/api/people').expect(200)).body.items as Person[]).find(
        ({ id }) => id === 'corvin-dellamaar',
      )?.wrongTries;
    expect((await list('mirja-keskalo'))?.count).toBe(2);
    expect(await list('ilse-brandokor')).toBeNull();
  });
});

describe('a new PIN', () => {
  it.each(['1111', '55555555', '1234', '87654321', '34567'])('%s is too plain', async (pin) => {
    const { body } = await test
      .as('mirja-keskalo')
      .post('/api/people')
      .send({ name: `Somebody ${pin}`, role: 'welder', pin })
      .expect(422);
    expect(body.issues[0].path).toBe('pin');
  });
  it.each(['1123', '1212', '9180', '1235'])('%s is taken', async (pin) => {
    await test
      .as('mirja-keskalo')
      .post('/api/people')
      .send({ name: `Somebody ${pin}`, role: 'welder', pin })
      .expect(201);
  });
});

describe('one’s own sign-ins', () => {
  it('are listed, and ended one by one', async () => {
    const [here, elsewhere, other] = [request.agent(test.app), request.agent(test.app), request.agent(test.app)];
    await signIn(here, 'odile-trennaby', '').expect(422);
    await test.connection.pool.query('delete from pin_tries');
    await signIn(here, 'odile-trennaby', pinOf('odile-trennaby'))
      .set('user-agent', 'Mozilla/5.0 (Android) Firefox/150')
      .expect(200);
    await signIn(elsewhere, 'odile-trennaby', pinOf('odile-trennaby')).expect(200);
    await signIn(other, 'runa-felswick', pinOf('runa-felswick')).expect(200);
    const list = async (agent: Agent) => (await agent.get('/api/session/list').expect(200)).body as OwnSession[];
    const mine = (await list(here)).filter(({ startedAt }) => startedAt !== null);
    expect(mine.find(({ isThis }) => isThis)?.device).toBe('Firefox, Android');
    const there = (await list(elsewhere)).find(({ isThis }) => isThis)!;
    // Another's is not there.
    await other.delete(`/api/session/list/${there.id}`).expect(404);
    await here.delete(`/api/session/list/${there.id}`).expect(200);
    await elsewhere.get('/api/seams').expect(401);
    await here.get('/api/seams').expect(200);
  });
});
