/** The keys of the view one is in, and those of every view. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useLocation } from 'react-router';
import { everywhere, keysAt, type KeyUse } from './keys-of-view.ts';
import { Cell, Table } from '../../ui/table.tsx';
import { Sheet } from './sheet.tsx';

export function KeysSheet() {
  const { view, keys } = keysAt(useLocation().pathname);
  return (
    <Sheet of="keys" title={view === null ? t('view.palette.keys') : t('view.palette.keys-for', { view })}>
      {keys.length > 0 && (
        <Keys label={t('view.palette.keys-title', { view: view ?? t('view.palette.this-view') })} keys={keys} />
      )}
      <Box textStyle="label" color="quiet" mt="3" mb="1">
        {t('view.palette.in-every-view')}
      </Box>
      <Keys label={t('view.palette.keys-everywhere')} keys={everywhere} />
    </Sheet>
  );
}

function Keys({ label, keys }: { readonly label: string; readonly keys: readonly KeyUse[] }) {
  return (
    <Table label={label}>
      <tbody>
        {keys.map(({ keys: pressed, does }) => (
          <tr key={pressed}>
            <Cell head fontFamily="mono" whiteSpace="nowrap">
              {pressed}
            </Cell>
            <Cell>{does}</Cell>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
