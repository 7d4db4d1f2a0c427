/** From a shape as it is written down to a part that takes up heat. */
import { boxPart } from './box-part.ts';
import { framePart } from './frame-part.ts';
import type { Part } from './part.ts';
import { platePart } from './plate-part.ts';
import type { PartShape } from './shapes.ts';

/** `coarse` is for comparing many orders, where it makes a difference in time. */
export function partOf(shape: PartShape, coarse = false): Part {
  switch (shape.kind) {
    case 'plate':
      return platePart(shape);
    case 'box':
      return boxPart(shape, coarse);
    case 'frame':
      return framePart(shape);
  }
}
