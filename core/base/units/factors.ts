/** Exact factors between customary units and those that are stored; minutes, metres and milliohms are in `convert.ts`. */

/** International inch. */
export const MM_PER_IN = 25.4;
export const M_PER_IN = 0.0254;
/** 1 ft³/h = 28.316846592 L in 60 min. */
export const L_PER_MIN_PER_CFH = 28.316846592 / 60;
/** International avoirdupois pound. */
export const KG_PER_LB = 0.45359237;
/** 1 m/min = 1000 mm in 60 s. */
export const MM_PER_S_PER_M_PER_MIN = 1000 / 60;
/** Pound-force per square inch. */
export const BAR_PER_PSI = 0.0689475729;
