import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { alder, rowan } from '../../scenarios/index.ts';
import { tapTargets } from './tap-calls.ts';

const steel = { filler: 'steel-solid', diameterMm: 1, gas: 'M21-ArC-18' } as const;

describe('memories called by taps', () => {
  it('may be called when they are for the wire and gas on the machine', () => {
    const slots = [
      { slot: 1, name: 'Axle plate', program: steel },
      {
        slot: 2,
        name: 'Sink flange',
        program: { filler: 'stainless-solid', diameterMm: 1, gas: 'M12-ArC-2' } as const,
      },
    ];
    expect(inEnglish(tapTargets(alder, slots, steel))).toEqual([
      { taps: 2, slot: 1, name: 'Axle plate', warning: null },
      { taps: 3, slot: 2, name: 'Sink flange', warning: expect.stringContaining('not for what is loaded') },
    ]);
  });

  it('warn of an empty memory, and are none where the machine has no tap calls', () => {
    expect(inEnglish(tapTargets(alder, [], steel)[0]?.warning)).toContain('empty');
    expect(tapTargets(rowan, [], steel)).toEqual([]);
  });
});
