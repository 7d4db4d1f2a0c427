/** What is drawn, as files: a small menu that lies over the page and moves nothing. */
import { Menu, Portal } from '@chakra-ui/react';
import { t } from '../lib/words.ts';
import { Action } from './action.tsx';

export interface SaveMenuProps {
  /** What is saved, for those who do not see where the menu stands. */
  readonly what: string;
  readonly ways: readonly { readonly name: string; readonly save: () => void }[];
}

export function SaveMenu({ what, ways }: SaveMenuProps) {
  return (
    <Menu.Root onSelect={({ value }) => ways.find(({ name }) => name === value)?.save()}>
      <Menu.Trigger asChild>
        <Action kind="quiet" fontSize="label" aria-label={t('view.ui.save', { what })}>
          {t('view.ui.save-as')}
        </Action>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {ways.map(({ name }) => (
              <Menu.Item
                key={name}
                value={name}
                minHeight="44px"
                aria-label={t('view.ui.save-as-name', { what, name })}
              >
                {name}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
