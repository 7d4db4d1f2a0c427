import { describe, expect, it } from '@jest/globals';
import {
  aroundMm,
  atJoint,
  bestOrder,
  edgeLengthMm,
  edgesOf,
  inOrder,
  onEdge,
  soak,
  type BoxEdge,
  type BoxShape,
  type FrameShape,
  type SoakInput,
} from './index.ts';
import { flatOf } from './flat.ts';
import { partOf } from './parts.ts';

const aluminium = { diffusivityMm2PerS: 65, volumetricHeatJPerMm3K: 2.8e-3, lossWPerM2K: 12 };
const shape: BoxShape = { ...aluminium, lengthMm: 200, widthMm: 120, heightMm: 80, lid: true, thicknessMm: 3 };
const perM2K = 1e-6;

function edgeSeam(edge: BoxEdge, startAtS = 0, box = shape) {
  return {
    from: onEdge(box, edge, 0),
    to: onEdge(box, edge, edgeLengthMm(box, edge)),
    travelMmPerMin: 600,
    powerW: 1500,
    startAtS,
  };
}

const input = (seams: SoakInput['seams'], part: SoakInput['part'] = { kind: 'box', ...shape }): SoakInput => ({
  part,
  seams,
  ambientC: 20,
  meltsAtC: 640,
});

describe('a box of joined plates', () => {
  it('keeps its heat: without loss its mean rise is energy over heat capacity', () => {
    const box = { ...shape, lossWPerM2K: 0 };
    const area = 2 * (200 * 120 + 200 * 80 + 120 * 80);
    const mean = (1500 * 20) / (area * 3 * 2.8e-3);
    const { tempAt } = soak(input([edgeSeam('base-front')], { kind: 'box', ...box }));
    for (const place of [
      [17, 93, 0],
      [100, 20, 5],
      [60, 60, 3],
    ] as const)
      // After half an hour nothing but the mean is left.
      expect(tempAt(place, 1800) - 20).toBeCloseTo(mean, 3);
  });

  it('agrees with an independent sum: nodes on a lattice over the same plates', () => {
    const seams = [edgeSeam('base-front'), edgeSeam('front-left', 40), edgeSeam('lid-back', 70)];
    const { tempAt } = soak(input(seams));
    for (const atS of [30, 60, 120, 240]) {
      const sum = lattice(seams, atS);
      for (const [x, y, face] of [
        [100, 60, 0],
        [100, 40, 1],
        [100, 40, 2],
        [60, 40, 3],
        [60, 40, 4],
        [40, 40, 5],
      ] as const)
        // Two nets of 5 and 8 mm cells, folded differently: two percent and half a degree of each other.
        expect(Math.abs(tempAt([x, y, face], atS) - 20 - sum(x, y, face))).toBeLessThan(0.02 * sum(x, y, face) + 0.5);
    }
  });

  it('is the same plate unfolded: young heat goes over an edge as far as along the face', () => {
    const { tempAt } = soak(input([edgeSeam('base-front')]));
    // 10 mm into the base and 10 mm up the front, beside the arc at half way.
    expect(tempAt([100, 10, 0], 10)).toBeCloseTo(tempAt([100, 10, 1], 10), 6);
    expect(tempAt([100, 10, 0], 10)).toBeGreaterThan(60);
  });

  it('without a lid has eight edges, and is the warmer for the plate it lacks', () => {
    expect(edgesOf({ lid: true })).toHaveLength(12);
    expect(edgesOf({ lid: false })).toHaveLength(8);
    const open = soak(input([edgeSeam('base-front')], { kind: 'box', ...shape, lid: false }));
    const closed = soak(input([edgeSeam('base-front')]));
    expect(open.tempAt([100, 60, 0], 120)).toBeGreaterThan(closed.tempAt([100, 60, 0], 120) + 2);
  });
});

describe('twelve seams of a box', () => {
  const twelve = input(edgesOf(shape).map((edge) => edgeSeam(edge)));
  const under = { ...twelve, interpassC: 120 };

  it('leave less and less to be asked for: three level steps on the last ones', () => {
    const { soaked } = inOrder(twelve, [8, 9, 10, 11, 4, 5, 6, 7, 2, 3, 0, 1]);
    const [first, last] = [soaked.seams[0], soaked.seams.at(-1)];
    expect(last?.levels.length).toBeGreaterThan(1);
    expect(last?.levels.length).toBeLessThanOrEqual(3);
    expect(last?.levels[0]?.[1]).toBeLessThan((first?.levels[0]?.[1] ?? 0) - 5);
    // The law of the levels, from the warmth that is there: (melting - base) / (melting - trial).
    const base = last?.baseC[0]?.[1] ?? 0;
    expect(base).toBeGreaterThan(60);
    expect(Math.abs((last?.levels[0]?.[1] ?? 0) - (100 * (640 - base)) / (640 - 20))).toBeLessThan(8);
  });

  it('in the order that is found wait no longer than as listed, and start under their ceiling', () => {
    const listed = inOrder(
      under,
      under.seams.map((_, at) => at),
    );
    const best = bestOrder(under);
    expect([...best.order].sort((a, b) => a - b)).toEqual(under.seams.map((_, at) => at));
    expect(best.endsAtS).toBeLessThanOrEqual(listed.endsAtS + 1e-6);
    expect(listed.waitS).toBeGreaterThan(10);
    best.order.forEach((at, place) => {
      const seam = under.seams[at];
      const startS = best.soaked.seams[place]?.startAtS ?? 0;
      // Within what half a second of waiting is worth.
      if (seam) expect(best.soaked.tempAt(seam.from, startS)).toBeLessThan(121);
    });
  });
});

describe('a tray of eight seams on one sheet', () => {
  const tray: SoakInput = {
    part: { kind: 'plate', ...aluminium, lengthMm: 600, widthMm: 400, thicknessMm: 3 },
    seams: [40, 80, 120, 160, 240, 280, 320, 360].map((y) => ({
      from: [30, y] as const,
      to: [570, y] as const,
      travelMmPerMin: 700,
      powerW: 1600,
      startAtS: 0,
    })),
    ambientC: 20,
    meltsAtC: 640,
    interpassC: 100,
  };

  it('is welded in the order that waits least, and its last seams in level steps', () => {
    const listed = inOrder(
      tray,
      tray.seams.map((_, at) => at),
    );
    const best = bestOrder(tray);
    expect(best.waitS).toBeLessThan(listed.waitS);
    const free = bestOrder({ ...tray, interpassC: undefined });
    // Each of the last three at a level of its own, ever lower.
    const last = free.soaked.seams.slice(-3).map(({ levels }) => levels[0]?.[1] ?? 0);
    expect(last[0]).toBeLessThan(90);
    for (const at of [1, 2]) expect((last[at - 1] ?? 0) - (last[at] ?? 0)).toBeGreaterThanOrEqual(3);
    expect(free.waitS).toBe(0);
  });
});

describe('a frame of tubes', () => {
  const frame: FrameShape = { ...aluminium, lengthMm: 800, widthMm: 500, rungs: 1, tubeMm: [40, 40], thicknessMm: 3 };
  const joint = (number: number, startAtS: number) => ({
    from: atJoint(frame, number),
    to: atJoint(frame, number),
    lengthMm: aroundMm(frame),
    travelMmPerMin: 600,
    powerW: 1500,
    startAtS,
  });
  const whole = (seams: SoakInput['seams'], lossWPerM2K = 12) => input(seams, { kind: 'frame', ...frame, lossWPerM2K });

  it('warms a joint and the bars that meet in it, by energy over the metal they are', () => {
    const section = 2 * 3 * (40 + 40 - 6);
    const metalMm = 2 * 800 + 3 * 500 + (40 / 2) * 2 * 7;
    const mean = (1500 * 16) / (section * metalMm * 2.8e-3);
    const { tempAt } = soak(whole([joint(4, 0)], 0));
    // After five hours nothing but the mean is left along three metres of tube.
    expect(tempAt(atJoint(frame, 2), 18_000) - 20).toBeCloseTo(mean, 2);
  });

  it('spreads along a bar as a rod does: an instant source and its own Gaussian', () => {
    // A long bar heated in its middle, ends far away; after Carslaw and Jaeger's instantaneous plane source.
    const part = partOf({ kind: 'frame', ...frame, lengthMm: 3000, rungs: 0, lossWPerM2K: 0 });
    const field = part.field();
    field.advance(0.5, [{ at: [1500, 0, 0], velocity: [0, 0], powerW: 3000 }]);
    field.advance(60);
    const section = 2 * 3 * (40 + 40 - 6);
    const rise = (mm: number) =>
      (1500 / (2.8e-3 * section)) * (Math.exp(-(mm * mm) / (4 * 65 * 60.25)) / Math.sqrt(4 * Math.PI * 65 * 60.25));
    for (const mm of [0, 50, 100, 150])
      expect(Math.abs(field.riseAt([1500 + mm, 0, 0]) / rise(mm) - 1)).toBeLessThan(0.01);
  });

  it('makes the joint beside the last one wait, and the far one not', () => {
    const [near, far] = [
      soak({ ...whole([joint(0, 0), joint(0, 26)]), interpassC: 80 }),
      soak({ ...whole([joint(0, 0), joint(2, 26)]), interpassC: 80 }),
    ];
    expect(near.seams[1]?.waitS).toBeGreaterThan(20);
    expect(far.seams[1]?.waitS).toBe(0);
    // The wall at the arc is warmer than its section.
    expect(far.seams[0]?.aheadC[3]?.[1]).toBeGreaterThan((far.seams[0]?.baseC[3]?.[1] ?? 0) + 50);
  });
});

describe('a part laid flat', () => {
  it.each([
    { kind: 'plate', ...aluminium, lengthMm: 300, widthMm: 200, thicknessMm: 3 } as const,
    { kind: 'box', ...shape } as const,
    { kind: 'frame', ...aluminium, lengthMm: 800, widthMm: 500, rungs: 1, tubeMm: [40, 40], thicknessMm: 3 } as const,
  ])('finds every place where it drew it: $kind', (part) => {
    const { faces, widthMm, heightMm } = flatOf(part);
    for (const face of faces) {
      const middle = face.place(face.widthMm / 2, face.heightMm / 2);
      const [x, y] = face.point(middle);
      expect([x, y]).toEqual([face.x + face.widthMm / 2, face.y + face.heightMm / 2]);
      expect(face.x + face.widthMm).toBeLessThanOrEqual(widthMm + 1e-9);
      expect(face.y + face.heightMm).toBeLessThanOrEqual(heightMm + 1e-9);
    }
  });

  it('lays the sides of a box against its base', () => {
    const { faces } = flatOf({ kind: 'box', ...shape });
    const [base, front, , left] = faces;
    // The front's foot, in the middle, beside the base's front edge; the left side's foot likewise.
    const foot = front?.point([100, 0, 1]) ?? [0, 0];
    const edge = base?.point([100, 0, 0]) ?? [0, 0];
    expect(foot[0]).toBe(edge[0]);
    expect(edge[1] - foot[1]).toBeCloseTo(6, 6);
    const side = left?.point([60, 0, 3]) ?? [0, 0];
    expect(side[1]).toBe(base?.point([0, 60, 0])[1]);
  });
});

/** Rise on a lattice of nodes 5 mm apart over the plates of the box, by forward steps: nodes of an edge belong to both plates. */
function lattice(seams: SoakInput['seams'], untilS: number): (x: number, y: number, face: number) => number {
  const mm = 5;
  const [l, w, h] = [200, 120, 80];
  const point = (x: number, y: number, face: number): [number, number, number] =>
    (
      [
        [x, y, 0],
        [x, 0, y],
        [x, w, y],
        [0, x, y],
        [l, x, y],
        [x, y, h],
      ] as [number, number, number][]
    )[face] ?? [0, 0, 0];
  const numbers = new Map<string, number>();
  const [area, lossy, pairs]: [number[], number[], [number, number, number][]] = [[], [], []];
  const node = (at: [number, number, number]) => {
    const key = at.map((one) => Math.round(one / mm)).join();
    const found = numbers.get(key) ?? numbers.size;
    numbers.set(key, found);
    return found;
  };
  const alpha = 65;
  for (const [face, [a, b]] of [
    [l, w],
    [l, h],
    [l, h],
    [w, h],
    [w, h],
    [l, w],
  ].entries())
    for (let x = 0; x < (a ?? 0); x += mm)
      for (let y = 0; y < (b ?? 0); y += mm) {
        // Each square gives a quarter of itself to its corners and half a side's conduction to each of its sides.
        const corners = [
          [x, y],
          [x + mm, y],
          [x + mm, y + mm],
          [x, y + mm],
        ].map(([u = 0, v = 0]) => node(point(u, v, face)));
        corners.forEach((one, at) => {
          area[one] = (area[one] ?? 0) + (mm * mm) / 4;
          pairs.push([one, corners[(at + 1) % 4] ?? 0, alpha / 2]);
        });
      }
  for (const at of area.keys()) lossy[at] = (2 * 12 * perM2K) / (2.8e-3 * 3);
  const rise = new Float64Array(area.length);
  const step = 0.05;
  for (let atS = 0; atS < untilS - step / 2; atS += step) {
    const flow = new Float64Array(area.length);
    for (const [a, b, share] of pairs) {
      const through = share * ((rise[b] ?? 0) - (rise[a] ?? 0));
      flow[a] = (flow[a] ?? 0) + through;
      flow[b] = (flow[b] ?? 0) - through;
    }
    for (const { from, to, startAtS } of seams) {
      const seconds = Math.hypot(to[0] - from[0], to[1] - from[1]) / 10;
      const share = (atS + step / 2 - startAtS) / seconds;
      if (share < 0 || share > 1) continue;
      const place = (one: number) => (from[one] ?? 0) + ((to[one] ?? 0) - (from[one] ?? 0)) * share;
      const at = node(point(Math.round(place(0) / mm) * mm, Math.round(place(1) / mm) * mm, from[2] ?? 0));
      flow[at] = (flow[at] ?? 0) + 1500 / (2.8e-3 * 3);
    }
    for (const [at, one] of area.entries())
      rise[at] = (rise[at] ?? 0) + step * ((flow[at] ?? 0) / one - (lossy[at] ?? 0) * (rise[at] ?? 0));
  }
  return (x, y, face) => rise[node(point(x, y, face))] ?? 0;
}
