/** One line of the card: the machine's word, where a hand finds it, and the figure to set. */
import { absent } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';

export interface DialLineProps {
  readonly label: string;
  readonly where: string;
  readonly display: string;
  readonly unit: string;
  /** Stands otherwise on the machine now. */
  readonly changed?: boolean;
  readonly was?: string | undefined;
  readonly note?: string | undefined;
}

export function DialLine({ label, where, display, unit, changed = false, was, note }: DialLineProps) {
  const isWord = display.length > 7;
  return (
    <Box
      display="flex"
      alignItems="center"
      justifyContent="space-between"
      gap="3"
      minHeight="50px"
      py="1"
      borderBottomWidth="1px"
      borderColor="line"
      {...(changed
        ? { bg: 'accentSoft', borderStartWidth: '4px', borderStartColor: 'accent', mx: '-14px', px: '10px', pr: '14px' }
        : {})}
    >
      <Box as="dt" minWidth={0}>
        <Box fontWeight={600} fontSize="text">
          {label}
          {changed && (
            <Box as="span" color="accent" fontWeight={600} fontSize="label" ms="1.5">
              {t('view.dial-card.set', { was: was ?? absent })}
            </Box>
          )}
        </Box>
        <Box textStyle="label" color="quiet">
          {where}
        </Box>
        {note !== undefined && (
          <Box textStyle="label" color="quiet">
            {note}
          </Box>
        )}
      </Box>
      <Box
        as="dd"
        {...(isWord
          ? { fontWeight: 600, fontSize: 'body', textAlign: 'end', maxWidth: '52%' }
          : { textStyle: 'bigFigure', whiteSpace: 'nowrap' })}
        flexShrink={0}
      >
        {display}
        {unit !== '' && (
          <Box as="span" fontSize="small" color="quiet" ms="1">
            {unit}
          </Box>
        )}
      </Box>
    </Box>
  );
}
