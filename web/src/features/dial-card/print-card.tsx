/** The card on paper: a page made by the server from the saved revision. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { cardAddress } from '../../data/api.ts';
import { useSettings } from '../../lib/settings.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';

const papers = [
  { value: 'A5', label: 'A5' },
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: 'Letter' },
] as const;

export function PrintCard({
  seamId,
  machineId,
  isSaved,
}: {
  readonly seamId: string;
  readonly machineId: string;
  readonly isSaved: boolean;
}) {
  const units = useSettings((state) => state.units);
  const [paper, setPaper] = useState<(typeof papers)[number]['value']>('A5');
  if (!isSaved) {
    return (
      <Box textStyle="label" color="quiet" mt="3">
        Save this setting to print its card.
      </Box>
    );
  }
  return (
    <Box display="grid" gridTemplateColumns="110px 1fr" gap="2" alignItems="end" mt="3">
      <ChoiceField label="Paper" value={paper} choices={papers} onChange={setPaper} />
      <Box
        asChild
        display="inline-flex"
        alignItems="center"
        justifyContent="center"
        minHeight="44px"
        px="3.5"
        borderWidth="1px"
        borderColor="edge"
        borderRadius="3px"
        fontWeight={600}
        fontSize="14px"
        _hover={{ bg: 'accentSoft' }}
      >
        <a href={cardAddress(seamId, machineId, paper, units)} target="_blank" rel="noreferrer">
          Print card (PDF)
        </a>
      </Box>
    </Box>
  );
}
