import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { takeShopTexts, wordsIn } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import english from '../../../words/en.json' with { type: 'json' };
import german from '../../../words/de.json' with { type: 'json' };
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(async () => {
  takeShopTexts({});
  await test.close();
});

const hazard = 'plan.caution.zinc-fume';
const review = (language: string, body: object, person: 'mirja-keskalo' | 'teo-varnholt' = 'mirja-keskalo') =>
  test.as(person).post(`/api/words/${language}`).set('Idempotency-Key', randomUUID()).send(body);

describe('texts that a native reader of the shop read', () => {
  it('count at once: a confirmed hazard has no English beside it, a corrected one its new words', async () => {
    expect((await wordsIn('de', 'metric')).beside({ code: hazard, values: {} })).toBe(english[hazard]);
    const answer = await review('de', { key: hazard, text: german[hazard] }).expect(201);
    expect(answer.body.reviews).toEqual([
      expect.objectContaining({ key: hazard, text: german[hazard], english: english[hazard], by: 'Mirja Keskalo' }),
    ]);
    expect((await wordsIn('de', 'metric')).beside({ code: hazard, values: {} })).toBeUndefined();
    await review('de', { key: hazard, text: 'Zink verdampft: absaugen.' }).expect(201);
    expect((await wordsIn('de', 'metric')).format({ code: hazard, values: {} })).toBe('Zink verdampft: absaugen.');
    const all = await test.as('teo-varnholt').get('/api/words/de').expect(200);
    expect(all.body.reviews).toHaveLength(1);
  });

  it('are printed too', async () => {
    const query = { machine: 'alder', paper: 'A4', units: 'metric', lang: 'de' };
    const before = await test.as().get('/api/seams/trike-lid-seam/card.pdf').query(query).expect(200);
    await review('de', { key: 'server.cards.by-hand', text: 'Mit der eigenen ruhigen Hand' }).expect(201);
    const after = await test.as().get('/api/seams/trike-lid-seam/card.pdf').query(query).expect(200);
    expect(after.body).not.toEqual(before.body);
  });

  it('are refused by an unknown name, other values, English, and from anybody but an owner', async () => {
    const unknown = await review('de', { key: 'nowhere', text: 'x' }).expect(422);
    expect(unknown.body.issues[0]).toMatchObject({ path: 'key', got: 'nowhere' });
    const values = await review('de', { key: 'view.app.switch-user', text: 'Wechseln' }).expect(422);
    expect(values.body.issues[0].message).toContain('{me}');
    await review('en', { key: hazard, text: 'x' }).expect(404);
    await review('de', { key: hazard, text: 'x' }, 'teo-varnholt').expect(403);
  });
});
