/** The machine's memory slots: which one, and what it holds now. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { useEndpointList } from '../../data/queries.ts';
import { Link } from 'react-router';
import { TextField } from '../../ui/text-field.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { shopTime } from '../../lib/time.ts';
import { Panel } from '../../ui/panel.tsx';
import { driftReport, cardOf, whyNotWords } from '@fox-tempo/core/machine/dials';
import { useTask } from '../../lib/use-task.ts';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Action } from '../../ui/action.tsx';
import { SlotGrid } from '../../parts/slot-grid/index.ts';
import { Notice } from '../../ui/notice.tsx';
import { Box, Heading } from '@chakra-ui/react';
import { api } from '../../data/api.ts';
import { useState } from 'react';
import { type MachineResource, type SeamResource, type SlotEntry } from '@fox-tempo/contract';
export function Slots({ seam, machine }: { readonly seam: SeamResource; readonly machine: MachineResource }) {
  const { data: entries, isError, refetch } = useEndpointList('slots', { params: { id: machine.id } });
  if (isError) {
    return (
      <Notice level="caution" word={t('view.memory.failed')}>
        <Action kind="quiet" onClick={() => void refetch()}>
          {t('view.app.try-again')}
        </Action>
      </Notice>
    );
  }
  if (!entries) {
    return (
      <Box color="quiet" role="status">
        {t('view.memory.loading')}
      </Box>
    );
  }
  if (machine.file.slots.count === 0) {
    return <Notice level="note">{t('view.memory.no-slots', { file: machine.file.name })}</Notice>;
  }
  return <ChooseSlot seam={seam} machine={machine} entries={entries} />;
}

function ChooseSlot({
  seam,
  machine,
  entries,
}: {
  readonly seam: SeamResource;
  readonly machine: MachineResource;
  readonly entries: readonly SlotEntry[];
}) {
  const { file } = machine;
  const numbers = Array.from({ length: file.slots.count }, (_, at) => file.slots.first + at);
  const entryOf = (slot: number) => entries.find((entry) => entry.slot === slot);
  const holding = numbers.find((number) => entryOf(number)?.seamId === seam.id);
  const [slot, setSlot] = useState(holding ?? numbers.find((number) => !entryOf(number)) ?? numbers[0] ?? 1);
  const [{ note }, setForm, forget] = useKeptForm(`store/${machine.id}/${seam.id}`, { note: '' });
  const [done, setDone] = useState<SlotEntry | null>(null);
  const task = useTask();
  const present = entryOf(slot);
  const program = seam.revision?.program;
  if (!program) return null;
  const card = cardOf(file, program);
  if (card.cannot && card.dials.length === 0)
    return <Notice level="refusal">{format(whyNotWords(file, program, card.cannot))}</Notice>;
  const dials = Object.fromEntries(card.dials.map((dial) => [dial.dialId, dial.value]));
  const differs = present
    ? driftReport(file, present.dials, dials, program).filter((line) => line.verdict !== 'same')
    : [];
  const isSame = present?.seamId === seam.id && present.revision === seam.revision?.number;
  const store = () =>
    void task.run(async () => {
      // Where somebody stored meanwhile the memory is read again, and it is asked anew.
      setDone(await api.storeInSlot(machine.id, slot, { seamId: seam.id, note, replaces: present?.id ?? null }));
      forget();
    });
  return (
    <>
      <Panel
        title={t('view.memory.choose-a-slot')}
        aside={
          <Box textStyle="label" color="quiet">
            {t('view.memory.free-count', { entries: numbers.length - entries.length })}
          </Box>
        }
      >
        <SlotGrid
          label={t('view.memory.title', { file: file.name })}
          numbers={numbers}
          chosen={slot}
          lookOf={(number) => {
            const entry = entryOf(number);
            const name = entry?.seamName ?? t('view.memory.free');
            return {
              spoken: t('view.memory.slot', { number, seamName: name }),
              name,
              isTaken: entry !== undefined,
              mark: entry?.seamId === seam.id && '●',
            };
          }}
          onChoose={(number) => {
            setSlot(number);
            setDone(null);
            task.clear();
          }}
        />
      </Panel>
      <Panel title={t('view.memory.slot-of', { slot, file: file.name })}>
        {done && (
          <Box mb="2" role="status">
            <Notice level="note" word={t('view.memory.stored')}>
              {t('view.memory.stored-how', {
                slot: done.slot,
                seamName: done.seamName,
                revision: done.revision,
              })}
            </Notice>
          </Box>
        )}
        {present ? (
          isSame ? (
            <Box fontSize="text" color="spruce" mb="2">
              {t('view.memory.already-there', { storedAt: shopTime(present.storedAt) })}
            </Box>
          ) : (
            <>
              <Notice level="caution" word={t('view.memory.overwrites')}>
                {t('view.memory.overwrites-what', {
                  seamName: present.seamName,
                  partName: present.partName,
                  revision: present.revision,
                  storedAt: shopTime(present.storedAt),
                  storedBy: present.storedBy,
                  note: present.note === '' ? absent : present.note,
                })}
              </Notice>
              <Table label={t('view.memory.changes')} mt="2">
                <Heads
                  names={[
                    t('view.simulator.dial'),
                    t('view.memory.column-now'),
                    t('view.memory.column-then'),
                    t('view.memory.which-means'),
                  ]}
                />
                <tbody>
                  {differs.map((line) => (
                    <tr key={line.dialId}>
                      <Cell head>{line.label}</Cell>
                      <Cell fontFamily="mono">
                        {line.reference ?? '–'} {line.unit}
                      </Cell>
                      <Cell fontFamily="mono">
                        {line.found ?? '–'} {line.unit}
                      </Cell>
                      <Cell>{format(formatIf(line.means) ?? '')}</Cell>
                    </tr>
                  ))}
                </tbody>
              </Table>
            </>
          )
        ) : (
          <Box fontSize="text" mb="2">
            {t('view.memory.is-free')}
          </Box>
        )}
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr auto' }} gap="2.5" alignItems="start" mt="2">
          <TextField
            label={t('view.memory.note')}
            value={note}
            onChange={(text) => setForm({ note: text })}
            maxLength={300}
            hint={t('view.memory.note-placeholder')}
          />
          <Action kind="main" mt="18px" disabled={task.busy} onClick={store}>
            {present && !isSame ? t('view.memory.overwrite-slot', { slot }) : t('view.memory.store-in-slot', { slot })}
          </Action>
        </Box>
        {task.problem !== null && (
          <Notice level="refusal" word={t('view.machines.not-stored')} urgent>
            {t('view.memory.conflict', { problem: task.problem })}
          </Notice>
        )}
        <Heading as="h3" fontSize="small" fontWeight={400} color="quiet" mt="2">
          <Link to={`/machines/${machine.id}/slots`}>{t('view.memory.whole-memory', { file: file.name })}</Link>
        </Heading>
      </Panel>
    </>
  );
}
