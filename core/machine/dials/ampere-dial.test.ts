/** A machine that is told amperes: the feed comes back from its card, and the arc of its step is known. */
import { describe, expect, it } from '@jest/globals';
import { medlar } from '../../scenarios/machines/medlar.ts';
import { planSeam, standardSite, type PlanInput } from '../../setting/plan/index.ts';
import { stepDial } from '../tuning/index.ts';
import { asDialled, cardOf, readDials } from './index.ts';
import { programFromPlan, type Program } from '../../setting/program/index.ts';
import { type Machine } from '../description/index.ts';

const seam = (t: number): PlanInput['seam'] => ({
  materialGroup: 'steel',
  thicknessesMm: [t, t],
  joint: 'tee',
  position: 'PB',
  gapMm: 0,
  lengthMm: 200,
});
function programs(): Program[] {
  const steel = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1 } as const;
  const inputs: PlanInput[] = [
    ...[2, 3, 4, 5].map(
      (t) => ({ ...steel, seam: seam(t), mode: 'pulse', arcHabit: 'by-joint', site: standardSite }) as const,
    ),
    ...[1, 2, 3].map(
      (t) => ({ ...steel, seam: seam(t), mode: 'dip', arcHabit: 'on-line', site: standardSite }) as const,
    ),
    ...[3, 4].map(
      (t) =>
        ({
          filler: 'aluminium-5356',
          gas: 'I1',
          diameterMm: 1.2,
          seam: { ...seam(t), materialGroup: 'aluminium' },
          mode: 'pulse',
          arcHabit: 'by-joint',
          site: standardSite,
        }) as const,
    ),
  ];
  return inputs.flatMap((input) => {
    const plan = planSeam(input);
    return plan.ok ? [programFromPlan(input, plan.value)] : [];
  });
}
const machines: Machine[] = [8, 15, 20, 35].map((circuitMOhm) => ({ ...medlar, circuitMOhm }));

describe('an ampere dial', () => {
  it('is read back within 3 % of the feed, whatever the leads, together with the arc they shorten', () => {
    let seen = 0;
    for (const machine of machines)
      for (const program of programs()) {
        const card = cardOf(machine, program);
        const read = readDials(machine, Object.fromEntries(card.dials.map(({ dialId, value }) => [dialId, value])), {
          ctwdMm: program.ctwdMm,
        });
        if (!read.ok) throw new Error(JSON.stringify(read.issues));
        seen += 1;
        // A step of 2 A is some 1 % of the feed; the rest is what the coarse arc length moves.
        expect(Math.abs(read.value.program.wireFeedMPerMin / program.wireFeedMPerMin - 1)).toBeLessThan(0.03);
      }
    expect(seen).toBe(4 * programs().length);
  });

  it('is what a step of the feed means there: more amperes, more feed', () => {
    const [program] = programs();
    if (!program) throw new Error('no program');
    const [less, here, more] = [-3, 0, 3].map((steps) => stepDial(medlar, program, 'wireFeedMPerMin', steps));
    expect(here?.dialId).toBe('amps');
    expect(more?.value).toBe((here?.value ?? 0) + 6);
    expect(more!.figure).toBeGreaterThan(here!.figure);
    expect(less!.figure).toBeLessThan(here!.figure);
  });

  it('welds what its step gives, not what was wished: the simulated feed follows the current dialled', () => {
    for (const program of programs()) {
      const coarse: Machine = {
        ...medlar,
        dials: medlar.dials.map((dial) =>
          dial.id === 'amps' && dial.scale.kind === 'linear' ? { ...dial, scale: { ...dial.scale, step: 20 } } : dial,
        ),
      };
      const dial = cardOf(coarse, program).dials.find(({ dialId }) => dialId === 'amps');
      const by = asDialled(program, coarse).wireFeedMPerMin / program.wireFeedMPerMin - 1;
      expect(Math.sign(Number(by.toFixed(9)))).toBe(Math.sign(Number((dial?.error ?? 0).toFixed(9))));
    }
  });
});
