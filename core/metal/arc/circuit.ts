/** Resistance between a machine's terminals and the contact tip, and back through the return clamp. */

/** Where none was measured, mΩ, and what a machine that was never aligned takes for granted: the middle of the usual 5 to 30; assumed. */
export const nominalCircuitMOhm = 15;
