/** A saved setting keeps the site it was planned with: a shop that changes its rule does not rewrite what it made. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { and, eq } from 'drizzle-orm';
import type { Revision, SeamResource, SessionState } from '@fox-tempo/contract';
import { steelPulse, steelTee } from '@fox-tempo/core/scenarios';
import { settingOf, standardSite } from '@fox-tempo/core/site';
import { programRevisions } from '../../db/schema/index.ts';
import { openTestApp } from '../../testing/test-app.ts';
import { bringUpRevisions } from './repo.ts';
import { siteOfOld } from './site-of-old.ts';
import { useFor } from './use.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const welder = 'teo-varnholt';
const owner = 'mirja-keskalo';

async function shopCounts(thicknessRule: SessionState['shop']['thicknessRule']) {
  const { body } = await test.as(owner).get('/api/shop').expect(200);
  const { version, name, timeZone } = body as { version: number; name: string; timeZone: string };
  await test
    .as(owner)
    .put('/api/shop')
    .set('if-match', `"${version}"`)
    .send({ name, timeZone, thicknessRule })
    .expect(200);
}

async function savedTee(name: string): Promise<SeamResource> {
  const spec = { ...steelTee, name, grade: 'S235', thicknessesMm: [2, 8] };
  const choice = steelPulse;
  const { body: seam } = await test.as(welder).post('/api/seams').send({ partId: 'kitchen-counter', spec }).expect(201);
  const { body } = await test
    .as(welder)
    .put(`/api/seams/${(seam as SeamResource).id}`)
    .set('if-match', '"1"')
    .send({ spec, choice })
    .expect(200);
  return body as SeamResource;
}

describe('the site of a revision', () => {
  it('is the shop’s on the day of the save, and its stored use is of that setting', async () => {
    await shopCounts('thicker');
    const saved = await savedTee('Counted thicker');
    await shopCounts('thinner');
    const { body } = await test.as(welder).get(`/api/seams/${saved.id}`).expect(200);
    const revision = (body as SeamResource).revision as Revision;
    expect(revision.site.thicknessRule).toBe('thicker');
    const again = settingOf(revision.spec, revision.choice, revision.site);
    if (!again.ok) throw new Error('no setting');
    expect(again.value.program.wireFeedMPerMin).toBeCloseTo(revision.program.wireFeedMPerMin, 9);
    expect(revision.use?.wireKg).toBeCloseTo(again.value.plan.wireGrams / 1000, 9);
    expect(revision.use?.arcSeconds).toBeCloseTo(again.value.plan.arcSeconds, 9);
    const later = await savedTee('Counted thinner');
    expect(later.revision?.program.wireFeedMPerMin).toBeLessThan(0.7 * revision.program.wireFeedMPerMin);
  });

  it('of a row older than sites is the rule that gives its program again, not what the shop says now', async () => {
    await shopCounts('thicker');
    const { revision } = await savedTee('Older than sites');
    if (!revision) throw new Error('not saved');
    const { db } = test.connection;
    const stored = eq(programRevisions.contentHash, revision.contentHash ?? '');
    const [row] = await db.select().from(programRevisions).where(stored);
    if (!row) throw new Error('not stored');
    const old = and(eq(programRevisions.programId, row.programId), eq(programRevisions.number, 99));
    await db.insert(programRevisions).values({ ...row, number: 99, site: null });
    const shop = { ...standardSite, thicknessRule: 'mean' as const };
    expect(await bringUpRevisions(db, (one) => siteOfOld(one, shop), useFor)).toBe(1);
    const [filled] = await db.select().from(programRevisions).where(old);
    expect(filled?.site?.thicknessRule).toBe('thicker');
    // Filled once, it is a row like any other.
    await expect(db.update(programRevisions).set({ site: shop }).where(old)).rejects.toThrow();
    // Where no rule gives it, as after a change of the model, the shop's own stands.
    const moved = { ...revision, program: { ...revision.program, wireFeedMPerMin: 12.34 } };
    expect(siteOfOld(moved, shop)).toEqual(shop);
  });
});
