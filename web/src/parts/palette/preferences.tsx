/** How somebody reads here: language, units, light, and the hand that holds the gun. Kept with the person who is signed in, else on the device. */
import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { changeReading, useReading } from '../../session/preferences.ts';
import { t } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { LanguageRow } from '../../ui/language-row.tsx';
import { Sheet } from './sheet.tsx';

export function ReadingSheet() {
  const first = useRef<HTMLDivElement>(null);
  const { units, theme, hand } = useReading();
  return (
    <Sheet of="reading" title={t('view.finding.how-you-read')} first={first}>
      <Box ref={first} tabIndex={-1} display="grid" gap="4" pt="2" _focusVisible={{ outline: 'none' }}>
        <LanguageRow />
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}>
          <ChoiceField
            label={t('view.finding.units')}
            value={units}
            choices={[
              { value: 'metric', label: t('view.finding.metric-mm') },
              { value: 'us', label: t('view.finding.words.units-us') },
            ]}
            onChange={(next) => changeReading({ units: next })}
          />
          <ChoiceField
            label={t('view.finding.light')}
            value={theme}
            choices={[
              { value: 'day', label: t('view.finding.day') },
              { value: 'night', label: t('view.finding.night') },
            ]}
            onChange={(next) => changeReading({ theme: next })}
          />
          <ChoiceField
            label={t('view.finding.gun-hand')}
            value={hand}
            choices={[
              { value: 'right', label: t('view.finding.right-hand') },
              { value: 'left', label: t('view.finding.left-hand') },
            ]}
            hint={t('view.finding.rail-moved')}
            onChange={(next) => changeReading({ hand: next })}
          />
        </Box>
      </Box>
    </Sheet>
  );
}
