/** Memories that taps at rest call on a machine, each checked against what this score needs loaded. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { tapTargets, type TapTarget } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import { useEffect, useState } from 'react';
import { api, ProblemError } from '../../../data/api.ts';

type Found =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly targets: readonly TapTarget[] };

export function TapCalls({ machine, program }: { readonly machine: MachineResource; readonly program: Program }) {
  const [found, setFound] = useState<Found>({ kind: 'loading' });
  useEffect(() => {
    const abort = new AbortController();
    api
      .slots(machine.id, abort.signal)
      .then((slots) => {
        const held = slots.map(({ slot, seamName, program: kept }) => ({ slot, name: seamName, program: kept }));
        setFound({ kind: 'ready', targets: tapTargets(machine.file, held, program) });
      })
      .catch((error: unknown) => {
        if (abort.signal.aborted) return;
        if (!(error instanceof ProblemError)) throw error;
        setFound({ kind: 'failed', message: format(error.problem.title) });
      });
    return () => abort.abort();
  }, [machine, program]);
  return (
    <Box>
      <Heading as="h3" textStyle="label" color="quiet" fontWeight={600}>
        {t('view.sequence.taps-at-rest')}
      </Heading>
      {found.kind === 'loading' && (
        <Box role="status" fontSize="small" color="quiet">
          {t('view.sequence.memories-loading')}
        </Box>
      )}
      {found.kind === 'failed' && (
        <Box role="alert" fontSize="small">
          {t('view.sequence.memories-failed', { message: found.message })}
        </Box>
      )}
      {found.kind === 'ready' && (
        <Box as="ul" listStyleType="none" fontSize="small">
          {found.targets.map(({ taps, slot, name, warning }) => (
            <Box as="li" key={slot} color={warning ? 'ochre' : undefined}>
              {warning ? '◆' : '●'}{' '}
              {t('view.sequence.taps-memory', {
                taps,
                slot,
                name: name ?? absent,
                warning: warning ?? absent,
              })}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
