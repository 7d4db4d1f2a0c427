/** A canvas made ready for a page's pixels and theme, with the sharpness that a screen without a graphics card still bears. */
import { colours, type ColourName, type Theme } from '../theme/colours.ts';

export const sharpness = Math.min(Math.max(globalThis.devicePixelRatio || 1, 1), 2);

export function ready(canvas: HTMLCanvasElement | null): CanvasRenderingContext2D | null {
  const context = canvas?.getContext('2d') ?? null;
  context?.setTransform(sharpness, 0, 0, sharpness, 0, 0);
  return context;
}

export function paints(theme: Theme): (name: ColourName) => string {
  return (name) => colours[name][theme];
}
