import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type MachineResource, type SeamResource } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine/dials';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { withOffset } from '@fox-tempo/core/evidence/window';
import { languages, wordsIn } from '@fox-tempo/words';
import { pagesOf } from '../papers/index.ts';
import { cardDocument, type CardContent } from './card-document.ts';
import { marked, outsideMarks } from '../../testing/marked.ts';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const card = (query: object, seamId = 'trike-frame-rail') =>
  test.as().get(`/api/seams/${seamId}/card.pdf`).query(query);
const seam = async (id: string) => (await test.as().get(`/api/seams/${id}`).expect(200)).body as SeamResource;

describe('printed cards', () => {
  it.each(['rowan', 'hazel', 'alder'])('the frame rail on %s, with its sequence', async (machine) => {
    const printed = await card({ machine, paper: 'A5', units: 'metric' }).expect(200);
    expect(printed.headers['content-type']).toContain('application/pdf');
    expect((printed.body as Buffer).subarray(0, 4).toString()).toBe('%PDF');
    expect(printed.headers['content-disposition']).toContain('r1.pdf');
  });

  it.each(['trike-frame-rail', 'trike-lid-seam', 'jack-post-upright'])(
    '%s, with the longest of sequences and cautions, is one page of the small paper on every machine',
    async (id) => {
      for (const machine of ['rowan', 'hazel', 'alder']) {
        const printed = await card({ machine, paper: 'A5', units: 'us' }, id).expect(200);
        expect(pagesOf(printed.body as Buffer)).toBe(1);
      }
    },
  );

  it.each(languages.filter((language) => language !== 'en'))(
    'are one page in %s too, with the English beside hazards nobody has read',
    async (lang) => {
      for (const [id, machine] of [
        ['trike-lid-seam', 'alder'],
        ['jack-post-upright', 'hazel'],
        ['trike-frame-rail', 'rowan'],
      ] as const) {
        const printed = await card({ machine, paper: 'A4', units: 'metric', lang }, id).expect(200);
        expect([id, pagesOf(printed.body as Buffer)]).toEqual([id, 1]);
      }
    },
  );

  it('every paper, in US units', async () => {
    for (const paper of ['A4', 'LETTER']) await card({ machine: 'alder', paper, units: 'us' }).expect(200);
  });

  it('refuses papers, machines and seams that are not there, by name', async () => {
    const paper = await card({ machine: 'alder', paper: 'A2', units: 'metric' }).expect(422);
    expect(paper.body.issues[0]).toMatchObject({ path: 'paper' });
    await card({ machine: 'nowhere', paper: 'A5', units: 'metric' }).expect(404);
    await card({ machine: 'alder', paper: 'A5', units: 'metric' }, 'nowhere').expect(404);
  });

  it('has nothing to print before a setting is saved', async () => {
    const refused = await card({ machine: 'alder', paper: 'A5', units: 'metric' }, 'canopy-post-edge').expect(404);
    expect(refused.body.detail).toContain('no saved setting');
  });
});

describe('a score kept with its revision', () => {
  it('comes back as it was saved, and an older revision keeps its own', async () => {
    const before = await seam('trike-frame-rail');
    const sequence = { ...before.choice!.sequence!, startS: 1.4, tapsAtMm: [120, 300] };
    const saved = await test
      .as('teo-varnholt')
      .put('/api/seams/trike-frame-rail')
      .set('if-match', `"${before.version}"`)
      .send({ spec: before.spec, choice: { ...before.choice, sequence } })
      .expect(200);
    expect((saved.body as SeamResource).revision).toMatchObject({
      number: 2,
      program: { sequence: { startS: 1.4, tapsAtMm: [120, 300] } },
    });
    const revisions = await test.as().get('/api/seams/trike-frame-rail/revisions').expect(200);
    const first = (
      revisions.body as { items: { number: number; program: { sequence: { startS: number } } }[] }
    ).items.find(({ number }) => number === 1);
    expect(first?.program.sequence.startS).toBe(1);
  });

  it('refuses numbers out of their limits with their place', async () => {
    const before = await seam('trike-frame-rail');
    const refused = await test
      .as('teo-varnholt')
      .put('/api/seams/trike-frame-rail')
      .set('if-match', `"${before.version}"`)
      .send({ spec: before.spec, choice: { ...before.choice, sequence: { ...before.choice!.sequence, preGasS: -1 } } })
      .expect(422);
    expect(refused.body.issues[0]).toMatchObject({ path: 'choice.sequence.preGasS' });
  });

  it('a seam saved before sequences were written keeps the usual one of its metal', async () => {
    const before = await seam('trike-box-floor');
    expect(before.choice?.sequence).toBeNull();
    expect(before.revision?.program.sequence).toMatchObject({
      trigger: 'latch-levels',
      secondPercent: 80,
      tapsAtMm: [],
    });
  });

  it('says a welder’s own steps beside the dials that they move, and nobody’s where there are none', async () => {
    const machine = (await test.as().get('/api/machines/rowan').expect(200)).body as MachineResource;
    const one = await seam('axle-plate-to-tube');
    if (!one.revision) throw new Error('no setting');
    const words = await wordsIn('en', 'metric');
    const printed = (own: CardContent['own']) =>
      JSON.stringify(
        cardDocument(
          {
            seam: one,
            revision: one.revision!,
            machine,
            paper: 'A5',
            language: 'en',
            units: 'metric',
            printedAt: new Date(),
            timeZone: 'Europe/Berlin',
            slots: [],
            opens: null,
            own,
          },
          words,
        ),
      );
    const faster = printed({ name: 'Teo Varnholt', offset: { wireFeedMPerMin: 0.3 } });
    const program = withOffset(one.revision.program, { wireFeedMPerMin: 0.3 });
    const display = translate(asStands(machine), program).dials.find(({ label }) => label === 'Wire feed')?.display;
    expect(display).toBeDefined();
    expect(faster).toContain(`Teo Varnholt: ${display ?? ''}`);
    expect(printed(null)).not.toContain('Teo Varnholt:');
  });

  it.each([
    ['axle-plate-to-tube', 'rowan'],
    ['trike-frame-rail', 'hazel'],
    ['trike-lid-seam', 'alder'],
  ])('of %s on %s says no word that is in no catalogue', async (id, machineId) => {
    const machine = (await test.as().get(`/api/machines/${machineId}`).expect(200)).body as MachineResource;
    const one = await seam(id);
    if (!one.revision) throw new Error('no setting');
    const page = cardDocument(
      {
        seam: one,
        revision: one.revision,
        machine,
        paper: 'A5',
        language: 'en',
        units: 'metric',
        printedAt: new Date('2026-11-20T10:00:00Z'),
        timeZone: 'Europe/Berlin',
        slots: [],
        opens: null,
        own: null,
      },
      marked,
    );
    expect(outsideMarks(page.content, [one, machine, 'Nov'])).toEqual([]);
    expect(outsideMarks([page.content, { text: 'By hand' }], [one, machine, 'Nov'])).toEqual(['By hand']);
  });
});
