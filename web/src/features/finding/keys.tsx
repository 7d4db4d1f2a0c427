/** The keys of the view one is in, and those of every view. */
import { Box } from '@chakra-ui/react';
import { useLocation } from 'react-router';
import { everywhere, keysAt, type KeyUse } from '../../lib/keys-of-view.ts';
import { Cell, Table } from '../../ui/table.tsx';
import { Sheet } from './sheet.tsx';

export function KeysSheet() {
  const { view, keys } = keysAt(useLocation().pathname);
  return (
    <Sheet of="keys" title={view === null ? 'Keys' : `Keys: ${view}`}>
      {keys.length > 0 && <Keys label={`Keys of ${view ?? 'this view'}`} keys={keys} />}
      <Box textStyle="label" color="quiet" mt="3" mb="1">
        In every view
      </Box>
      <Keys label="Keys of every view" keys={everywhere} />
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
