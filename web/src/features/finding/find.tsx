/** Find and do: any word finds a view, a seam, a machine or an act; Enter goes there. */
import { Box } from '@chakra-ui/react';
import { Command } from 'cmdk';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDoorList } from '../../data/queries.ts';
import { lookUp } from '../../lib/glossary.ts';
import { settings } from '../../lib/settings.ts';
import { inputLook } from '../../ui/field.tsx';
import { found, itemsOf, type FindItem } from './find-items.ts';
import { closeOverlay, openOverlay } from './overlay.ts';
import { Sheet } from './sheet.tsx';

const groups = ['Views', 'Seams', 'Machines', 'Acts'] as const;

export function Find() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const { data: seams = [] } = useDoorList('seams');
  const { data: machines = [] } = useDoorList('machines');
  const items = useMemo(
    () =>
      itemsOf(seams, machines, [
        { name: 'Change the units', also: 'metric us inch mm F2', act: settings.getState().toggleUnits },
        { name: 'Change day and night', also: 'theme dark light F4', act: settings.getState().toggleTheme },
        { name: 'What words mean here', also: 'glossary help F1', act: () => openOverlay('words') },
        { name: 'Keys of this view', also: 'keyboard shortcuts help', act: () => openOverlay('keys') },
        { name: 'Describe a seam', also: 'new add joint', act: () => void navigate('/seams?new=1') },
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
    <Sheet of="find" title="Find and do" first={field}>
      <Command shouldFilter={false} loop label="Find and do">
        <Box asChild {...inputLook} mb="2">
          <Command.Input
            ref={field}
            value={typed}
            onValueChange={setTyped}
            placeholder="Seam, part, machine, view, wire, act …"
          />
        </Box>
        <Box
          asChild
          maxHeight="min(420px, 55vh)"
          overflowY="auto"
          css={{
            '& [cmdk-group-heading]': { fontSize: '12px', color: 'var(--chakra-colors-quiet)', paddingTop: '6px' },
          }}
        >
          <Command.List label="What was found">
            {shown.length === 0 && words.length === 0 && (
              <Box color="quiet" fontSize="13.5px" py="2">
                Nothing holds all of these words.
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
              <Command.Group heading="Words">
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
      borderLeftWidth="3px"
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
        <Box fontWeight={600} fontSize="14px" flexShrink={0} maxWidth="70%" truncate>
          {name}
        </Box>
        <Box color="quiet" fontSize="12.5px" truncate>
          {about}
        </Box>
      </Command.Item>
    </Box>
  );
}
