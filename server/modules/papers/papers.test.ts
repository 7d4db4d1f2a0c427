import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { MachineResource, Page, SeamResource, TrialRow } from '@fox-tempo/contract';
import { languages } from '@fox-tempo/words';
import { marked, outsideMarks } from '../../testing/marked.ts';
import { openTestApp } from '../../testing/test-app.ts';
import { procedureDocument } from './procedure-document.ts';
import { pagesOf } from './pdf.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const sheet = (id: string, query: object) => test.as().get(`/api/seams/${id}/procedure.pdf`).query(query);

describe('a procedure sheet', () => {
  it('says no word that is in no catalogue', async () => {
    const seam = (await test.as().get('/api/seams/axle-plate-to-tube').expect(200)).body as SeamResource;
    const machine = (await test.as().get('/api/machines/rowan').expect(200)).body as MachineResource;
    const trials = (await test.as().get('/api/trials?seam=axle-plate-to-tube').expect(200)).body as Page<TrialRow>;
    if (!seam.revision) throw new Error('no setting');
    const page = procedureDocument(
      {
        seam,
        revision: seam.revision,
        machine,
        shopName: 'Alderwick Yard',
        passed: trials.items.filter(({ verdict }) => verdict === 'pass'),
        paper: 'A4',
        language: 'en',
        units: 'metric',
        printedAt: new Date('2026-11-20T10:00:00Z'),
        timeZone: 'Europe/Berlin',
      },
      marked,
    );
    const months = ['Sep', 'Oct', 'Nov', 'Dec'];
    expect(outsideMarks(page.content, [seam, machine, trials, 'Alderwick Yard', months])).toEqual([]);
  });

  it.each(languages)('is one page in %s, in either system of units', async (lang) => {
    for (const [units, paper] of [
      ['metric', 'A4'],
      ['us', 'LETTER'],
    ] as const) {
      const printed = await sheet('axle-plate-to-tube', { machine: 'rowan', units, paper, lang }).expect(200);
      expect(printed.headers['content-type']).toContain('application/pdf');
      expect(pagesOf(printed.body as Buffer)).toBe(1);
    }
  });

  it('of a prepared butt with several passes is made too', async () => {
    const printed = await sheet('tow-beam-butt', { machine: 'rowan' }).expect(200);
    expect((printed.body as Buffer).subarray(0, 4).toString()).toBe('%PDF');
  });

  it('refuses a revision, a machine or a setting that is not there, by name', async () => {
    const refused = await sheet('axle-plate-to-tube', { machine: 'rowan', revision: 99 }).expect(422);
    expect(refused.body.issues[0]).toMatchObject({ path: 'revision', code: 'unknown-revision', got: 99 });
    await sheet('axle-plate-to-tube', { machine: 'nowhere' }).expect(404);
    const none = await sheet('canopy-post-edge', { machine: 'rowan' }).expect(404);
    expect(none.body.detail).toContain('no saved setting');
  });
});

describe('the run plan for the wall', () => {
  const wall = (query: object = {}) => test.as().get('/api/run-plan.pdf').query(query);

  it.each(languages)('is a page in %s, in either system of units', async (lang) => {
    for (const [units, paper] of [
      ['metric', 'A4'],
      ['us', 'LETTER'],
    ] as const) {
      const printed = await wall({ units, paper, lang }).expect(200);
      expect(printed.headers['content-type']).toContain('application/pdf');
      expect(pagesOf(printed.body as Buffer)).toBe(1);
    }
  });

  it('takes what was moved by hand and who is away; a machine that is not there is nobody’s', async () => {
    const whole = (await wall().expect(200)).body as Buffer;
    const without = (await wall({ away: 'alder,hazel,rowan' }).expect(200)).body as Buffer;
    // No lanes and no tables are left.
    expect(without.length).toBeLessThan(whole.length);
    await wall({ fixed: 'rowan:order-2041/hitch-bracket-fillet,nothing;nowhere:x', away: 'nowhere' }).expect(200);
    await wall({ fixed: 'x'.repeat(12_001) }).expect(422);
  });
});

describe('the record of a trial', () => {
  it('is a page with its photographs, in every language', async () => {
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    );
    const kept = await test
      .as('teo-varnholt')
      .post('/api/blobs')
      .set('content-type', 'image/png')
      .send(png)
      .expect(201);
    const added = await test
      .as('teo-varnholt')
      .post('/api/trials')
      .set('idempotency-key', '7a0e3d8e-52f5-4c1b-9a5e-3f2f0a4f1c11')
      .send({
        seamId: 'axle-plate-to-tube',
        machineId: 'rowan',
        attachments: [{ sha256: kept.body.sha256, name: 'front.png' }],
        body: {
          symptoms: { 'crater-crack': { answer: 'yes', severity: 2 }, hole: { answer: 'no' } },
          timing: { seconds: 20, lengthMm: 200, by: 'typed' },
          measured: { legsMm: [3.4, 3.8] },
          tests: [{ kind: 'fracture', result: 'fail' }],
          loaded: { filler: 'steel-solid', gas: 'C1', diameterMm: 1 },
          note: 'gas bottle swapped by hand',
        },
      })
      .expect(201);
    for (const lang of languages) {
      const printed = await test.as().get(`/api/trials/${added.body.id}/record.pdf`).query({ lang }).expect(200);
      expect([lang, pagesOf(printed.body as Buffer)]).toEqual([lang, 1]);
      expect((printed.body as Buffer).toString('latin1')).toContain('/Subtype /Image');
    }
  });

  it('of nothing is not found', async () => {
    await test.as().get('/api/trials/00000000-0000-4000-8000-00000000ffff/record.pdf').expect(404);
    await test.as().get('/api/trials/not-an-id/record.pdf').expect(404);
    const { body } = await test.as().get('/api/trials').query({ limit: 1 }).expect(200);
    expect((body as Page<TrialRow>).items.length).toBe(1);
  });
});
