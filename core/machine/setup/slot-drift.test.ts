/** What stands in a memory slot is one answer: of who read it, or of what is known of the machine while that slot is in front. */
import { describe, expect, it } from '@jest/globals';
import { cardOf } from '../dials/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { rowan, scenarios } from '../../scenarios/index.ts';
import { foundOn, slotDrift, type FoundDials, type KnownOnMachine, type StoredSlot } from './slot-drift.ts';

const scenario = scenarios.find(({ id }) => id === 'axle-plate-to-tube');
if (!scenario) throw new Error('no scenario');
const input = { ...scenario.input, mode: 'pulse' as const };
const plan = planSeam(input);
if (!plan.ok) throw new Error('no plan');
const program = programFromPlan(input, plan.value);
const dials = Object.fromEntries(cardOf(rowan, program).dials.map(({ dialId, value }) => [dialId, value]));
const entry = (found: FoundDials | null): StoredSlot => ({ slot: 3, program, dials, found });
const read = (feed: number, foundAt: string): FoundDials => ({
  dials: { ...dials, 'wire-feed': feed },
  foundAt,
  foundBy: 'Teo Varnholt',
});
const ticked = (feed: number, at: string, slot = 3): KnownOnMachine => ({
  slot,
  dials: { ...dials, 'wire-feed': feed },
  known: { 'wire-feed': { source: 'ticked', by: 'Odile Trennaby', at } },
});
const drifted = (found: FoundDials | null, standing: KnownOnMachine | null) =>
  slotDrift(rowan, entry(found), standing).flatMap(({ dialId, verdict, found: now }) =>
    verdict === 'drifted' ? [[dialId, now]] : [],
  );

describe('what stands in a slot', () => {
  it('is unknown until somebody read it or worked in it', () => {
    expect(foundOn(entry(null), null)).toBeNull();
    expect(slotDrift(rowan, entry(null), null)).toEqual([]);
  });

  it('is what the newest of reading and work at the machine says', () => {
    const monday = read(7.8, '2026-03-09T06:00:00.000Z');
    expect(drifted(monday, null)).toEqual([['wire-feed', '7.8']]);
    expect(drifted(monday, ticked(8.1, '2026-03-09T07:00:00.000Z'))).toEqual([['wire-feed', '8.1']]);
    expect(drifted(monday, ticked(8.1, '2026-03-09T05:00:00.000Z'))).toEqual([['wire-feed', '7.8']]);
    expect(foundOn(entry(monday), ticked(8.1, '2026-03-09T07:00:00.000Z'))).toMatchObject({
      foundBy: 'Odile Trennaby',
    });
  });

  it('says nothing of a slot that is not in front', () => {
    expect(drifted(null, ticked(8.1, '2026-03-09T07:00:00.000Z', 4))).toEqual([]);
  });
});
