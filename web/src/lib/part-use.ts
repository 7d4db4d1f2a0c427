/** What one part takes of a seam with a saved setting: nothing where there is none. */
import { planRequest, type SeamResource } from '@fox-tempo/contract';
import { partUse, type PartUse } from '@fox-tempo/core/consumption';
import { planSeam } from '@fox-tempo/core/plan';

export function measureSeam(seam: SeamResource): { readonly seam: SeamResource; readonly use: PartUse }[] {
  const { revision } = seam;
  if (!revision) return [];
  const plan = planSeam(planRequest(revision.spec, revision.choice));
  return plan.ok ? [{ seam, use: partUse(revision.program, plan.value.arcSeconds, plan.value.passes) }] : [];
}
