/**
 * What lies over the page, as the platform's own dialog: it keeps the focus within, closes by Esc, and gives the focus back. Closed also by
 * a touch beside it or by its own button.
 */
import { t } from '../../lib/words.ts';
import { Box, chakra, Heading } from '@chakra-ui/react';
import { useEffect, useId, useRef, type ReactNode, type RefObject } from 'react';
import { Action } from '../../ui/action.tsx';
import { closeOverlay, type Overlay } from './overlay.ts';

const Dialog = chakra('dialog');

export interface SheetProps {
  readonly of: Overlay;
  readonly title: string;
  /** Where the hand begins. */
  readonly first?: RefObject<HTMLElement | null>;
  readonly children: ReactNode;
}

export function Sheet({ of, title, first, children }: SheetProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const titleId = useId();
  useEffect(() => {
    const element = dialog.current;
    if (!element || element.open) return undefined;
    element.showModal();
    first?.current?.focus();
    return () => element.close();
  }, [first]);
  return (
    <Dialog
      ref={dialog}
      aria-labelledby={titleId}
      bg="surface"
      color="ink"
      borderWidth="1px"
      borderColor="edge"
      borderRadius="4px"
      width="min(680px, calc(100vw - 24px))"
      maxHeight="min(640px, calc(100vh - 48px))"
      mx="auto"
      mt={{ base: '3', md: '16' }}
      p="0"
      css={{ '&::backdrop': { background: 'rgba(20, 15, 8, 0.45)' } }}
      onClose={() => closeOverlay(of)}
      onClick={(event) => {
        // The dialog itself is hit only beside its content.
        if (event.target === dialog.current) closeOverlay(of);
      }}
    >
      <Box px="4" pb="4">
        <Box display="flex" alignItems="center" justifyContent="space-between" pt="3" pb="1">
          <Heading as="h2" id={titleId} textStyle="heading">
            {title}
          </Heading>
          <Action kind="quiet" fontSize="small" onClick={() => closeOverlay(of)}>
            {t('view.palette.close')}
          </Action>
        </Box>
        {children}
      </Box>
    </Dialog>
  );
}
