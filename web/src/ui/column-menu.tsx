/** Which columns of a table are shown. */
import { Box, Menu, Portal } from '@chakra-ui/react';
import { Columns3 } from 'lucide-react';
import { t } from '../lib/words.ts';
import { Action } from './action.tsx';

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
  return (
    <Menu.Root closeOnSelect={false}>
      <Menu.Trigger asChild>
        <Action kind="quiet" fontSize="label">
          <Columns3 size={16} aria-hidden="true" />
          {t('view.ui.columns')}
        </Action>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {columns.map((one) => (
              <Menu.CheckboxItem
                key={one.id}
                value={one.id}
                checked={one.getIsVisible()}
                minHeight="44px"
                onCheckedChange={(on) => one.toggleVisibility(on)}
              >
                <Menu.ItemIndicator />
                <Box css={{ '&::first-letter': { textTransform: 'uppercase' } }}>{nameOf(one.id)}</Box>
              </Menu.CheckboxItem>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
