/** The card for whoever sets it: on paper, a page made by the server from the saved revision, or on a screen, in that reader's language and units. */
import { languages, written } from '@fox-tempo/words';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { cardAddress, type Reader } from '../../data/api.ts';
import { session } from '../../session/session.ts';
import { useSettings } from '../../session/settings.ts';
import { t, spoken } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { readersOf } from './readers.ts';

const papers = [
  { value: 'A5', label: 'A5' },
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: t('view.dial-card.letter') },
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
  const [chosen, setChosen] = useState('');
  if (!isSaved) {
    return (
      <Box textStyle="label" color="quiet" mt="3">
        {t('view.dial-card.save-to-print')}
      </Box>
    );
  }
  const own: Reader = { language: spoken().language, units };
  const readers = readersOf(session.getState().state?.people ?? [], own);
  const reader = readers.find(({ value }) => value === chosen)?.reader ?? own;
  const isOther = reader.language !== own.language || reader.units !== own.units;
  return (
    <Box display="grid" gridTemplateColumns="110px 1fr" gap="2" alignItems="end" mt="3">
      <Box gridColumn="1 / -1">
        <ChoiceField
          label={t('view.dial-card.for-whom')}
          value={chosen}
          choices={[
            { value: '', label: t('view.dial-card.for-me') },
            ...readers,
            ...languages
              .filter((language) => language !== own.language)
              .map((language) => ({ value: language, label: written[language].name })),
          ]}
          onChange={setChosen}
        />
      </Box>
      <ChoiceField label={t('view.dial-card.paper')} value={paper} choices={papers} onChange={setPaper} />
      <CardLink address={cardAddress(seamId, machineId, paper, readerFor(chosen, reader))}>
        {t('view.dial-card.print-card-pdf')}
      </CardLink>
      {(isOther || chosen !== '') && (
        <Box gridColumn="1 / -1" display="grid">
          <CardLink
            address={`/seams/${seamId}?${new URLSearchParams(asked(readerFor(chosen, reader))).toString()}#dial-card`}
          >
            {t('view.dial-card.show-on-screen')}
          </CardLink>
        </Box>
      )}
    </Box>
  );
}

/** A language chosen by itself is read in the units that stand here. */
function readerFor(chosen: string, reader: Reader): Reader {
  const language = languages.find((one) => one === chosen);
  return language ? { ...reader, language } : reader;
}

function asked({ language, units }: Reader): Record<string, string> {
  return { lang: language, units };
}

function CardLink({ address, children }: { readonly address: string; readonly children: string }) {
  return (
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
      fontSize="text"
      _hover={{ bg: 'accentSoft' }}
    >
      <a href={address} target="_blank" rel="noreferrer">
        {children}
      </a>
    </Box>
  );
}
