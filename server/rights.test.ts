/** The table of rights, walked with real sessions: every act that depends on a state, tried by every role in that state. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import {
  acts,
  may,
  mayGiveRole,
  mayKeepPerson,
  rights,
  roles,
  type Act,
  type Job,
  type OwnSession,
  type Person,
  type Right,
  type Role,
  type SeamResource,
  type State,
  type Trial,
} from '@fox-tempo/contract';
import { presetLimits, symptomCodes, usualLevel } from '@fox-tempo/core/evidence/trial';
import { openTestApp, personOf, type DemoPerson } from './testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp({ limits: { perMinute: 100_000, signInsPerMinute: 100_000 } });
});
afterAll(() => test.close());

const pinOfNobody = '2905';
const owner = () => test.as('mirja-keskalo');
const seamNow = async (id: string) => (await owner().get(`/api/seams/${id}`).expect(200)).body as SeamResource;
const clean = { symptoms: Object.fromEntries(symptomCodes.map((code) => [code, { answer: 'no' }])), measured: {} };

/** A seam of its own with a saved setting, in the states asked for. */
async function seamIn(...states: readonly State[]): Promise<SeamResource> {
  const from = await seamNow('counter-corner');
  const copied = await owner()
    .post('/api/seams/counter-corner/copy')
    .send({ partId: from.partId, name: `Corner ${randomUUID().slice(0, 8)}` })
    .expect(201);
  const { id } = copied.body as SeamResource;
  const put = async (path: string, body: object) =>
    owner()
      .put(`/api/seams/${id}${path}`)
      .set('if-match', `"${(await seamNow(id)).version}"`)
      .send(body)
      .expect(200);
  if (states.includes('issued')) {
    const { revision, spec } = await seamNow(id);
    if (!revision) throw new Error('the copy has no setting');
    await put('/limits', { limits: presetLimits(spec, revision.choice, revision.site, usualLevel) });
    const trial = await owner()
      .post('/api/trials')
      .send({ seamId: id, machineId: 'hazel', body: { ...clean, measured: { gauge: 'fits' } } })
      .expect(201);
    await owner()
      .post(`/api/seams/${id}/issue`)
      .send({ revision: 1, machineId: 'hazel', reason: 'for this walk', evidence: [(trial.body as Trial).id] })
      .expect(201);
  }
  if (states.includes('locked')) await put('/lock', { locked: true, reason: 'for this walk' });
  if (states.includes('offTheList'))
    await owner()
      .delete(`/api/seams/${id}`)
      .set('if-match', `"${(await seamNow(id)).version}"`)
      .expect(200);
  return seamNow(id);
}

const send = (role: Role, method: 'put' | 'post' | 'delete' | 'get', path: string, version?: number) => {
  const call = test.as(personOf[role])[method](`/api${path}`);
  return version === undefined ? call : call.set('if-match', `"${version}"`);
};
const machine = 'hazel';

/** How each act that a state bears on is tried; answers the status. */
type Attempt = (role: Role, states: readonly State[]) => Promise<number>;
const onSeam =
  (act: (role: Role, seam: SeamResource) => Promise<{ status: number }>): Attempt =>
  async (role, states) =>
    (await act(role, await seamIn(...states))).status;

const loosenedLimits = ({ spec, revision, limits }: SeamResource) => {
  if (!revision) throw new Error('no setting');
  const before = limits ?? presetLimits(spec, revision.choice, revision.site, usualLevel);
  return { ...before, undercutMm: before.undercutMm + 0.5, spatter: Math.min(before.spatter + 1, 4) };
};

/** Somebody else's trial, observation, weld, job or session where `anothers`; one's own else. */
const authorOf = (role: Role, states: readonly State[]): DemoPerson =>
  states.includes('anothers') ? 'runa-felswick' : personOf[role];

async function trialBy(person: DemoPerson): Promise<Trial> {
  const sent = { seamId: 'counter-corner', machineId: machine, body: clean };
  return (await test.as(person).post('/api/trials').send(sent).expect(201)).body as Trial;
}

const attempts: Partial<Record<Act, Attempt>> = {
  saveSeam: onSeam((role, { id, version, spec, choice }) =>
    send(role, 'put', `/seams/${id}`, version).send({ spec: { ...spec, lengthMm: spec.lengthMm + 20 }, choice }),
  ),
  moveSeam: onSeam((role, { id, version, partId }) => send(role, 'put', `/seams/${id}/part`, version).send({ partId })),
  saveOffset: onSeam((role, { id }) =>
    send(role, 'put', `/seams/${id}/offset`).send({ machineId: machine, revision: 1, offset: {} }),
  ),
  releaseSeam: onSeam((role, { id }) =>
    send(role, 'post', `/seams/${id}/releases`).send({
      by: { personId: 'ilse-brandokor', pin: '2405' },
      reason: 'for this walk',
    }),
  ),
  lockSeam: onSeam((role, { id, version }) =>
    send(role, 'put', `/seams/${id}/lock`, version).send({ locked: true, reason: 'for this walk' }),
  ),
  issueSeam: async (role, states) => {
    const seam = await seamIn('issued', ...states);
    const { items } = (await owner().get(`/api/trials?seam=${seam.id}`)).body as { items: { id: string }[] };
    const body = { revision: 1, machineId: machine, reason: 'once more', evidence: [items[0]?.id] };
    return (await send(role, 'post', `/seams/${seam.id}/issue`).send(body)).status;
  },
  saveLimits: onSeam((role, { id, version, spec, revision }) =>
    send(role, 'put', `/seams/${id}/limits`, version).send({
      limits: revision && { ...presetLimits(spec, revision.choice, revision.site, usualLevel), spatter: 0 },
    }),
  ),
  loosenLimits: onSeam((role, seam) =>
    send(role, 'put', `/seams/${seam.id}/limits`, seam.version).send({
      limits: loosenedLimits(seam),
      reason: 'for this walk',
    }),
  ),
  saveWindow: onSeam((role, { id, version }) =>
    send(role, 'put', `/seams/${id}/window`, version).send({
      machineId: machine,
      revision: 1,
      window: null,
      reason: 'for this walk',
    }),
  ),
  addTrial: onSeam((role, { id }) =>
    send(role, 'post', '/trials').send({ seamId: id, machineId: machine, body: clean }),
  ),
  addRun: onSeam((role, { id }) =>
    send(role, 'post', '/runs').send({ seamId: id, machineId: machine, revision: 1, body: {} }),
  ),
  storeInSlot: onSeam(async (role, { id }) => {
    const { items } = (await owner().get(`/api/machines/${machine}/slots`)).body as {
      items: { id: number; slot: number }[];
    };
    const here = items.find(({ slot }) => slot === 5);
    return send(role, 'post', `/machines/${machine}/slots/5`).send({
      seamId: id,
      note: '',
      replaces: here?.id ?? null,
    });
  }),
  correctTrial: async (role, states) => {
    const { id } = await trialBy(authorOf(role, states));
    const sent = { seamId: 'counter-corner', machineId: machine, corrects: id, why: 'misread', body: clean };
    return (await send(role, 'post', '/trials').send(sent)).status;
  },
  withdraw: async (role, states) => {
    const made = await test
      .as(authorOf(role, states))
      .post('/api/observations')
      .send({ kind: 'note', body: { text: 'x' } })
      .expect(201);
    const sent = { kind: 'withdrawal', corrects: (made.body as { id: string }).id, body: { why: 'a slip' } };
    return (await send(role, 'post', '/observations').send(sent)).status;
  },
  callSlip: async (role, states) => {
    const sent = { seamId: 'counter-corner', machineId: machine, revision: 1, body: {} };
    const run = (await test.as(authorOf(role, states)).post('/api/runs').send(sent).expect(201)).body as { id: string };
    return (await send(role, 'post', `/runs/${run.id}/decision`).send({ decision: 'slip' })).status;
  },
  endSession: async (role, states) => {
    const agent = request.agent(test.app);
    await agent
      .post('/api/session/demo')
      .send({ personId: authorOf(role, states) })
      .expect(200);
    const there = ((await agent.get('/api/session/list')).body as OwnSession[]).find(({ isThis }) => isThis);
    return (await send(role, 'delete', `/session/list/${there?.id ?? ''}`)).status;
  },
  job: async (role, states) => (await send(role, 'get', `/jobs/${await jobOf(authorOf(role, states))}`)).status,
  jobEvents: async (role, states) => {
    const id = await jobOf(authorOf(role, states));
    await test.connection.pool.query(`update jobs set state = 'done' where id = $1`, [id]);
    return (await send(role, 'get', `/jobs/${id}/events`)).status;
  },
  cancelJob: async (role, states) =>
    (await send(role, 'delete', `/jobs/${await jobOf(authorOf(role, states))}`)).status,
};

async function jobOf(person: DemoPerson): Promise<string> {
  const input = {
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1,
    ctwdMm: 16,
    mode: 'pulse',
  };
  const id = randomUUID();
  const insert = `insert into jobs (id, verb, input, created_by, state) values ($1, 'map', $2, $3, 'waiting')`;
  await test.connection.pool.query(insert, [id, JSON.stringify(input), person]);
  return ((await test.as(person).get(`/api/jobs/${id}`).expect(200)).body as Job & { id: string }).id;
}

/** What a refusal of the table looks like: not allowed, locked, off the list, or not there for one. */
const refusals = [403, 404, 409];

describe('the table of rights', () => {
  const withStates = acts.filter((act) => (rights[act] as Right).only !== undefined);

  it('has an attempt for every act that a state bears on', () => {
    expect(withStates.filter((act) => !attempts[act])).toEqual([]);
  });

  const printed: string[] = [];
  afterAll(() => {
    process.stdout.write(`\n${printed.join('\n')}\n`);
  });

  it.each(withStates)('%s is obeyed in every state by every role', async (act) => {
    const attempt = attempts[act];
    if (!attempt) throw new Error('no attempt');
    const only: Right['only'] = (rights[act] as Right).only ?? {};
    for (const states of [[], ...(Object.keys(only) as State[]).map((one) => [one])] as State[][]) {
      const row: string[] = [];
      for (const role of roles) {
        // An observation that the role may not even make is nobody's own to take back.
        if (['correctTrial', 'withdraw', 'callSlip'].includes(act) && role === 'office' && states.length === 0)
          continue;
        const status = await attempt(role, states);
        const allowed = may(act, role, ...states);
        row.push(`${role} ${status}`);
        expect({ act, states, role, status, taken: !refusals.includes(status) && status < 500 }).toEqual({
          act,
          states,
          role,
          status,
          taken: allowed,
        });
      }
      printed.push(`${act.padEnd(14)} ${(states[0] ?? '').padEnd(12)} ${row.join('  ')}`);
    }
  });
});

describe('roles and PINs', () => {
  it('are given and reset by nobody above their own', async () => {
    const wrong: string[] = [];
    for (const by of roles)
      for (const role of roles) {
        const add = await send(by, 'post', '/people').send({ name: `New ${by} ${role}`, role, pin: pinOfNobody });
        const given = add.status === 201;
        if (given !== (may('addPerson', by) && mayGiveRole(by, role))) wrong.push(`${by} gives ${role}: ${add.status}`);
        const made = await owner()
          .post('/api/people')
          .send({ name: `There ${by} ${role}`, role, pin: pinOfNobody })
          .expect(201);
        const { id, version } = made.body as Person;
        const reset = await send(by, 'put', `/people/${id}/pin`, version).send({ pin: '7193' });
        if ((reset.status === 200) !== mayKeepPerson(by, role)) wrong.push(`${by} resets ${role}: ${reset.status}`);
      }
    expect(wrong).toEqual([]);
  });

  it('of the office cannot be made more by the office itself', async () => {
    const corvin = ((await owner().get('/api/people')).body.items as Person[]).find(
      ({ id }) => id === 'corvin-dellamaar',
    );
    await send('office', 'put', '/people/corvin-dellamaar', corvin?.version)
      .send({ name: corvin?.name, role: 'lead', retired: false })
      .expect(403);
  });
});
