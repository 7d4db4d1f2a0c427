/** One machine: dials, chart, memory, how it stands, and what it is; each part with an address of its own. */
import { Box } from '@chakra-ui/react';
import type { LeadReadingRow, MachineResource, SlotEntry } from '@fox-tempo/contract';
import { useLoaderData, useParams } from 'react-router';
import { api } from '../../data/api.ts';
import { download } from '../../lib/download.ts';
import { useMay } from '../../lib/session.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Shelves } from '../../ui/shelves.tsx';
import { About } from './about.tsx';
import { ChartLines } from './chart-lines.tsx';
import { isUntested } from './dial-words.ts';
import { Dials } from './dials.tsx';
import { ReadBack } from './read-back.tsx';
import { Slots } from './slots.tsx';
import { Standing } from './standing.tsx';
import { useMachine } from './use-machine.ts';

export async function loadMachine({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const id = params.id ?? '';
  const [machine, slots, readings] = await Promise.all([
    api.machine(id, request.signal),
    api.slots(id, request.signal),
    api.leadReadings(id, request.signal),
  ]);
  return { machine, slots, readings };
}

export function Machine() {
  const { machine, slots, readings } = useLoaderData<Awaited<ReturnType<typeof loadMachine>>>();
  const { id = '', part = 'dials' } = useParams();
  return <LoadedMachine key={id} loaded={machine} slots={slots} readings={readings} part={part} />;
}

function LoadedMachine({
  loaded,
  slots,
  readings,
  part,
}: {
  readonly loaded: MachineResource;
  readonly slots: readonly SlotEntry[];
  readonly readings: readonly LeadReadingRow[];
  readonly part: string;
}) {
  const editor = useMachine(loaded);
  const mayChange = useMay('saveMachine');
  const { machine, task, undo } = editor;
  const { file } = machine;
  const untested = file.dials.filter(isUntested).length;
  const to = (name: string) => `/machines/${machine.id}${name === 'dials' ? '' : `/${name}`}`;
  return (
    <>
      <PageHead title={file.name} line={`${file.place} · ${file.about}`}>
        <Box role="status" color="quiet" fontSize="13px" mr="1">
          {task.busy ? 'saving…' : `changed ${shopTime(machine.changedAt)} by ${machine.changedBy}`}
        </Box>
        {undo && (
          <Action kind="quiet" disabled={task.busy} onClick={() => void undo()}>
            Undo the last change
          </Action>
        )}
        <Action
          onClick={() =>
            download(`${file.name.toLowerCase()}.tempo.json`, 'application/json', JSON.stringify(file, null, 2))
          }
        >
          Save as file
        </Action>
      </PageHead>
      <Shelves
        label={`Parts of ${file.name}`}
        shelves={[
          { to: to('dials'), name: 'Dials', ...(untested > 0 ? { mark: `◇ ${untested} untried` } : {}) },
          { to: to('chart'), name: 'Chart', mark: undefined },
          { to: to('slots'), name: 'Memory' },
          { to: to('standing'), name: 'As it stands' },
          { to: to('read'), name: 'Read its dials' },
          { to: to('about'), name: 'About' },
        ]}
      />
      <Box as="main" id="content" tabIndex={-1} p="3" display="grid" gap="3" minWidth={0}>
        {!mayChange && ['dials', 'chart', 'about'].includes(part) && (
          <Notice level="note" word="To look at.">
            What is described here is changed by a lead hand or owner. How it stands, readings and memories are yours
            too.
          </Notice>
        )}
        {machine.trouble && (
          <Notice level="refusal" word="Its file no longer passes." urgent>
            What is shown is an outline. {machine.trouble.map((issue) => issue.message).join(' ')} The stored file is
            kept; bring a mended one in under Shop, Files, or describe it anew here.
          </Notice>
        )}
        {machine.retired && (
          <Notice level="note" word="Out of use.">
            It is kept with all it holds, and not offered for new work.
          </Notice>
        )}
        {part === 'chart' ? (
          <ChartLines editor={editor} />
        ) : part === 'slots' ? (
          <Slots machine={machine} loaded={slots} />
        ) : part === 'standing' ? (
          <Standing editor={editor} readings={readings} />
        ) : part === 'read' ? (
          <ReadBack key={machine.version} editor={editor} />
        ) : part === 'about' ? (
          <About key={machine.version} editor={editor} />
        ) : (
          <Dials editor={editor} />
        )}
      </Box>
    </>
  );
}
