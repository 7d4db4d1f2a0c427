/** Something to know, with a shape and a word beside its colour: hazard (triangle), caution (diamond), note (circle), refusal (bar). */
import { t } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export type NoticeLevel = 'hazard' | 'caution' | 'note' | 'refusal';

const looks = {
  hazard: { word: t('view.ui.hazard'), ground: 'crimsonSoft', ink: 'crimson', shape: 'M8 1.5 15 14H1Z' },
  refusal: { word: t('view.ui.refused'), ground: 'crimsonSoft', ink: 'crimson', shape: 'M2 6h12v4H2Z' },
  caution: { word: t('view.ui.caution'), ground: 'ochreSoft', ink: 'ochre', shape: 'M8 1 15 8 8 15 1 8Z' },
  note: { word: t('view.machines.note'), ground: 'spruceSoft', ink: 'spruce', shape: 'M8 2a6 6 0 1 0 .01 0Z' },
} as const;

export interface NoticeProps {
  readonly level: NoticeLevel;
  readonly children: ReactNode;
  /** Announced at once by screen readers. */
  readonly urgent?: boolean;
  readonly word?: string;
}

export function Notice({ level, children, urgent = false, word }: NoticeProps) {
  const look = looks[level];
  return (
    <Box
      role={urgent ? 'alert' : undefined}
      display="flex"
      gap="2.5"
      alignItems="flex-start"
      bg={look.ground}
      borderStartWidth="4px"
      borderColor={look.ink}
      px="3"
      py="2"
      fontSize="small"
      css={{ '& a': { fontWeight: 600, textDecoration: 'underline' } }}
    >
      <Box as="span" color={look.ink} flexShrink={0} mt="2px" aria-hidden="true">
        <svg width="13" height="13" viewBox="0 0 16 16">
          <path d={look.shape} fill="currentColor" />
        </svg>
      </Box>
      <Box minWidth={0}>
        <Box as="strong" color={look.ink} me="1.5">
          {word ?? look.word}
        </Box>
        {children}
      </Box>
    </Box>
  );
}
