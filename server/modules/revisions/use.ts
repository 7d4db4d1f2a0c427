/** Minutes, wire and gas of a revision: those stored with it; a row older than the column is computed once more and filled at the start. */
import { planRequest, type ProgramFile, type Revision, type RevisionUse, type SeamSave } from '@fox-tempo/contract';
import { partTakes } from '@fox-tempo/core/consumption';
import { planSeam } from '@fox-tempo/core/plan';
import { createHash } from 'node:crypto';

export function useFor({ spec, choice }: SeamSave, program: ProgramFile): RevisionUse | null {
  const plan = planSeam(planRequest(spec, choice));
  if (!plan.ok) return null;
  return { ...partTakes(program, plan.value.arcSeconds, plan.value.passes) };
}

export function useOf(revision: Revision): RevisionUse | null {
  return revision.use ?? useFor(revision, revision.program);
}

/** Hash of a program's content with its keys in order: the same content gives the same hash wherever it was stored. */
export function contentHash(program: ProgramFile): string {
  return createHash('sha256').update(ordered(program)).digest('hex');
}

function ordered(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(ordered).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const keys = Object.keys(value).sort();
  return `{${keys.map((key) => `${JSON.stringify(key)}:${ordered((value as Record<string, unknown>)[key])}`).join(',')}}`;
}
