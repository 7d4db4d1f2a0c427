/** What stands in a memory slot is one answer: of who read it, or of what is known of the machine while that slot is in front. */
import { describe, expect, it } from '@jest/globals';
import { cardOf } from '@fox-tempo/core/machine';
import { rowan } from '@fox-tempo/core/scenarios';
import { exampleFiles, readProgramFile, readStanding, type MachineStanding, type SlotEntry } from './index.ts';
import { foundOn, slotDrift } from './slot-drift.ts';

const file = readProgramFile(exampleFiles()['axle-plate-pulse']);
if (!file.ok) throw new Error('no example');
const program = file.value;
const dials = Object.fromEntries(cardOf(rowan, program).dials.map(({ dialId, value }) => [dialId, value]));
const entry = (found: SlotEntry['found']) =>
  ({ slot: 3, program, dials, found, storedAt: '2026-03-02T08:00:00.000Z' }) as unknown as SlotEntry;
const read = (feed: number, foundAt: string) => ({
  dials: { ...dials, 'wire-feed': feed },
  foundAt,
  foundBy: 'Teo Varnholt',
});
const ticked = (feed: number, at: string, slot = 3) =>
  ({
    slot,
    dials: { ...dials, 'wire-feed': feed },
    known: { 'wire-feed': { source: 'ticked', by: 'Odile Trennaby', at } },
  }) as unknown as MachineStanding;
const drifted = (found: SlotEntry['found'], standing: MachineStanding | null) =>
  slotDrift(rowan, entry(found), standing).flatMap(({ dialId, verdict, found: now }) =>
    verdict === 'drifted' ? [[dialId, now]] : [],
  );

describe('what stands in a slot', () => {
  it('is unknown until somebody read it or worked in it', () => {
    expect(foundOn(entry(null), null)).toBeNull();
    expect(slotDrift(rowan, entry(null), null)).toEqual([]);
    expect(readStanding(null)).toBeNull();
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
