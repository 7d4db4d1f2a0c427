/** From the units that people and records use to those that formulas use, and back: one home for every minute, metre and milliohm. */

/** m/min of wire to mm/s. */
export function feedMmPerS(feedMPerMin: number): number {
  return (feedMPerMin * 1000) / 60;
}

/** mm/min of travel to mm/s. */
export function travelMmPerS(travelMmPerMin: number): number {
  return travelMmPerMin / 60;
}

/** s of a length at a travel speed: mm, mm/min. */
export function travelSeconds(lengthMm: number, travelMmPerMin: number): number {
  return (lengthMm * 60) / travelMmPerMin;
}

/** V lost over a resistance: A, mΩ. */
export function lostVolts(currentA: number, resistanceMOhm: number): number {
  return (currentA * resistanceMOhm) / 1000;
}

export function minutesOf(seconds: number): number {
  return seconds / 60;
}

export function hoursOf(minutes: number): number {
  return minutes / 60;
}

export function secondsOfMs(ms: number): number {
  return ms / 1000;
}

/** L that flow in a time: L/min, s. */
export function litresIn(flowLPerMin: number, seconds: number): number {
  return (flowLPerMin * seconds) / 60;
}

/** m of wire in a time: m/min, s. */
export function wireMetresIn(feedMPerMin: number, seconds: number): number {
  return (feedMPerMin * seconds) / 60;
}

/** A thousandth, as of a gram in kg, a watt in kW, a litre in m³, a joule in kJ. */
export function thousandth(value: number): number {
  return value / 1000;
}

/** kg of a metre of wire: mm², kg/m³. */
export function wireKgPerM(areaMm2: number, densityKgPerM3: number): number {
  return areaMm2 * 1e-6 * densityKgPerM3;
}

/** g of a millimetre of wire: mm², kg/m³. */
export function wireGPerMm(areaMm2: number, densityKgPerM3: number): number {
  return (areaMm2 * densityKgPerM3) / 1e6;
}

/** W/(m² K) to W/(mm² K). */
export function perMm2(wPerM2K: number): number {
  return wPerM2K * 1e-6;
}
