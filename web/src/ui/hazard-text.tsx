/** What keeps somebody from being hurt: in the reader's words, and in English beside it until somebody of the shop has read them. */
import type { SaidValue } from '@fox-tempo/core/base/messages';
import { Box } from '@chakra-ui/react';
import { spoken, format } from '../lib/words.ts';

export function HazardText({ said }: { readonly said: SaidValue }) {
  const english = spoken().beside(said);
  return (
    <>
      {format(said)}
      {english !== undefined && (
        <Box as="span" lang="en" display="block" color="quiet" fontSize="0.9em">
          {english}
        </Box>
      )}
    </>
  );
}
