/** Where the map's drawing sits in its own box, in pixels of the page. */
export interface MapFrame {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly inner: { readonly w: number; readonly h: number };
}

const edges = { left: 40, right: 8, top: 6, bottom: 36 } as const;

export function mapFrame(width: number, height: number): MapFrame {
  const { left, right, top, bottom } = edges;
  return {
    width,
    height,
    left,
    top,
    inner: { w: Math.max(width - left - right, 40), h: Math.max(height - top - bottom, 40) },
  };
}
