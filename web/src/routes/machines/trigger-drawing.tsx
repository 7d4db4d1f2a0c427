/** A trigger mode as a state diagram in a row: states as boxes, what a press or release does written on the arrows. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { TriggerMode } from '@fox-tempo/core/machine/description';

const verbs = {
  press: 'press',
  release: t('view.machines.let-go'),
  tap: 'tap',
  time: t('view.machines.after-its-time'),
  arc: t('view.machines.when-it-lights'),
} as const;

export function TriggerDrawing({ mode }: { readonly mode: TriggerMode }) {
  return (
    <Box as="ol" display="flex" flexWrap="wrap" gap="2" my="2" listStyleType="none">
      {mode.states.map((state) => {
        const moves = mode.moves.filter((move) => move.from === state);
        return (
          <Box
            as="li"
            key={state}
            borderWidth="1px"
            borderColor="edge"
            borderRadius="4px"
            bg="page"
            px="2.5"
            py="1.5"
            minWidth="112px"
            fontSize="small"
          >
            <Box fontWeight={600}>{state}</Box>
            {moves.map((move) => (
              <Box key={`${move.on}${move.to}`} textStyle="label" color="quiet">
                {verbs[move.on]} → {move.to}
              </Box>
            ))}
          </Box>
        );
      })}
    </Box>
  );
}
