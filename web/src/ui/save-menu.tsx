/** What is drawn, as files: a small menu that lies over the page and moves nothing. */
import { t } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Action } from './action.tsx';

export interface SaveMenuProps {
  /** What is saved, for those who do not see where the menu stands. */
  readonly what: string;
  readonly ways: readonly { readonly name: string; readonly save: () => void }[];
}

export function SaveMenu({ what, ways }: SaveMenuProps) {
  const holder = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const close = (event: Event) => {
      if (event instanceof KeyboardEvent ? event.key === 'Escape' : !holder.current?.contains(event.target as Node))
        holder.current?.removeAttribute('open');
    };
    document.addEventListener('pointerdown', close);
    document.addEventListener('keydown', close);
    return () => {
      document.removeEventListener('pointerdown', close);
      document.removeEventListener('keydown', close);
    };
  }, []);
  return (
    <Box asChild position="relative" display="inline-block">
      <details ref={holder}>
        <Box
          asChild
          minHeight="44px"
          px="2"
          display="inline-flex"
          alignItems="center"
          fontSize="label"
          fontWeight={600}
          cursor="pointer"
          listStyleType="none"
          _hover={{ bg: 'accentSoft' }}
        >
          <summary aria-label={t('view.ui.save', { what })}>{t('view.ui.save-as')}</summary>
        </Box>
        <Box
          position="absolute"
          insetEnd="0"
          top="100%"
          zIndex={6}
          bg="surface"
          borderWidth="1px"
          borderColor="edge"
          borderRadius="3px"
          display="grid"
        >
          {ways.map(({ name, save }) => (
            <Action
              key={name}
              kind="quiet"
              fontSize="small"
              justifyContent="flex-start"
              aria-label={t('view.ui.save-as-name', { what, name })}
              onClick={() => {
                save();
                holder.current?.removeAttribute('open');
              }}
            >
              {name}
            </Action>
          ))}
        </Box>
      </details>
    </Box>
  );
}
