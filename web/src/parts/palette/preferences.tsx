/** How somebody reads here: language, units, light, and the hand that holds the gun. Kept with the person who is signed in, else on the device. */
import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { changePreferences, usePreferences } from '../../session/preferences.ts';
import { t } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { LanguageRow } from '../../ui/language-row.tsx';
import { Sheet } from './sheet.tsx';

export function ReadingSheet() {
  const first = useRef<HTMLDivElement>(null);
  const { units, theme, hand } = usePreferences();
  return (
    <Sheet of="reading" title={t('view.palette.how-you-read')} first={first}>
      <Box ref={first} tabIndex={-1} display="grid" gap="4" pt="2" _focusVisible={{ outline: 'none' }}>
        <LanguageRow />
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}>
          <ChoiceField
            label={t('view.palette.units')}
            value={units}
            choices={[
              { value: 'metric', label: t('view.palette.metric-mm') },
              { value: 'us', label: t('view.palette.words.units-us') },
            ]}
            onChange={(next) => changePreferences({ units: next })}
          />
          <ChoiceField
            label={t('view.palette.light')}
            value={theme}
            choices={[
              { value: 'day', label: t('view.palette.day') },
              { value: 'night', label: t('view.palette.night') },
            ]}
            onChange={(next) => changePreferences({ theme: next })}
          />
          <ChoiceField
            label={t('view.palette.gun-hand')}
            value={hand}
            choices={[
              { value: 'right', label: t('view.palette.right-hand') },
              { value: 'left', label: t('view.palette.left-hand') },
            ]}
            hint={t('view.palette.rail-moved')}
            onChange={(next) => changePreferences({ hand: next })}
          />
        </Box>
      </Box>
    </Sheet>
  );
}
