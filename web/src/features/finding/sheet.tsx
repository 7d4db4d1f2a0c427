/** What lies over the page: a head, its content, closed by Esc, a touch beside it or its own button; the focus goes back to where it was. */
import { Box, Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode, RefObject } from 'react';
import { Action } from '../../ui/action.tsx';
import { closeOverlay } from './overlay.ts';

export function Sheet({
  title,
  first,
  children,
}: {
  readonly title: string;
  /** Where the hand begins. */
  readonly first?: RefObject<HTMLElement | null>;
  readonly children: ReactNode;
}) {
  return (
    <Dialog.Root
      open
      onOpenChange={closeOverlay}
      placement="top"
      scrollBehavior="inside"
      lazyMount
      {...(first ? { initialFocusEl: () => first.current } : {})}
    >
      <Portal>
        <Dialog.Backdrop bg="rgba(20, 15, 8, 0.45)" />
        <Dialog.Positioner>
          <Dialog.Content
            bg="surface"
            color="ink"
            borderWidth="1px"
            borderColor="edge"
            borderRadius="4px"
            width="min(680px, calc(100vw - 24px))"
            maxWidth="none"
            my={{ base: '3', md: '16' }}
          >
            <Box display="flex" alignItems="center" justifyContent="space-between" px="4" pt="3" pb="1">
              <Dialog.Title textStyle="heading">{title}</Dialog.Title>
              <Action kind="quiet" fontSize="13px" onClick={closeOverlay}>
                Close
              </Action>
            </Box>
            <Dialog.Body px="4" pb="4" pt="0">
              {children}
            </Dialog.Body>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
