/** The memory map: what stands where, since when, for which part; what was found there instead; and everything that ever stood there. */
import { amount, absent } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { foundOn, slotDrift } from '@fox-tempo/core/machine/setup';
import { type MachineResource, type SlotEntry } from '@fox-tempo/contract';
import { fillerOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpointList, useKeptList } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { SlotGrid } from '../../parts/slot-grid/index.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { FoundForm } from './found-form.tsx';

export function Slots({
  machine,
  loaded,
}: {
  readonly machine: MachineResource;
  readonly loaded: readonly SlotEntry[];
}) {
  const { slots, name } = machine.file;
  const [entries, setEntries] = useKeptList('slots', loaded, { params: { id: machine.id } });
  const [chosen, setChosen] = useState<number | null>(entries[0]?.slot ?? null);
  if (slots.count === 0) {
    return (
      <Panel title={t('view.machines.memory-slots')}>
        <Notice level="note">{t('view.machines.slots.none', { name })}</Notice>
      </Panel>
    );
  }
  const numbers = Array.from({ length: slots.count }, (_, at) => slots.first + at);
  const entryOf = (slot: number) => entries.find((entry) => entry.slot === slot);
  const drifted = entries.filter((entry) =>
    slotDrift(machine.file, entry, machine.standing).some((line) => line.verdict === 'drifted'),
  );
  const present = chosen === null ? undefined : entryOf(chosen);
  return (
    <Panel
      title={t('view.machines.memory-slots')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.machines.of-filled', { entries: entries.length, count: slots.count })}
        </Box>
      }
    >
      {drifted.length > 0 && (
        <Box mb="2">
          <Notice level="caution" word={t('view.machines.drifted-sentence')}>
            {t('view.machines.slots.drifted', {
              seamName: drifted.map((entry) => t('view.machines.slot', { slot: entry.slot, seamName: entry.seamName })),
            })}
          </Notice>
        </Box>
      )}
      <SlotGrid
        label={t('view.machines.slots.title', { name })}
        numbers={numbers}
        chosen={chosen}
        lookOf={(number) => {
          const entry = entryOf(number);
          const hasDrift = entry !== undefined && drifted.includes(entry);
          const words = entry ? [entry.seamName, ...(hasDrift ? [t('view.machines.drifted')] : [])] : null;
          return {
            spoken: t('view.machines.slots.state', { number, hasDrift: words ?? t('view.machines.empty') }),
            name: entry?.seamName ?? t('view.machines.empty'),
            isTaken: entry !== undefined,
            mark: hasDrift && (
              <Box as="span" color="ochre" fontSize="label">
                ◇
              </Box>
            ),
          };
        }}
        onChoose={setChosen}
      />
      {chosen !== null && (
        <Box mt="3" aria-live="polite">
          {present ? (
            <Entry
              key={`${chosen} ${present.id} ${present.found?.foundAt ?? ''}`}
              machine={machine}
              entry={present}
              onFound={(next) => setEntries(entries.map((one) => (one.id === next.id ? next : one)))}
            />
          ) : (
            <Notice level="note" word={t('view.machines.slot-is-empty', { chosen })}>
              {t('view.machines.slots.store-hint')}
            </Notice>
          )}
        </Box>
      )}
    </Panel>
  );
}

function Entry({
  machine,
  entry,
  onFound,
}: {
  readonly machine: MachineResource;
  readonly entry: SlotEntry;
  readonly onFound: (entry: SlotEntry) => void;
}) {
  const [reading, setReading] = useState(false);
  const task = useTask();
  const drift = slotDrift(machine.file, entry, machine.standing);
  const found = foundOn(entry, machine.standing);
  const off = drift.filter((line) => line.verdict === 'drifted');
  return (
    <Box
      as="section"
      aria-label={t('view.machines.slots.slot', { slot: entry.slot })}
      borderTopWidth="1px"
      borderColor="line"
      pt="2"
    >
      <Box display="flex" gap="3" alignItems="baseline" flexWrap="wrap">
        <Heading as="h3" textStyle="heading">
          {t('view.machines.slots.slot-colon', { slot: entry.slot })}{' '}
          <Link to={`/seams/${entry.seamId}`}>{entry.seamName}</Link>
        </Heading>
        <Box fontSize="small" color="quiet">
          {t('view.machines.slots.stored', {
            partName: entry.partName,
            revision: entry.revision,
            filler: fillerOf(entry.program.filler).name,
            diameter: wireSizeLabel(entry.program.diameterMm),
            storedAt: shopTime(entry.storedAt),
            storedBy: entry.storedBy,
            note: entry.note === '' ? absent : entry.note,
          })}
        </Box>
      </Box>
      {found ? (
        off.length === 0 ? (
          <Box fontSize="text" color="spruce" my="1.5">
            {t('view.machines.slots.as-stored', {
              foundBy: found.foundBy,
              foundAt: shopTime(found.foundAt),
            })}
          </Box>
        ) : (
          <Box my="2">
            <Notice level="caution" word={t('view.machines.drifted-sentence')}>
              {t('view.machines.found-other-figures', {
                foundBy: found.foundBy,
                foundAt: shopTime(found.foundAt),
              })}
              <Box as="ul" ps="4" listStyleType="disc">
                {off.map((line) => (
                  <li key={line.dialId}>
                    {t('view.machines.slots.differs', {
                      line: line.label,
                      found: line.found ?? '',
                      unit: line.unit,
                      reference: line.reference ?? '',
                      means: formatIf(line.means) ?? '',
                    })}
                  </li>
                ))}
              </Box>
            </Notice>
          </Box>
        )
      ) : (
        <Box fontSize="small" color="quiet" my="1.5">
          {t('view.machines.slots.not-read')}
        </Box>
      )}
      <Box display="flex" gap="2" flexWrap="wrap">
        <Action onClick={() => setReading(!reading)} aria-expanded={reading}>
          {t('view.machines.read-it-back')}
        </Action>
      </Box>
      {reading && (
        <FoundForm
          file={machine.file}
          reference={entry.dials}
          keep={`found/${machine.id}/${entry.slot}/${entry.id}`}
          task={task}
          onSend={(dials) => {
            void task.run(async () => {
              const found = await api.noteFound(machine.id, entry.slot, { entryId: entry.id, dials });
              if (found) onFound(found);
              else setReading(false);
            });
          }}
          onClose={() => setReading(false)}
        />
      )}
      <History machineId={machine.id} slot={entry.slot} />
    </Box>
  );
}

function History({ machineId, slot }: { readonly machineId: string; readonly slot: number }) {
  const { data: past, isError } = useEndpointList('slotHistory', { params: { id: machineId, slot: String(slot) } });
  if (isError) return <Notice level="caution">{t('view.machines.slots.history-failed')}</Notice>;
  if (!past) {
    return (
      <Box color="quiet" fontSize="small" mt="2" role="status">
        {t('view.machines.slots.history-loading')}
      </Box>
    );
  }
  return (
    <Table label={t('view.machines.history-of-slot', { slot })} mt="2">
      <Heads
        names={[
          t('view.machines.stored'),
          t('view.machines.seam'),
          t('view.simulator.column.feed'),
          t('view.machines.by'),
          t('view.machines.note'),
        ]}
        right={[t('view.simulator.column.feed')]}
      />
      <tbody>
        {past.map((one, at) => (
          <tr key={one.id}>
            <Cell>
              {at === 0 ? t('view.machines.slots.in-it-now', { at: shopTime(one.storedAt) }) : shopTime(one.storedAt)}
            </Cell>
            <Cell>{t('view.machines.revision', { seamName: one.seamName, revision: one.revision })}</Cell>
            <Cell figure>{format(amount('wireFeed', one.program.wireFeedMPerMin, 1))}</Cell>
            <Cell>{one.storedBy}</Cell>
            <Cell>{one.note}</Cell>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
