import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { simulationOf } from '@fox-tempo/core/machine/dials';
import { simulate } from '@fox-tempo/core/weld/simulation';
import { program } from '../../testing/shop.ts';
import { drawArc, drawnFlightS, momentAt, rowAt, type ArcMoment } from './arc-picture.ts';

const run = (() => {
  const outcome = simulate(simulationOf(program(), { circuitMOhm: 15, seconds: 0.1, seed: 3 }), 1e-4);
  if (!outcome.ok) throw new Error(inEnglish(outcome.issues[0]?.message));
  return outcome.value;
})();

/** A canvas that only writes down what it is told to fill. */
function paper() {
  const fills: { colour: string; what: string; box: number[] }[] = [];
  let path: number[] = [];
  const context = {
    fillStyle: '',
    strokeStyle: '',
    globalAlpha: 1,
    font: '',
    measureText: () => ({ width: 10 }),
    beginPath: () => {
      path = [];
    },
    moveTo: (...at: number[]) => path.push(...at),
    lineTo: (...at: number[]) => path.push(...at),
    quadraticCurveTo: (...at: number[]) => path.push(...at),
    ellipse: (...of: number[]) => path.push(...of.slice(0, 4)),
    fill: () => fills.push({ colour: context.fillStyle, what: 'path', box: path }),
    fillRect: (...box: number[]) => fills.push({ colour: context.fillStyle, what: 'rect', box }),
  };
  const rest = new Proxy(context, {
    get: (target, name) => (Reflect.get(target, name) as unknown) ?? (() => undefined),
  });
  return { context: rest as unknown as CanvasRenderingContext2D, fills };
}
const frame = { width: 200, height: 260, diameterMm: 1, recessMm: 3, ctwdMm: 14 };
const still: ArcMoment = {
  currentA: 150,
  arcLengthMm: 3,
  extensionMm: 11,
  dropMm3: 0.3,
  gapMm: 14,
  contact: 1,
  falling: [],
};
const drawn = (moment: ArcMoment) => {
  const { context, fills } = paper();
  drawArc(context, frame, moment, (name) => name);
  return fills;
};

describe('a moment of a run', () => {
  it('is the row at or before it, from end to end', () => {
    const { timeS } = run.trace;
    expect(rowAt(run, -1)).toBe(0);
    expect(rowAt(run, 99)).toBe(timeS.length - 1);
    for (const at of [1, 57, 200]) {
      expect(rowAt(run, timeS[at]! + 1e-6)).toBe(at);
      expect(rowAt(run, timeS[at]! - 1e-6)).toBe(at - 1);
    }
  });

  it('has the drops on their way, each for as long as its flight is drawn', () => {
    const [left] = run.dropAtS;
    expect(momentAt(run, left! + drawnFlightS / 2).falling[0]).toBeCloseTo(0.5, 6);
    expect(momentAt(run, left! - 1e-6).falling).toEqual([]);
    expect(momentAt({ ...run, dropAtS: new Float64Array() }, left! + 1e-4).falling).toEqual([]);
  });
});

describe('the picture', () => {
  it('draws wire, tip, arc and pool to one scale: the wire ends where the run has it', () => {
    const wire = drawn(still).find(({ colour, what }) => colour === 'ink' && what === 'rect')!;
    const plate = drawn(still).find(({ colour, what }) => colour === 'metal' && what === 'rect')!;
    const scale = (260 - 46 - 34) / (14 + 1.5);
    expect(wire.box[2]).toBeCloseTo(1 * scale, 6);
    expect(wire.box[1]! + wire.box[3]!).toBeCloseTo(34 + 11 * scale, 6);
    expect(plate.box[1]).toBeCloseTo(34 + 14 * scale, 6);
  });

  it('shows an arc only where one burns, a bridge where it is liquid, and never both', () => {
    const colours = (moment: ArcMoment) => drawn(moment).map(({ colour }) => colour);
    expect(colours(still)).toContain('ochre');
    expect(colours({ ...still, contact: 0 })).not.toContain('ochre');
    const bridged = colours({ ...still, contact: 2 });
    expect(bridged).toContain('crimson');
    expect(bridged).not.toContain('ochre');
  });
});
