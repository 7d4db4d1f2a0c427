/** What a gas lets a filler do: whether it welds at all, whether it pulses, and what to know. From the same gates that refuse a plan. */
import type { Phrase } from '../../base/messages/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import { gasIssues, gasWarnings, pulseGateIssues } from '../pulse/index.ts';

export function gasUse(
  filler: FillerCode,
  gas: string,
): { readonly pulse: boolean; readonly steady: boolean; readonly caution?: Phrase } {
  const [caution] = gasWarnings(filler, gas);
  return {
    pulse: pulseGateIssues(filler, gas).length === 0,
    steady: gasIssues(filler, gas).length === 0,
    ...(caution ? { caution: caution.message } : {}),
  };
}
