/** Wire and gas that one part takes of a program: what is stored with a revision, so that a later model does not rewrite it. */
import { fillerOf, wireAreaMm2, type FillerCode } from '../consumables/index.ts';
import { partUse } from './outlook.ts';
import { seamGasL } from './stock.ts';

export interface PartTakes {
  readonly arcSeconds: number;
  readonly passes: number;
  readonly wireKg: number;
  readonly gasL: number;
}

/** `arcSeconds` over all passes; every pass is a start with its gas before and after. */
export function partTakes(
  program: Parameters<typeof partUse>[0] & { readonly filler: FillerCode; readonly diameterMm: number },
  arcSeconds: number,
  passes: number,
): PartTakes {
  const { gasFlowLPerMin, preGasS, postGasS } = partUse(program, arcSeconds, passes);
  const kgPerM = wireAreaMm2(program.diameterMm) * 1e-6 * fillerOf(program.filler).densityKgPerM3;
  return {
    arcSeconds,
    passes,
    wireKg: kgPerM * program.wireFeedMPerMin * (arcSeconds / 60),
    gasL: gasFlowLPerMin > 0 ? seamGasL(gasFlowLPerMin, arcSeconds, passes, preGasS, postGasS) : 0,
  };
}
