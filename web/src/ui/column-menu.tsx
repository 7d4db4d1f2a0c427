/** Which columns of a table are shown. A plain unfolding list: a menu of the component library would weigh 30 kB on the first view. */
import { Box } from '@chakra-ui/react';
import { Columns3 } from 'lucide-react';
import { useState } from 'react';
import { t } from '../lib/words.ts';
import { capital } from './table.tsx';

interface HideableColumn {
  readonly id: string;
  readonly getIsVisible: () => boolean;
  readonly toggleVisibility: (on: boolean) => void;
}

export function ColumnMenu({
  columns,
  nameOf,
}: {
  readonly columns: readonly HideableColumn[];
  readonly nameOf: (id: string) => string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Box asChild fontSize="label" display="grid" justifyItems="end">
      <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <Box asChild minHeight="44px" px="2" display="inline-flex" alignItems="center" gap="1.5" cursor="pointer">
          <summary>
            <Columns3 size={16} aria-hidden="true" />
            {t('view.ui.columns')}
          </summary>
        </Box>
        {/* A closed list holds no boxes: a column's box would share its name with the filter of that name. */}
        <Box
          role="group"
          aria-label={t('view.ui.columns')}
          display="flex"
          flexWrap="wrap"
          justifyContent="end"
          gap="3"
          pb="2"
        >
          {open &&
            columns.map((one) => (
              <Box asChild key={one.id} display="inline-flex" alignItems="center" gap="1.5" minHeight="44px">
                <label>
                  <input
                    type="checkbox"
                    checked={one.getIsVisible()}
                    onChange={(event) => one.toggleVisibility(event.target.checked)}
                  />
                  <Box as="span" display="inline-block" css={capital}>
                    {nameOf(one.id)}
                  </Box>
                </label>
              </Box>
            ))}
        </Box>
      </details>
    </Box>
  );
}
