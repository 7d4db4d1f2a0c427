import { describe, expect, it } from '@jest/globals';
import { rowan } from '../../scenarios/index.ts';
import { machineIssues, type Dial, type Machine } from './index.ts';

const dial = (id: string, scale: Dial['scale'], more: Partial<Dial> = {}): Dial => ({
  id,
  label: id,
  where: '',
  unit: '',
  scale,
  ...more,
});
const linear = (change: object = {}): Dial['scale'] => ({
  kind: 'linear',
  quantity: 'trimMm',
  neutral: 0,
  quantityAtNeutral: 0,
  quantityPerUnit: 1,
  min: 0,
  max: 10,
  step: 1,
  ...change,
});
const found = (change: Partial<Machine>) =>
  machineIssues({ ...rowan, dials: [], ...change }).map(({ path, code }) => `${path}: ${code}`);

describe('a machine file that cannot be used is refused with the place', () => {
  it.each<[string, Partial<Machine>, string]>([
    [
      'a range the wrong way round',
      { dials: [dial('a', linear({ min: 5, max: 1 }))] },
      'dials.0.scale.max: reversed-range',
    ],
    ['a step wider than the dial', { dials: [dial('a', linear({ step: 20 }))] }, 'dials.0.scale.step: step-too-wide'],
    [
      'a dial that moves nothing',
      { dials: [dial('a', linear({ quantityPerUnit: 0 }))] },
      'dials.0.scale: cannot-be-inverted',
    ],
    [
      'an inverse scale through zero',
      { dials: [dial('a', { kind: 'inverse', quantity: 'beatFrequencyHz', product: 1, min: -1, max: 1, step: 0.1 })] },
      'dials.0.scale: cannot-be-inverted',
    ],
    [
      'a switch that goes up and down',
      {
        dials: [
          dial('a', {
            kind: 'stepped',
            quantity: 'trimMm',
            positions: [
              { label: '1', quantity: 0 },
              { label: '2', quantity: 1 },
              { label: '3', quantity: 0.5 },
            ],
          }),
        ],
      },
      'dials.0.scale.positions.2: cannot-be-inverted',
    ],
    [
      'a percentage of nothing',
      { dials: [dial('a', { kind: 'percent-of', quantity: 'endFeedMPerMin', of: 'x', min: 0, max: 100, step: 1 })] },
      'dials.0.scale.of: unknown-dial',
    ],
    [
      'percentages in a circle',
      {
        dials: [
          dial('a', { kind: 'percent-of', quantity: 'endFeedMPerMin', of: 'b', min: 0, max: 100, step: 1 }),
          dial('b', { kind: 'percent-of', quantity: 'startFeedMPerMin', of: 'a', min: 0, max: 100, step: 1 }),
        ],
      },
      'dials.0.scale.of: percent-cycle',
    ],
    [
      'two dials for one quantity',
      { dials: [dial('a', linear()), dial('b', linear())] },
      'dials.1.scale.quantity: overlapping-dials',
    ],
    [
      'positions that overlap',
      {
        dials: [
          dial('a', {
            kind: 'named',
            facet: 'mode',
            positions: [
              { label: '1', is: ['pulse', 'dip'] },
              { label: '2', is: ['pulse'] },
            ],
          }),
        ],
      },
      'dials.0.scale.positions: overlapping-positions',
    ],
    [
      'a dial that drags what it moves',
      { dials: [dial('a', linear({ also: { quantity: 'trimMm', quantityPerUnit: 1 } }))] },
      'dials.0.scale.also.quantity: drags-itself',
    ],
    [
      'two dials that chase each other',
      {
        dials: [
          dial('a', linear({ also: { quantity: 'stiffness', quantityPerUnit: 1 } })),
          dial('b', linear({ quantity: 'stiffness', also: { quantity: 'trimMm', quantityPerUnit: 1 } })),
        ],
      },
      'dials.0.scale.also: dragging-cycle',
    ],
    [
      'one id twice',
      { dials: [dial('a', linear()), dial('a', linear({ quantity: 'stiffness' }))] },
      'dials.1.id: said-twice',
    ],
    [
      'one chart number twice',
      { chartLines: [rowan.chartLines[0]!, rowan.chartLines[0]!] },
      'chartLines.1.number: said-twice',
    ],
    [
      'limits the wrong way round',
      { limits: { ...rowan.limits, wireFeedMPerMin: [20, 2] } },
      'limits.wireFeedMPerMin: reversed-range',
    ],
    [
      'a rating plate that rises',
      {
        limits: {
          ...rowan.limits,
          duty: [
            { percent: 40, currentA: 200 },
            { percent: 100, currentA: 300 },
          ],
        },
      },
      'limits.duty: duty-rises',
    ],
    [
      'a trigger that moves nowhere known',
      {
        triggerModes: [
          { id: 't', label: 'T', school: 'hold', states: ['rest'], moves: [{ from: 'rest', on: 'press', to: 'weld' }] },
        ],
      },
      'triggerModes.0.moves.0.to: unknown-state',
    ],
    [
      'a trigger state nothing leads to',
      { triggerModes: [{ id: 't', label: 'T', school: 'hold', states: ['rest', 'weld'], moves: [] }] },
      'triggerModes.0.states: unreachable-state',
    ],
  ])('%s', (_name, change, expected) => {
    expect(found(change)).toContain(expected);
  });

  it('lets two dials share a quantity when they act in different modes', () => {
    expect(
      found({
        dials: [dial('a', linear(), { modes: ['dip'] }), dial('b', linear(), { modes: ['pulse', 'double-pulse'] })],
      }),
    ).toEqual([]);
  });
});

describe('scales with figures that no machine shows', () => {
  const feed = rowan.dials.find((dial) => dial.id === 'wire-feed')!;
  const withScale = (change: object) =>
    machineIssues({ ...rowan, dials: [{ ...feed, scale: { ...feed.scale, ...change } }] });

  it.each([
    ['a step of nothing', { step: 1e-150 }, 'dials.0.scale.step', 'step-too-fine'],
    ['an end beyond any display', { max: 1e300 }, 'dials.0.scale.max', 'out-of-range'],
    ['a slope that is no number', { quantityPerUnit: Number.NaN }, 'dials.0.scale.quantityPerUnit', 'out-of-range'],
    ['a neutral at infinity', { neutral: Number.POSITIVE_INFINITY }, 'dials.0.scale.neutral', 'out-of-range'],
  ])('%s is refused with its place', (_name, change, path, code) => {
    expect(withScale(change)).toContainEqual(expect.objectContaining({ path, code }));
  });
});
