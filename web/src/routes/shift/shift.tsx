/** The start of a shift: every filled memory slot against the shop's reference, read by hand where it counts. */
import { Box } from '@chakra-ui/react';
import type { ShiftSlot } from '@fox-tempo/contract';
import { Link, useLoaderData, useRevalidator, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Reading } from './slot-reading.tsx';

export async function loadShift({ request }: { request: Request }) {
  const [{ slots }, machines] = await Promise.all([api.shift(request.signal), api.machines(request.signal)]);
  return { slots, machines: machines.filter(({ retired }) => !retired) };
}

const stateLooks: Record<ShiftSlot['state'], { readonly color: string; readonly mark: string; readonly word: string }> =
  {
    'in-force': { color: 'spruce', mark: '✓', word: t('view.shift.in-force') },
    stale: { color: 'ochre', mark: '◇', word: t('view.shift.stale') },
    unknown: { color: 'quiet', mark: '○', word: t('view.shift.no-reference') },
  };

export function Shift() {
  const { slots, machines } = useLoaderData<Awaited<ReturnType<typeof loadShift>>>();
  const [params] = useSearchParams();
  const { revalidate } = useRevalidator();
  const asked = slots.find((one) => one.machineId === params.get('machine') && String(one.slot) === params.get('slot'));
  // What drifted is looked at before what merely stands.
  const chosen =
    asked ?? slots.find((one) => one.drifted.length > 0) ?? slots.find(({ isCalled }) => isCalled) ?? slots[0];
  const machine = machines.find(({ id }) => id === chosen?.machineId);
  const drifted = slots.filter((slot) => slot.drifted.length > 0).length;
  return (
    <Page
      title={t('view.shift.title')}
      line={drifted === 0 ? t('view.shift.nothing-drifted') : t('view.shift.drifted-count', { drifted })}
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.5fr)' }}
      alignItems="start"
    >
      {slots.length === 0 && <Notice level="note">{t('view.shift.no-slot')}</Notice>}
      <Box display="grid" gap="3" order={{ base: 2, lg: 0 }}>
        {machines.map(({ id, file }) => {
          const own = slots.filter(({ machineId }) => machineId === id);
          if (own.length === 0) return null;
          return (
            <Panel
              key={id}
              title={file.name}
              aside={
                <Box textStyle="label" color="quiet">
                  {file.place}
                </Box>
              }
            >
              <Box as="ul" listStyleType="none">
                {own.map((slot) => (
                  <SlotRow key={slot.slot} slot={slot} isChosen={slot === chosen} />
                ))}
              </Box>
            </Panel>
          );
        })}
      </Box>
      {chosen && machine && (
        <Reading
          key={`${chosen.machineId} ${chosen.slot} ${chosen.entryId}`}
          slot={chosen}
          machine={machine}
          onRead={revalidate}
        />
      )}
    </Page>
  );
}

function SlotRow({ slot, isChosen }: { readonly slot: ShiftSlot; readonly isChosen: boolean }) {
  const { color, mark, word } = stateLooks[slot.state];
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
      <Box
        asChild
        display="grid"
        gridTemplateColumns="44px minmax(0, 1fr) auto"
        gap="2"
        alignItems="center"
        minHeight="56px"
        px="2"
        mx="-2"
        color="ink"
        borderStartWidth="4px"
        borderStartColor={isChosen ? 'accent' : 'transparent'}
        bg={isChosen ? 'accentSoft' : 'transparent'}
        _hover={{ bg: 'accentSoft' }}
      >
        <Link
          to={`/shift?machine=${slot.machineId}&slot=${slot.slot}`}
          {...(isChosen ? { 'aria-current': 'true' as const } : {})}
        >
          <Box as="span" fontFamily="mono" fontSize="title">
            {slot.slot}
          </Box>
          <Box as="span" minWidth={0}>
            <Box as="span" display="block" fontSize="text" fontWeight={600}>
              {slot.seamName}
              {slot.isCalled ? ` · ${t('view.shift.called')}` : ''}
            </Box>
            <Box as="span" display="block" fontSize="label" color="quiet">
              {slot.found
                ? t('view.shift.read-by', { by: slot.found.foundBy, at: shopTime(slot.found.foundAt) })
                : t('view.shift.never-read')}
            </Box>
          </Box>
          <Box as="span" textAlign="end" fontSize="small" fontWeight={600}>
            <Box as="span" display="block" color={color}>
              {mark} {word}
            </Box>
            {slot.drifted.length > 0 && (
              <Box as="span" display="block" color="ochre">
                ◇ {t('view.shift.drifted')}
              </Box>
            )}
          </Box>
        </Link>
      </Box>
    </Box>
  );
}
