/** How one welder moves a setting inside its window: kept beside the program, which stays the shop's. */
import { type Range, type Window, type WindowQuantity, windowQuantities } from './window.ts';

/** Differences to the program, in its units; what is left out stays. */
export type Offset = { readonly [K in WindowQuantity]?: number | undefined };
type Moved = { readonly [K in WindowQuantity]: number };

export function withOffset<P extends Moved>(program: P, offset: Offset): P {
  return { ...program, ...Object.fromEntries(windowQuantities.map((one) => [one, program[one] + (offset[one] ?? 0)])) };
}

/** Quantities that an offset takes out of the window, with the ends they passed; what the window does not speak of may not be moved. */
export function offsetBeyond(
  program: Moved,
  offset: Offset,
  window: Window,
): { readonly quantity: WindowQuantity; readonly value: number; readonly range: Range }[] {
  return windowQuantities.flatMap((quantity) => {
    const by = offset[quantity] ?? 0;
    if (by === 0) return [];
    const range = window[quantity] ?? ([program[quantity], program[quantity]] as const);
    const value = program[quantity] + by;
    return value < range[0] - 1e-6 || value > range[1] + 1e-6 ? [{ quantity, value, range }] : [];
  });
}
