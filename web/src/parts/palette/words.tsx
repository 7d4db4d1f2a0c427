/** What words mean here, one key away; and what each of them may hide on another panel. */
import { t } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { lookUp } from './glossary.ts';
import { inputLook } from '../../ui/field.tsx';
import { Sheet } from './sheet.tsx';

export function WordsSheet() {
  const [typed, setTyped] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const shown = lookUp(typed);
  return (
    <Sheet of="words" title={t('view.app.glossary')} first={field}>
      <chakra.input
        {...inputLook}
        type="search"
        aria-label={t('view.palette.glossary')}
        placeholder={t('view.palette.glossary-placeholder')}
        ref={field}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {shown.length === 0 && (
        <Box color="quiet" fontSize="small" py="2">
          {t('view.palette.no-term')}
        </Box>
      )}
      <Box as="dl" mt="2" fontSize="small">
        {shown.map(({ word, means, hides, ask, standard }) => (
          <Box key={word} borderTopWidth="1px" borderColor="line" py="1.5">
            <Box as="dt" fontWeight={650}>
              {word}
            </Box>
            <Box as="dd">
              {means}.
              {standard !== undefined && (
                <Box color="quiet" fontSize="label">
                  {t('view.term.standard', { standard })}
                </Box>
              )}
              {hides !== undefined && (
                <Box color="ochre" fontSize="label">
                  {t('view.palette.elsewhere', { hides, ask: ask ?? '' })}
                </Box>
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Sheet>
  );
}
