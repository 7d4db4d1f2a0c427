import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { verbNames } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const pulse = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.2, wireFeedMPerMin: 5.5, extensionMm: 13 };

describe('computations over HTTP', () => {
  it.each([
    ['melt', { filler: 'cusi3', diameterMm: 1, extensionMm: 11, currentA: 80 }, { currentA: 80 }],
    ['pulse', pulse, { frequencyHz: expect.closeTo(114.6, 1) }],
    [
      'bead',
      { filler: 'steel-solid', diameterMm: 1.2, wireFeedMPerMin: 8.5, legMm: 6 },
      { travelMmPerMin: expect.closeTo(476, 0) },
    ],
    [
      'double-pulse',
      { from: { school: 'swing', meanFeedMPerMin: 7, swingPercent: 20, frequencyHz: 2 }, to: 'top' },
      { representable: true },
    ],
    [
      'heat',
      {
        voltageV: 24.6,
        currentA: 186,
        travelMmPerMin: 420,
        efficiency: 0.8,
        thicknessMm: 10,
        preheatC: 20,
        shape: 'run-on-plate',
      },
      { heatInputKjPerMm: expect.closeTo(0.523, 3) },
    ],
    [
      'simulate',
      {
        filler: 'steel-solid',
        gas: 'M21-ArC-18',
        diameterMm: 1.2,
        wireFeedMPerMin: 5.5,
        ctwdMm: 17.5,
        seconds: 0.3,
        seed: 1,
        source: { kind: 'pulse', trim: 0 },
        trace: true,
      },
      {
        transferMode: 'pulsed-one-drop',
        trace: expect.arrayContaining([expect.objectContaining({ currentA: expect.any(Number) })]),
      },
    ],
    [
      'calibrate',
      {
        filler: 'steel-solid',
        gas: 'M21-ArC-18',
        diameterMm: 1.2,
        points: [
          { wireFeedMPerMin: 5, meanCurrentA: 190, ctwdMm: 17.5 },
          { wireFeedMPerMin: 9, meanCurrentA: 300, ctwdMm: 17.5 },
        ],
      },
      { verdict: expect.any(String) },
    ],
  ])('%s', async (verb, input, answer) => {
    const response = await test.as().post(`/api/compute/${verb}`).send(input).expect(200);
    expect(response.body).toMatchObject(answer);
  });

  it('lists every issue of a bad question, for every verb', async () => {
    for (const verb of verbNames) {
      const response = await test.as().post(`/api/compute/${verb}`).send({ filler: 5, nonsense: 1 }).expect(422);
      expect(response.body.issues.length).toBeGreaterThan(1);
      expect(
        response.body.issues.every(
          (issue: { path: string; code: string }) => issue.path !== undefined && issue.code !== '',
        ),
      ).toBe(true);
    }
    await test.as().post('/api/compute/guess').send({}).expect(404);
  });
});

describe('the API describes itself', () => {
  it('names every computation and every write’s headers', async () => {
    const { body } = await test.as().get('/api/openapi.json').expect(200);
    expect(body.openapi).toBe('3.1.0');
    for (const verb of verbNames) {
      const { schema } = body.paths[`/compute/${verb}`].post.requestBody.content['application/json'];
      // A question that can be asked in two ways is described in both.
      for (const one of schema.anyOf ?? [schema]) expect(one.type).toBe('object');
    }
    const names = body.paths['/seams/{id}'].put.parameters.map((parameter: { name: string }) => parameter.name);
    expect(names).toEqual(['id', 'If-Match']);
    const page = await test.as().get('/api/docs').expect(200);
    expect(page.text).toContain('PUT /api/seams/{id}');
  });
});
