/** Under the stage: the dials, and in the same place what is rarer. Which one is open stays with the device; nothing above it moves. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useCallback, useEffect, useRef, type ReactNode } from 'react';
import { useKeptForm } from '../../ui/kept-text.ts';
import { TabRow } from '../../ui/tab-row.tsx';

export interface Drawer {
  readonly id: string;
  readonly name: string;
  readonly content: () => ReactNode;
}

export function Drawers({ drawers }: { readonly drawers: readonly Drawer[] }) {
  const [{ open }, keep] = useKeptForm('bench-drawer', { open: 'dials' });
  const keepNow = useRef(keep);
  useEffect(() => {
    keepNow.current = keep;
  });
  const onChange = useCallback((id: string) => keepNow.current({ open: id }), []);
  const shown = drawers.find(({ id }) => id === open) ?? drawers[0];
  if (!shown) return null;
  return (
    <Box minWidth={0}>
      <TabRow
        label={t('view.simulator.tools')}
        tabs={drawers}
        value={shown.id}
        onChange={onChange}
        controls="bench-drawer"
      />
      <Box id="bench-drawer" role="tabpanel" aria-label={shown.name}>
        {shown.content()}
      </Box>
    </Box>
  );
}
