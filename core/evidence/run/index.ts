export { heldCodes, whyHeld, type Held, type HeldCode, type OrderAtWeld, type Run } from './why-held.ts';
export { notCounted, partsReady, taken, type NotCounted, type SeamCount } from './count.ts';
