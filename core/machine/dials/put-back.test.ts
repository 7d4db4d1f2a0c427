import { describe, expect, it } from '@jest/globals';
import { rowan } from '../../scenarios/index.ts';
import { putBack, slotState } from './index.ts';

const arc = rowan.dials.find(({ id }) => id === 'arc-index');
const step = arc?.scale.kind === 'linear' ? arc.scale.step : 1;

describe('putting a dial back', () => {
  it('counts whole steps of that dial, towards the reference', () => {
    const [line] = putBack(rowan, { 'arc-index': 46 }, { 'arc-index': 46 + 3 * step });
    expect(line).toMatchObject({ steps: -3, words: { code: 'machine.turn-down', values: { steps: 3, to: '46' } } });
    expect(putBack(rowan, { 'arc-index': 46 }, { 'arc-index': 46 - 2 * step })[0]?.steps).toBe(2);
  });
  it('names a switch by its position, and is silent about what stands or was not read', () => {
    expect(putBack(rowan, { trigger: 1 }, { trigger: 0 })[0]).toMatchObject({
      steps: null,
      words: { code: 'machine.switch-back' },
    });
    expect(putBack(rowan, { 'arc-index': 46, 'wire-feed': 7 }, { 'arc-index': 46 })).toEqual([]);
  });
});

describe('a slot', () => {
  it('holds the reference, another one, or nobody knows', () => {
    expect([slotState(2, 2), slotState(1, 2), slotState(3, 2), slotState(2, null)]).toEqual([
      'in-force',
      'stale',
      'stale',
      'unknown',
    ]);
  });
});
