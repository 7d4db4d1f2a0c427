/** The languages, each by its own name: found by somebody who reads none of the others. */
import { Box, chakra } from '@chakra-ui/react';
import { languages, written } from '@fox-tempo/words';
import { changePreferences } from '../session/preferences.ts';
import { t, spoken } from '../lib/words.ts';

export function LanguageRow() {
  const { language } = spoken();
  return (
    <Box role="group" aria-label={t('view.ui.language')} display="flex" flexWrap="wrap" gap="2">
      {languages.map((one) => (
        <chakra.button
          key={one}
          type="button"
          lang={one}
          aria-pressed={one === language}
          onClick={() => changePreferences({ language: one })}
          minHeight="44px"
          px="4"
          fontWeight={600}
          fontSize="text"
          bg={one === language ? 'accentSoft' : 'surface'}
          borderWidth="1px"
          borderColor={one === language ? 'accent' : 'edge'}
          borderRadius="3px"
          cursor="pointer"
          _hover={{ bg: 'accentSoft' }}
        >
          {written[one].name}
          {written[one].machineMade && ' ◇'}
        </chakra.button>
      ))}
      {languages.some((one) => written[one].machineMade) && (
        <Box flexBasis="100%" fontSize="small" color="quiet">
          ◇ {t('view.ui.machine-made')}
        </Box>
      )}
    </Box>
  );
}
