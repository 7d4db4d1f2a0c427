/** The frame of every view of a seam's setting: the work at the left, the chosen machine's dial card always beside it, its strip under it. */
import { t } from '../../lib/words.ts';
import { Box, type BoxProps } from '@chakra-ui/react';
import { memo } from 'react';
import { Main } from '../../ui/main.tsx';
import { DialCard, type DialCardProps, DialStrip } from '../dial-card/index.ts';

// A card that shows nothing new is not drawn again with every keystroke beside it.
const Card = memo(DialCard);
const Strip = memo(DialStrip);

export interface BesideCardProps extends BoxProps, DialCardProps {
  /** The card's figures along the lower edge where the card itself is out of sight; left out: shown. */
  readonly hasStrip?: boolean;
}

export function BesideCard({
  machines,
  program,
  print,
  windows,
  machine,
  hasStrip = true,
  children,
  ...main
}: BesideCardProps) {
  return (
    <>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', xl: 'minmax(0, 1fr) 318px' }} flex="1">
        <Main {...main}>{children}</Main>
        <Box
          as="aside"
          aria-label={t('view.seam-frame.dial-card')}
          bg="surface"
          borderStartWidth={{ base: 0, xl: '1px' }}
          borderTopWidth={{ base: '1px', xl: 0 }}
          borderColor="line"
          px="4.5"
          py="4"
          overflow="hidden"
        >
          <Card machines={machines} program={program} print={print} windows={windows} machine={machine} />
        </Box>
      </Box>
      {hasStrip && <Strip machines={machines} program={program} machine={machine} />}
    </>
  );
}
