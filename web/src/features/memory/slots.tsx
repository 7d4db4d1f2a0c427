/** The machine's memory slots: which one, and what it holds now. */
import { useDoorList } from '../../data/queries.ts';
import { Link } from 'react-router';
import { TextField } from '../../ui/text-field.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { shopTime } from '../../lib/time.ts';
import { Panel } from '../../ui/panel.tsx';
import { driftReport, translate } from '@fox-tempo/core/machine';
import { useTask } from '../../lib/use-task.ts';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Box, chakra, Heading } from '@chakra-ui/react';
import { api } from '../../data/api.ts';
import { useState } from 'react';
import { type MachineResource, type SeamResource, type SlotEntry } from '@fox-tempo/contract';
export function Slots({ seam, machine }: { readonly seam: SeamResource; readonly machine: MachineResource }) {
  const { data: entries, isError, refetch } = useDoorList('slots', { params: { id: machine.id } });
  if (isError) {
    return (
      <Notice level="caution" word="Its memory could not be read.">
        <Action kind="quiet" onClick={() => void refetch()}>
          Try again
        </Action>
      </Notice>
    );
  }
  if (!entries) {
    return (
      <Box color="quiet" role="status">
        Loading what stands in its memory…
      </Box>
    );
  }
  if (machine.file.slots.count === 0) {
    return <Notice level="note">{machine.file.name} has no memory slots: print its card instead.</Notice>;
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
  const dials = Object.fromEntries(translate(file, program).dials.map((dial) => [dial.dialId, dial.value]));
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
        title="Choose a slot"
        aside={
          <Box textStyle="label" color="quiet">
            {numbers.length - entries.length} free
          </Box>
        }
      >
        <Box
          role="group"
          aria-label={`Slots of ${file.name}`}
          display="grid"
          gridTemplateColumns={
            file.slots.count <= 20 ? 'repeat(auto-fill, minmax(140px, 1fr))' : 'repeat(auto-fill, minmax(58px, 1fr))'
          }
          gap="1.5"
        >
          {numbers.map((number) => {
            const entry = entryOf(number);
            return (
              <chakra.button
                key={number}
                type="button"
                aria-pressed={slot === number}
                aria-label={`Slot ${number}: ${entry ? entry.seamName : 'free'}`}
                onClick={() => {
                  setSlot(number);
                  setDone(null);
                  task.clear();
                }}
                minHeight={file.slots.count <= 20 ? '60px' : '44px'}
                p="1.5"
                textAlign="left"
                borderWidth="1px"
                borderRadius="3px"
                borderColor={slot === number ? 'accent' : entry ? 'edge' : 'line'}
                bg={slot === number ? 'accentSoft' : entry ? 'surface' : 'transparent'}
                color={entry ? 'ink' : 'quiet'}
                cursor="pointer"
                overflow="hidden"
                minWidth={0}
              >
                <Box fontFamily="mono" fontSize="14px">
                  {number}
                  {entry?.seamId === seam.id ? ' ●' : ''}
                </Box>
                {file.slots.count <= 20 && (
                  <Box fontSize="12px" lineClamp={2}>
                    {entry ? entry.seamName : 'free'}
                  </Box>
                )}
              </chakra.button>
            );
          })}
        </Box>
      </Panel>
      <Panel title={`Slot ${slot} of ${file.name}`}>
        {done && (
          <Box mb="2" role="status">
            <Notice level="note" word="Stored.">
              Slot {done.slot} now holds {done.seamName}, revision {done.revision}. Set the dials as on the card, press
              the machine’s own store key, and read it back once.
            </Notice>
          </Box>
        )}
        {present ? (
          isSame ? (
            <Box fontSize="14px" color="spruce" mb="2">
              ● This very revision stands here since {shopTime(present.storedAt)}.
            </Box>
          ) : (
            <>
              <Notice level="caution" word="This would be overwritten:">
                {present.seamName}, {present.partName}, revision {present.revision}, stored {shopTime(present.storedAt)}{' '}
                by {present.storedBy}
                {present.note === '' ? '' : `, “${present.note}”`}. It stays in the slot’s history, with its dials.
              </Notice>
              <Table label="What changes in the slot" mt="2">
                <Heads names={['Dial', 'Stands there', 'Would stand', 'Which means']} />
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
                      <Cell>{line.means ?? ''}</Cell>
                    </tr>
                  ))}
                </tbody>
              </Table>
            </>
          )
        ) : (
          <Box fontSize="14px" mb="2">
            Free: nothing is overwritten.
          </Box>
        )}
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr auto' }} gap="2.5" alignItems="start" mt="2">
          <TextField
            label="Note (kept with it)"
            value={note}
            onChange={(text) => setForm({ note: text })}
            maxLength={300}
            hint="which trial passed, what to watch"
          />
          <Action kind="main" mt="18px" disabled={task.busy} onClick={store}>
            {present && !isSame ? `Overwrite slot ${slot}` : `Store in slot ${slot}`}
          </Action>
        </Box>
        {task.problem !== null && (
          <Notice level="refusal" word="Not stored." urgent>
            {task.problem} Look at what stands there now, then decide again.
          </Notice>
        )}
        <Heading as="h3" fontSize="13px" fontWeight={400} color="quiet" mt="2">
          <Link to={`/machines/${machine.id}/slots`}>The whole memory of {file.name}, with its history</Link>
        </Heading>
      </Panel>
    </>
  );
}
