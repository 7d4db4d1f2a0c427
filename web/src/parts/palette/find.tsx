/** Find and do: any word finds a view, a seam, a machine or an act; Enter goes there. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { Command } from 'cmdk';
import { useMemo, useRef } from 'react';
import { useStore } from 'zustand';
import { useNavigate } from 'react-router';
import { useEndpointList } from '../../data/queries.ts';
import { lookUp } from './glossary.ts';
import { toggleTheme, toggleUnits } from '../../session/preferences.ts';
import { inputLook } from '../../ui/field.tsx';
import { found, itemsOf, type FindItem } from './find-items.ts';
import { closeOverlay, openOverlay, overlay, search } from './overlay.ts';
import { Sheet } from './sheet.tsx';

const groups = [t('view.app.views'), t('view.app.seams'), t('view.app.machines'), t('view.palette.acts')] as const;

export function Find() {
  const navigate = useNavigate();
  const typed = useStore(overlay, (state) => state.searched);
  const field = useRef<HTMLInputElement>(null);
  const { data: seams = [] } = useEndpointList('seams');
  const { data: machines = [] } = useEndpointList('machines');
  const items = useMemo(
    () =>
      itemsOf(seams, machines, [
        {
          name: t('view.palette.change-the-units'),
          also: t('view.palette.words.units'),
          act: toggleUnits,
        },
        {
          name: t('view.palette.switch-theme'),
          also: t('view.palette.words.theme'),
          act: toggleTheme,
        },
        {
          name: t('view.app.glossary'),
          also: t('view.palette.glossary-help-f1'),
          act: () => openOverlay('words'),
        },
        {
          name: t('view.palette.keys-here'),
          also: t('view.palette.keyboard-shortcuts-help'),
          act: () => openOverlay('keys'),
        },
        {
          name: t('view.palette.describe-a-seam'),
          also: t('view.palette.new-add-joint'),
          act: () => void navigate('/seams?new=1'),
        },
      ]),
    [seams, machines, navigate],
  );
  const shown = found(items, typed);
  const words = typed.trim() === '' ? [] : lookUp(typed).slice(0, 3);
  const take = ({ to, act }: FindItem) => {
    closeOverlay();
    if (to !== undefined) void navigate(to);
    act?.();
  };
  return (
    <Sheet of="find" title={t('view.app.search')} first={field}>
      <Command shouldFilter={false} loop label={t('view.app.search')}>
        <Box asChild {...inputLook} mb="2">
          <Command.Input ref={field} value={typed} onValueChange={search} placeholder={t('view.palette.placeholder')} />
        </Box>
        <Box
          asChild
          maxHeight="min(420px, 55vh)"
          overflowY="auto"
          css={{
            '& [cmdk-group-heading]': { fontSize: 'label', color: 'var(--chakra-colors-quiet)', paddingTop: '6px' },
          }}
        >
          <Command.List label={t('view.palette.what-was-found')}>
            {shown.length === 0 && words.length === 0 && (
              <Box color="quiet" fontSize="small" py="2">
                {t('view.palette.no-match')}
              </Box>
            )}
            {groups.map((group) => {
              const own = shown.filter((item) => item.group === group);
              if (own.length === 0) return null;
              return (
                <Command.Group key={group} heading={group}>
                  {own.map((item) => (
                    <Found key={item.id} item={item} onTake={() => take(item)} />
                  ))}
                </Command.Group>
              );
            })}
            {words.length > 0 && (
              <Command.Group heading={t('view.palette.words')}>
                {words.map(({ word, means }) => (
                  <Found
                    key={word}
                    item={{ id: `word ${word}`, name: word, about: means }}
                    onTake={() => openOverlay('words')}
                  />
                ))}
              </Command.Group>
            )}
          </Command.List>
        </Box>
      </Command>
    </Sheet>
  );
}

function Found({
  item: { id, name, about },
  onTake,
}: {
  readonly item: Pick<FindItem, 'id' | 'name' | 'about'>;
  readonly onTake: () => void;
}) {
  return (
    <Box
      asChild
      display="flex"
      alignItems="center"
      gap="3"
      minHeight="44px"
      px="2.5"
      borderStartWidth="3px"
      borderColor="transparent"
      cursor="pointer"
      css={{
        '&[aria-selected=true]': {
          background: 'var(--chakra-colors-accent-soft)',
          borderColor: 'var(--chakra-colors-accent)',
        },
      }}
    >
      <Command.Item value={id} onSelect={onTake}>
        <Box fontWeight={600} fontSize="text" flexShrink={0} maxWidth="70%" truncate>
          {name}
        </Box>
        <Box color="quiet" fontSize="label" truncate>
          {about}
        </Box>
      </Command.Item>
    </Box>
  );
}
