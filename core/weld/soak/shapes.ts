/** What takes up heat, as it is written down: plates, boxes of joined plates, frames of tubes. */

/** mm along and across, and on which face or bar; left out: the first. */
export type Place = readonly [x: number, y: number, face?: number];

/** What a part is made of. */
export interface Metal {
  readonly diffusivityMm2PerS: number;
  readonly volumetricHeatJPerMm3K: number;
  /** On each face that meets the air, W/(m² K). */
  readonly lossWPerM2K: number;
}

export interface Plate extends Metal {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
}

export interface BoxShape extends Metal {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly lid: boolean;
  readonly thicknessMm: number;
}

export interface FrameShape extends Metal {
  /** Between the middles of the outer tubes, mm. */
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Tubes across, evenly between the ends. */
  readonly rungs: number;
  readonly tubeMm: readonly [number, number];
  readonly thicknessMm: number;
}

export type PartShape =
  | ({ readonly kind: 'plate' } & Plate)
  | ({ readonly kind: 'box' } & BoxShape)
  | ({ readonly kind: 'frame' } & FrameShape);
