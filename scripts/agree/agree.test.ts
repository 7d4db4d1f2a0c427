/** Every view gives the same answer: on a sample of what `npm run agree` holds against each other. */
import { describe, expect, it } from '@jest/globals';
import { completeSite, settingOf } from '@fox-tempo/core/site';
import { agreeCases, type Case } from './cases.ts';
import { compare } from './compare.ts';
import { views } from './views.ts';

/** Every seventh, so that each seam, rule and machine is there. */
const sample = [...agreeCases()].filter((_, at) => at % 7 === 0);

describe('what the views say of a seam', () => {
  it('is one answer, on every machine and under every thickness rule', () => {
    const { compared, disagreements } = compare(sample);
    expect(disagreements).toEqual([]);
    // Each view has had its say.
    expect(compared).toBeGreaterThan(sample.length * views.length * 2);
  });

  it('would be told apart: a rule that one place forgot shows in the views that ask the revision', () => {
    const thick = [...agreeCases()].find(({ name }) => name.startsWith('thin-on-thick, thicker'));
    if (!thick) throw new Error('no such case');
    const forgotten = settingOf(thick.revision.spec, thick.revision.choice, completeSite({ thicknessRule: 'thinner' }));
    if (!forgotten.ok) throw new Error('no plan');
    const wrong: Case = { ...thick, truth: forgotten.value };
    const { disagreements } = compare([wrong]);
    expect(new Set(disagreements.map(({ view }) => view)).size).toBeGreaterThan(views.length / 2);
  });
});
