/** Seams of the invented shop Marrowby Cartworks: shared by unit tests, benches, demo data and journeys. */
import { standardSite, type PlanInput } from '../setting/plan/index.ts';

export interface Scenario {
  readonly id: string;
  readonly part: string;
  readonly name: string;
  readonly grade: string;
  readonly input: PlanInput;
}

const pulse = { mode: 'pulse', arcHabit: 'by-joint', site: standardSite } as const;
const steel10 = { ...pulse, filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.0 } as const;
const steel12 = { ...steel10, diameterMm: 1.2 } as const;
const stainless08 = { ...pulse, filler: 'stainless-solid', gas: 'M12-ArC-2', diameterMm: 0.8 } as const;
const stainless10 = { ...stainless08, diameterMm: 1.0 } as const;
const almg12 = { ...pulse, filler: 'aluminium-5356', gas: 'I1', diameterMm: 1.2 } as const;
const braze10 = { ...pulse, filler: 'cusi3', gas: 'I1', diameterMm: 1.0 } as const;

export const scenarios: readonly Scenario[] = [
  {
    id: 'axle-plate-to-tube',
    part: 'Market cart frame',
    name: 'Axle plate to tube',
    grade: 'S235, square tube on plate',
    input: {
      ...steel10,
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [2.5, 5],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        legMm: 3.5,
        lengthMm: 160,
      },
    },
  },
  {
    id: 'frame-corner-butt',
    part: 'Market cart frame',
    name: 'Frame corner, mitred',
    grade: 'S235, square tube',
    input: {
      ...steel10,
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [2.5, 2.5],
        joint: 'butt',
        position: 'PA',
        gapMm: 0.5,
        lengthMm: 70,
      },
    },
  },
  {
    id: 'hitch-bracket-fillet',
    part: 'Market cart frame',
    name: 'Hitch bracket, lower fillet',
    grade: 'S355, plate',
    input: {
      ...steel12,
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [6, 8],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        legMm: 5,
        lengthMm: 240,
      },
    },
  },
  {
    id: 'tow-beam-butt',
    part: 'Market cart frame',
    name: 'Tow beam, V butt',
    grade: 'S355, plate',
    input: {
      ...steel12,
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [12, 12],
        joint: 'butt',
        position: 'PA',
        gapMm: 2,
        lengthMm: 180,
        preparation: { kind: 'v', angleDeg: 60, rootFaceMm: 1 },
      },
    },
  },
  {
    id: 'jack-post-upright',
    part: 'Market cart frame',
    name: 'Jack post, going up',
    grade: 'S355, plate',
    input: {
      ...steel12,
      filler: 'steel-flux-cored',
      mode: 'cored',
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [6, 8],
        joint: 'tee',
        position: 'PF',
        gapMm: 0,
        legMm: 5,
        lengthMm: 220,
      },
    },
  },
  {
    id: 'counter-corner',
    part: 'Kitchen counter',
    name: 'Counter corner, stays bright',
    grade: '304L, sheet',
    input: {
      ...stainless08,
      seam: {
        materialGroup: 'stainless',
        thicknessesMm: [1.5, 1.5],
        joint: 'corner-outside',
        position: 'PA',
        gapMm: 0,
        lengthMm: 620,
      },
    },
  },
  {
    id: 'sink-flange-lap',
    part: 'Kitchen counter',
    name: 'Sink flange lap',
    grade: '304L, sheet on 2 mm frame',
    input: {
      ...stainless10,
      seam: {
        materialGroup: 'stainless',
        thicknessesMm: [1.5, 2],
        joint: 'lap',
        position: 'PB',
        gapMm: 0,
        lengthMm: 1480,
      },
    },
  },
  {
    id: 'trike-box-floor',
    part: 'Cargo trike box',
    name: 'Trike box, floor seam',
    grade: '5754, sheet',
    input: {
      ...almg12,
      seam: {
        materialGroup: 'aluminium',
        thicknessesMm: [2.5, 2.5],
        joint: 'lap',
        position: 'PB',
        gapMm: 0,
        legMm: 4,
        lengthMm: 640,
      },
    },
  },
  {
    id: 'trike-frame-node',
    part: 'Cargo trike box',
    name: 'Frame node, tube to plate',
    grade: '6082, 4 mm',
    input: {
      ...almg12,
      seam: {
        materialGroup: 'aluminium',
        thicknessesMm: [4, 4],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        legMm: 4,
        lengthMm: 180,
        travelMmPerMin: 600,
      },
    },
  },
  {
    id: 'trike-frame-rail',
    part: 'Cargo trike box',
    name: 'Frame rail, lower seam',
    grade: '6082, 4 mm',
    input: {
      ...almg12,
      mode: 'double-pulse',
      seam: {
        materialGroup: 'aluminium',
        thicknessesMm: [4, 4],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        legMm: 5,
        lengthMm: 420,
      },
    },
  },
  {
    id: 'trike-lid-seam',
    part: 'Cargo trike box',
    name: 'Lid seam, even ripples',
    grade: '5754, sheet',
    input: {
      ...almg12,
      mode: 'double-pulse',
      seam: {
        materialGroup: 'aluminium',
        thicknessesMm: [2.5, 2.5],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        legMm: 4,
        lengthMm: 820,
      },
    },
  },
  {
    id: 'canopy-rail-lap',
    part: 'Canopy rail',
    name: 'Canopy rail lap, brazed',
    grade: 'Z275 coated sheet',
    input: {
      ...braze10,
      seam: {
        materialGroup: 'galvanised',
        thicknessesMm: [1, 1],
        joint: 'lap',
        position: 'PB',
        gapMm: 0,
        lengthMm: 900,
      },
    },
  },
  {
    id: 'canopy-post-edge',
    part: 'Canopy rail',
    name: 'Canopy post edge',
    grade: 'Z275 coated sheet',
    input: {
      ...braze10,
      seam: {
        materialGroup: 'galvanised',
        thicknessesMm: [1, 1.5],
        joint: 'edge',
        position: 'PA',
        gapMm: 0,
        lengthMm: 300,
      },
    },
  },
];
