/** Minutes, wire and gas of a revision: those stored with it; a row older than the column is computed once more and filled at the start. */
import type { ProgramFile, Revision, RevisionUse } from '@fox-tempo/contract';
import { partTakes } from '@fox-tempo/core/day/consumption';
import { planSetting } from '@fox-tempo/core/setting/plan';
import { questionOf } from '@fox-tempo/core/site';
import { createHash } from 'node:crypto';

export function useFor({ spec, choice, site }: Pick<Revision, 'spec' | 'choice' | 'site'>): RevisionUse | null {
  const plan = planSetting(questionOf(spec, choice, site));
  return plan.ok ? { ...partTakes(plan.value) } : null;
}

export function useOf(revision: Revision): RevisionUse | null {
  return revision.use ?? useFor(revision);
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
