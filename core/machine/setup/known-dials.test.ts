/** The record says how a machine stands: the newest of each dial, whatever told it. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { dialSources, knownDials, newestKnown, standsAt, type DialEvidence } from './index.ts';

const at = (minute: number) => new Date(Date.UTC(2026, 0, 5, 8, minute)).toISOString();
const entered: DialEvidence = { source: 'entered', at: at(0), by: 'Ilse', dials: { feed: 7.8, trim: 46 }, slot: 3 };

describe('how the dials stand', () => {
  it('is the last known value of each dial, with from what, by whom and when', () => {
    const trial: DialEvidence = { source: 'trial', at: at(20), by: 'Teo', dials: { feed: 7.3 } };
    const { dials, slot } = knownDials([entered, trial]);
    expect(dials).toEqual({
      feed: { value: 7.3, source: 'trial', by: 'Teo', at: at(20) },
      trim: { value: 46, source: 'entered', by: 'Ilse', at: at(0) },
    });
    expect(slot).toBe(3);
    expect(newestKnown({ dials })).toMatchObject({ source: 'trial', value: 7.3 });
    expect(newestKnown({ dials: {} })).toBeNull();
  });

  it('goes by when it was, not by when it arrived', () => {
    const late: DialEvidence = { source: 'logged-weld', at: at(5), by: 'Odile', dials: { feed: 9 } };
    const tick: DialEvidence = { source: 'ticked', at: at(9), by: 'Teo', dials: { feed: 8 } };
    expect(knownDials([entered, tick, late]).dials['feed']).toMatchObject({ value: 8, source: 'ticked' });
  });

  it('takes a reading of the slot in front for the machine, of another slot for that slot alone', () => {
    const read = (slot: number): DialEvidence => ({
      source: 'slot-read',
      at: at(30),
      by: 'Runa',
      dials: { feed: 8.1 },
      slot,
    });
    expect(knownDials([entered, read(3)]).dials['feed']?.value).toBe(8.1);
    expect(knownDials([entered, read(4)])).toMatchObject({ dials: { feed: { value: 7.8 } }, slot: 3 });
    const setUp: DialEvidence = { source: 'set-up', at: at(10), by: 'Teo', dials: { feed: 5 }, slot: null };
    // After a set-up nobody knows the slot any more.
    expect(knownDials([entered, setUp, read(3)])).toMatchObject({ dials: { feed: { value: 5 } }, slot: null });
  });

  it('is the same in whatever order the record is read, where no two moments agree', () => {
    const any = fc.uniqueArray(
      fc.record({
        source: fc.constantFrom(...dialSources),
        minute: fc.integer({ min: 0, max: 5000 }),
        feed: fc.double({ min: 1, max: 20, noNaN: true }),
        slot: fc.constantFrom(undefined, null, 1, 2),
      }),
      { selector: ({ minute }) => minute, minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(any, fc.infiniteStream(fc.nat()), (list, dice) => {
        const record = list.map(({ minute, feed, ...one }) => ({ ...one, at: at(minute), by: 'x', dials: { feed } }));
        const shuffled = [...record].sort(() => ((dice.next().value as number) % 2 === 0 ? 1 : -1));
        expect(knownDials(shuffled)).toEqual(knownDials(record));
      }),
    );
  });

  it('does not take an unknown dial for one that stands', () => {
    expect(standsAt({ feed: 7.8 }, 'feed', 7.8)).toBe(true);
    expect(standsAt({ feed: 7.8 }, 'feed', 7.9)).toBe(false);
    expect(standsAt({}, 'feed', 0)).toBe(false);
  });
});
