import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { alder, aluminiumFeeder, rowan } from '../../scenarios/index.ts';
import { refillSteps, type MachineState } from './index.ts';

const [first] = alder.feeders;
const state: MachineState = {
  process: 'gas-metal',
  polarity: 'electrode-positive',
  feederId: first?.id ?? '',
  feeders: { [first?.id ?? '']: aluminiumFeeder },
  dials: {},
};
const codes = (steps: ReturnType<typeof refillSteps>) =>
  steps.flatMap(({ cautions }) => cautions.map(({ code }) => code));

describe('a bottle or spool of the same kind', () => {
  it('is walked though nothing of the seam changes: the label, chained and capped, leaks, then the flow', () => {
    const steps = refillSteps(alder, state, { what: 'bottle', gas: 'I1' });
    expect(steps.map(({ kind }) => kind)).toEqual(['gas', 'flow']);
    expect(codes(steps)).toEqual(expect.arrayContaining(['cylinder', 'asphyxiation']));
    expect(inEnglish(steps[0]?.why)).toMatch(/the colour shows nothing, the label does/);
    expect(steps[0]?.how.map(inEnglish).join(' ')).toMatch(/chain.*leak spray/is);
    expect(inEnglish(steps[1]?.to)).toContain('16');
  });

  it('of carbon dioxide says how fast it may be drawn', () => {
    expect(codes(refillSteps(rowan, null, { what: 'bottle', gas: 'C1' }))).toContain('co2-draw');
  });

  it('spool: the wire end, the weight, the pressure arm, and aluminium kept dry', () => {
    const steps = refillSteps(alder, state, { what: 'spool', filler: 'aluminium-5356', diameterMm: 1.2 }, { wire: 9 });
    expect(steps.map(({ kind }) => kind)).toEqual(['wire', 'tension', 'clean']);
    expect(codes(steps)).toEqual(expect.arrayContaining(['wire-end', 'lifting']));
    expect(steps[0]?.minutes).toBe(9);
    const steel = refillSteps(rowan, null, { what: 'spool', filler: 'steel-solid', diameterMm: 1 });
    // Nobody entered how it stands: only the wire itself is known.
    expect(steel.map(({ kind }) => kind)).toEqual(['wire']);
  });
});
