/** One machine: dials, chart, memory, how it stands, and what it is; each part with an address of its own. */
import { saidIssues, t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { LeadReadingRow, MachineResource, SlotEntry } from '@fox-tempo/contract';
import { useLoaderData, useParams } from 'react-router';
import { api } from '../../data/api.ts';
import { download } from '../../lib/download.ts';
import { useMay } from '../../session/session.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Shelves } from '../../ui/shelves.tsx';
import { About } from './about.tsx';
import { ChartLines } from './chart-lines.tsx';
import { isUntested } from './dial-words.ts';
import { Dials } from './dials.tsx';
import { GunPapers } from './gun-paper.tsx';
import { Refill } from './refill.tsx';
import { ReadBack } from './read-back.tsx';
import { Slots } from './slots.tsx';
import { Standing } from './standing.tsx';
import { useMachine } from './use-machine.ts';
import { Main } from '../../ui/main.tsx';

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
      <PageHead title={file.name} line={[file.place, file.about].filter((one) => one !== '').join(' · ')}>
        <Box role="status" color="quiet" fontSize="small" me="1">
          {task.busy
            ? t('view.machines.saving')
            : t('view.machines.changed', { changedAt: shopTime(machine.changedAt), changedBy: machine.changedBy })}
        </Box>
        {undo && (
          <Action kind="quiet" disabled={task.busy} onClick={() => void undo()}>
            {t('view.machines.undo-change')}
          </Action>
        )}
        <Action
          onClick={() =>
            download(`${file.name.toLowerCase()}.tempo.json`, 'application/json', JSON.stringify(file, null, 2))
          }
        >
          {t('view.machines.save-as-file')}
        </Action>
      </PageHead>
      <Shelves
        label={t('view.machines.sections', { file: file.name })}
        shelves={[
          {
            to: to('dials'),
            name: t('view.simulator.dials'),
            ...(untested > 0 ? { mark: t('view.machines.untried', { untested }) } : {}),
          },
          { to: to('chart'), name: t('view.machines.chart'), mark: undefined },
          { to: to('slots'), name: t('view.machines.memory') },
          { to: to('standing'), name: t('view.machines.state') },
          { to: to('refill'), name: t('view.machines.bottle-and-spool') },
          { to: to('read'), name: t('view.machines.read-its-dials') },
          { to: to('paper'), name: t('view.gun-paper.gun-and-rolls') },
          { to: to('about'), name: t('view.machines.about') },
        ]}
      />
      <Main>
        {!mayChange && ['dials', 'chart', 'paper', 'about'].includes(part) && (
          <Notice level="note" word={t('view.machines.view-only')}>
            {t('view.machines.view-only-why')}
          </Notice>
        )}
        {machine.trouble && (
          <Notice level="refusal" word={t('view.machines.file-invalid')} urgent>
            {t('view.machines.file-invalid-why', {
              message: saidIssues(machine.trouble),
            })}
          </Notice>
        )}
        {machine.retired && (
          <Notice level="note" word={t('view.machines.out-of-use-sentence')}>
            {t('view.machines.out-of-use-why')}
          </Notice>
        )}
        {part === 'chart' ? (
          <ChartLines editor={editor} />
        ) : part === 'slots' ? (
          <Slots machine={machine} loaded={slots} />
        ) : part === 'standing' ? (
          <Standing editor={editor} readings={readings} />
        ) : part === 'refill' ? (
          <Refill machine={machine} />
        ) : part === 'paper' ? (
          <GunPapers editor={editor} mayChange={mayChange} />
        ) : part === 'read' ? (
          <ReadBack key={machine.version} editor={editor} />
        ) : part === 'about' ? (
          <About key={machine.version} editor={editor} />
        ) : (
          <Dials editor={editor} />
        )}
      </Main>
    </>
  );
}
