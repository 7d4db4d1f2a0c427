/** Feed, travel and deposited area belong together: travel = feed x wire area x yield / area. Feed m/min, travel mm/min, areas mm². */
import type { WireInGas } from '../../metal/arc/index.ts';

export function travelForArea(wire: WireInGas, wireFeedMPerMin: number, areaMm2: number): number {
  return (wireFeedMPerMin * 1000 * wire.areaMm2 * wire.yield) / areaMm2;
}

export function feedForArea(wire: WireInGas, travelMmPerMin: number, areaMm2: number): number {
  return (travelMmPerMin * areaMm2) / (1000 * wire.areaMm2 * wire.yield);
}

export function areaForTravel(wire: WireInGas, wireFeedMPerMin: number, travelMmPerMin: number): number {
  return (wireFeedMPerMin * 1000 * wire.areaMm2 * wire.yield) / travelMmPerMin;
}
