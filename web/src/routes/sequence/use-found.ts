/** What a dry test found, written to its machine. */
import { t, format, formatIf } from '../../lib/words.ts';
import type { MachineFile, MachineResource } from '@fox-tempo/contract';
import { withPlainLatch, type PlainLatch } from '@fox-tempo/core/machine/description';
import { useCallback } from 'react';
import { useRevalidator } from 'react-router';
import { api, ProblemError } from '../../data/api.ts';
import { useMe } from '../../session/session.ts';
import { shopDay } from '../../lib/time.ts';

/** Writes what a dry test found to the machine, with who and when. */
export function useFound(): (machine: MachineResource, modeId: string, plain: PlainLatch) => Promise<string | null> {
  const { revalidate } = useRevalidator();
  const by = useMe()?.name ?? 'somebody';
  return useCallback(
    async (machine, modeId, plain) => {
      const found = withPlainLatch(machine.file, modeId, plain, {
        result: 'as-described',
        by,
        on: shopDay(),
        note: t('view.sequence.dry-test.result', { startsOn: plain.startsOn, endsOn: plain.endsOn }),
      });
      if (!found.ok) return formatIf(found.issues[0]?.message) ?? t('view.sequence.not-taken');
      try {
        await api.saveMachine(machine.id, machine.version, { ...machine.file, ...found.value } as MachineFile);
        await revalidate();
        return null;
      } catch (error) {
        if (error instanceof ProblemError) return `${format(error.problem.title)}. ${error.message}`;
        throw error;
      }
    },
    [revalidate, by],
  );
}
