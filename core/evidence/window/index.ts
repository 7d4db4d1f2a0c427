export {
  spreadQuantities,
  testWindow,
  upper95,
  usualSpread,
  windowQuantities,
  type Point,
  type Range,
  type Spread,
  type Tried,
  type Window,
  type WindowInput,
  type WindowLimits,
  type WindowQuantity,
  type WindowTested,
} from './window.ts';
export { weldedAt, weldedCorners, type Welded, type WeldedCorner } from './evidence.ts';
export { offsetBeyond, withOffset, type Offset } from './offset.ts';
export { sobol } from './sobol.ts';
export { dialsBeyond, dialWindowWords, windowOnDials, type DialWindow } from './on-dials.ts';
