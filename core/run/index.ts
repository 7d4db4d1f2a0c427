export { heldCodes, whyHeld, type Held, type HeldCode, type Run } from './why-held.ts';
export { partsReady, taken, type SeamCount } from './count.ts';
