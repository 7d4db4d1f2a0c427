/** All machines as they stand, the way to describe another, and two side by side. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, Heading, chakra } from '@chakra-ui/react';
import { blankMachine, readMachineFile, type MachineResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { useState } from 'react';
import { Link, useLoaderData, useNavigate, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { isUntested } from './dial-words.ts';

export async function loadMachineList({ request }: { request: Request }) {
  return { machines: await api.machines(request.signal) };
}

export function MachineList() {
  const { machines } = useLoaderData<Awaited<ReturnType<typeof loadMachineList>>>();
  const [asked] = useSearchParams();
  const [adding, setAdding] = useState(asked.has('new'));
  return (
    <Page
      title={t('view.app.machines')}
      line={t('view.machines.in-use', { retired: machines.filter((one) => !one.retired).length })}
      acts={
        <>
          <Box
            asChild
            minHeight="44px"
            display="inline-flex"
            alignItems="center"
            px="3"
            fontWeight={600}
            fontSize="text"
          >
            <Link to="/machines/compare">{t('view.machines.compare')}</Link>
          </Box>
          <Action kind="main" aria-expanded={adding} onClick={() => setAdding(!adding)}>
            {t('view.machines.describe-a-machine')}
          </Action>
        </>
      }
    >
      {adding && <NewMachine onClose={() => setAdding(false)} />}
      {machines.length === 0 && !adding && <Notice level="note">{t('view.machines.none')}</Notice>}
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gap="3"
        gridTemplateColumns="repeat(auto-fill, minmax(min(340px, 100%), 1fr))"
      >
        {machines.map((machine) => (
          <MachineCard key={machine.id} machine={machine} />
        ))}
      </Box>
    </Page>
  );
}

function MachineCard({ machine: { id, file, standing, retired } }: { readonly machine: MachineResource }) {
  const untested = file.dials.filter(isUntested);
  return (
    <Box
      as="li"
      bg="surface"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      {...(retired ? { opacity: 0.75 } : {})}
    >
      <Box asChild display="block" px="4" py="3" color="ink" _hover={{ bg: 'accentSoft' }} height="100%">
        <Link to={`/machines/${id}`}>
          <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="3">
            <Heading as="h2" textStyle="title">
              {file.name}
            </Heading>
            <Box fontSize="small" color="quiet">
              {retired ? t('view.machines.out-of-use') : file.place}
            </Box>
          </Box>
          <Box fontSize="small" color="quiet" mb="2">
            {file.about}
          </Box>
          {standing ? (
            file.feeders.map(({ id: feederId, label }) => {
              const feeder = standing.feeders[feederId];
              return (
                <Box key={feederId} fontSize="text" py="0.5">
                  <Box as="span" color={feederId === standing.feederId ? 'spruce' : 'quiet'} aria-hidden="true">
                    {feederId === standing.feederId ? '● ' : '○ '}
                  </Box>
                  {file.feeders.length > 1 ? `${label}: ` : ''}
                  {feeder
                    ? `${format(fillerOf(feeder.filler).name)}, ${format(wireSizeLabel(feeder.diameterMm))} · ${format(gasName(feeder.gas))}`
                    : t('view.machines.nothing-entered')}
                </Box>
              );
            })
          ) : (
            <Box fontSize="text" color="ochre">
              {t('view.machines.loaded-unknown')}
            </Box>
          )}
          <Box fontSize="small" color="quiet" mt="2">
            {t('view.machines.counts', {
              dials: file.dials.length,
              chartLines: file.chartLines.length,
              count: file.slots.count,
              since: standing ? shopTime(standing.since) : absent,
            })}
          </Box>
          {untested.length > 0 && (
            <Box fontSize="small" color="ochre" fontWeight={600}>
              {t('view.machines.nobody-has-tried', { dial: untested.map((dial) => dial.label) })}
            </Box>
          )}
        </Link>
      </Box>
    </Box>
  );
}

interface Start {
  readonly name: string;
  readonly place: string;
  readonly peakCurrentA: number;
  readonly slowest: number;
  readonly fastest: number;
}

function NewMachine({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const task = useTask();
  const [form, setForm, forget] = useKeptForm<Start>('new-machine', {
    name: '',
    place: '',
    peakCurrentA: 400,
    slowest: 1,
    fastest: 20,
  });
  const [fileProblem, setFileProblem] = useState<string | null>(null);
  const set = (change: Partial<Start>) => setForm({ ...form, ...change });

  async function make(file: unknown) {
    await task.run(async () => {
      const machine = await api.createMachine(file);
      forget();
      await navigate(`/machines/${machine.id}`);
    });
  }

  async function readFile(file: File) {
    setFileProblem(null);
    let value: unknown;
    try {
      value = JSON.parse(await file.text());
    } catch {
      setFileProblem(t('view.machines.not-json', { file: file.name }));
      return;
    }
    const read = readMachineFile(value);
    if (read.ok) await make(read.value);
    else
      setFileProblem(
        read.issues.map((issue) => `${issue.path === '' ? '' : `${issue.path}: `}${format(issue.message)}`).join(' '),
      );
  }

  return (
    <Panel title={t('view.machines.a-new-machine')}>
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(5, 1fr)' }} gap="2.5" alignItems="start">
        <TextField label={t('view.library.label-word')} value={form.name} onChange={(name) => set({ name })} />
        <TextField label={t('view.machines.location')} value={form.place} onChange={(place) => set({ place })} />
        <ValueField
          label={t('view.machines.highest-current')}
          of="current"
          value={form.peakCurrentA}
          keep="new-machine/peak"
          range={[60, 700]}
          onValue={(peakCurrentA) => set({ peakCurrentA: peakCurrentA ?? 400 })}
        />
        <ValueField
          label={t('view.machines.slowest-feed')}
          of="wireFeed"
          value={form.slowest}
          keep="new-machine/slowest"
          range={[0.1, 60]}
          onValue={(slowest) => set({ slowest: slowest ?? 1 })}
        />
        <ValueField
          label={t('view.machines.fastest-feed')}
          of="wireFeed"
          value={form.fastest}
          keep="new-machine/fastest"
          range={[0.1, 60]}
          onValue={(fastest) => set({ fastest: fastest ?? 20 })}
        />
      </Box>
      <Box display="flex" gap="2" mt="2.5" flexWrap="wrap" alignItems="center">
        <Action
          kind="main"
          disabled={form.name.trim() === '' || task.busy}
          onClick={() => {
            void make({
              ...blankMachine(form.name.trim(), form.place.trim()),
              limits: { peakCurrentA: form.peakCurrentA, wireFeedMPerMin: [form.slowest, form.fastest] },
            });
          }}
        >
          {t('view.machines.go-to-dials')}
        </Action>
        <Box asChild fontSize="small" color="quiet">
          <label>
            {t('view.machines.or-file')}{' '}
            <chakra.input
              type="file"
              accept=".json,application/json"
              minHeight="44px"
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                if (file) void readFile(file);
                event.target.value = '';
              }}
            />
          </label>
        </Box>
        <Action kind="quiet" onClick={onClose}>
          {t('view.library.cancel')}
        </Action>
      </Box>
      {(task.problem ?? fileProblem) !== null && (
        <Box mt="2">
          <Notice level="refusal" word={t('view.machines.not-made')} urgent>
            {task.problem ?? fileProblem}
          </Notice>
        </Box>
      )}
    </Panel>
  );
}
