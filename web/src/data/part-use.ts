/** What one part takes of a seam with a saved setting, as it was stored with it: nothing where there is none. */
import type { SeamResource } from '@fox-tempo/contract';
import { partUse, type PartUse } from '@fox-tempo/core/day/consumption';

export function measureSeam(seam: SeamResource): { readonly seam: SeamResource; readonly use: PartUse }[] {
  const { revision } = seam;
  return revision?.use ? [{ seam, use: partUse(revision.program, revision.use) }] : [];
}
