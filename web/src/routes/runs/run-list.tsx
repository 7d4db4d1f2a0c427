/** Production welds: which seam got which wire and gas, by whom, and what became of it. */
import { Box } from '@chakra-ui/react';
import { runStates, type Run } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { useState, type ReactNode } from 'react';
import { Link, useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { RecordTable, type RecordColumn } from '../../ui/record-table.tsx';
import { usePages, type RowPage } from '../../ui/use-pages.ts';
import { DecideRun } from './decide-run.tsx';
import { addressOf } from '../../data/address.ts';

const filterNames = ['machine', 'order', 'state', 'seam'] as const;
type FilterName = (typeof filterNames)[number];
const pageRows = '60';

export async function loadRuns({ request }: { request: Request }) {
  const params = new URL(request.url).searchParams;
  const filter: Partial<Record<FilterName, string>> = Object.fromEntries(
    filterNames.flatMap((name) => (params.get(name) ? [[name, params.get(name) ?? '']] : [])),
  );
  const [page, machines, orders] = await Promise.all([
    api.runs({ ...filter, limit: pageRows }, request.signal),
    api.machines(request.signal),
    api.orders(request.signal),
  ]);
  return { page, machines, orders, filter };
}

const stateNames: Record<Run['state'], string> = {
  counts: t('view.runs.counts'),
  held: t('view.runs.held'),
  released: t('view.runs.released'),
  scrapped: t('view.runs.scrapped'),
  slip: t('view.runs.slip'),
};

export function RunList() {
  const { page, machines, orders, filter } = useLoaderData<Awaited<ReturnType<typeof loadRuns>>>();
  const [, setParams] = useSearchParams();
  const set = (name: FilterName, value: string) => {
    const { [name]: _before, ...others } = filter;
    setParams(value === '' ? others : { ...others, [name]: value });
  };
  const key = new URLSearchParams(filter).toString();
  const all = { value: '', label: t('view.trials.all') };
  return (
    <Page
      title={t('view.runs.production')}
      line={t('view.runs.title-why')}
      acts={
        <Action asChild>
          <a href={addressOf('runsCsv', undefined, filter)}>CSV</a>
        </Action>
      }
    >
      <Panel>
        <Box display="grid" gap="3" gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))">
          <ChoiceField
            label={t('view.trials.machine')}
            value={filter.machine ?? ''}
            choices={[all, ...machines.map(({ id, file }) => ({ value: id, label: file.name }))]}
            onChange={(value) => set('machine', value)}
          />
          <ChoiceField
            label={t('view.at-machine.order')}
            value={filter.order ?? ''}
            choices={[all, ...orders.map(({ id, number }) => ({ value: id, label: number }))]}
            onChange={(value) => set('order', value)}
          />
          <ChoiceField
            label={t('view.runs.state')}
            value={filter.state ?? ''}
            choices={[all, ...runStates.map((value) => ({ value, label: stateNames[value] }))]}
            onChange={(value) => set('state', value)}
          />
        </Box>
      </Panel>
      <Rows key={key} first={page} filter={filter} />
    </Page>
  );
}

function Rows({
  first,
  filter,
}: {
  readonly first: RowPage<Run>;
  readonly filter: Readonly<Partial<Record<FilterName, string>>>;
}) {
  const { rows, onOlder, replace } = usePages(first, (cursor) => api.runs({ ...filter, limit: pageRows, cursor }));
  const [deciding, setDeciding] = useState<string | null>(null);
  if (rows.length === 0) return <Notice level="note">{t('view.runs.none')}</Notice>;
  return (
    <Panel py="1">
      <RecordTable
        label={t('view.runs.production')}
        keepAs="runs"
        columns={columns(deciding, setDeciding)}
        rows={rows}
        idOf={idOf}
        onOlder={onOlder}
        under={(run) =>
          run.id === deciding && (
            <DecideRun
              run={run}
              onDecided={(decided) => {
                replace(decided);
                setDeciding(null);
              }}
            />
          )
        }
      />
    </Panel>
  );
}

const idOf = ({ id }: Run) => id;

const stateLooks: Record<Run['state'], { readonly color: string; readonly mark: string }> = {
  counts: { color: 'spruce', mark: '✓' },
  held: { color: 'ochre', mark: '◇' },
  released: { color: 'spruce', mark: '✓' },
  scrapped: { color: 'crimson', mark: '✕' },
  slip: { color: 'quiet', mark: '–' },
};

function columns(deciding: string | null, onDecide: (id: string | null) => void): readonly RecordColumn<Run>[] {
  const momentOf = (run: Run) => run.deviceAt ?? run.at;
  return [
    {
      id: 'when',
      head: t('view.trials.when'),
      cell: (run) => shopTime(momentOf(run)),
      sortBy: momentOf,
      noWrap: true,
      always: true,
    },
    { id: 'seam', head: t('view.trials.seam'), cell: Seam, sortBy: ({ seamName }) => seamName, always: true },
    {
      id: 'order',
      head: t('view.at-machine.order'),
      cell: ({ orderNumber }) => orderNumber ?? '–',
      sortBy: ({ orderNumber }) => orderNumber ?? '',
    },
    {
      id: 'machine',
      head: t('view.trials.machine'),
      cell: ({ machineName }) => machineName,
      sortBy: ({ machineName }) => machineName,
    },
    {
      id: 'welder',
      head: t('view.trials.welder'),
      cell: ({ weldedBy, sentBy }) => (
        <>
          {weldedBy}
          {sentBy !== null && <Below>{t('view.shop.record-sent-by', { sentBy })}</Below>}
        </>
      ),
      sortBy: ({ weldedBy }) => weldedBy,
    },
    { id: 'loaded', head: t('view.runs.wire-and-gas'), cell: loadedIn, sortBy: loadedIn },
    {
      id: 'state',
      head: t('view.runs.state'),
      cell: (run) => (
        <State run={run} isOpen={deciding === run.id} onOpen={() => onDecide(deciding === run.id ? null : run.id)} />
      ),
      sortBy: ({ state }) => stateNames[state],
      always: true,
    },
  ];
}

function loadedIn({ loaded }: Run): string {
  return loaded
    ? `${format(fillerOf(loaded.filler).name)}, ${format(wireSizeLabel(loaded.diameterMm))} · ${format(gasName(loaded.gas))}`
    : t('view.runs.not-entered');
}

function Below({ children }: { readonly children: ReactNode }) {
  return (
    <Box fontSize="label" color="quiet">
      {children}
    </Box>
  );
}

function Seam({ seamId, seamName, partName, revision }: Run) {
  return (
    <>
      <Link to={`/seams/${seamId}`}>{seamName}</Link>
      <Below>
        {partName}, {t('view.at-machine.revision', { number: revision })}
      </Below>
    </>
  );
}

function State({
  run: { state, held, decision },
  isOpen,
  onOpen,
}: {
  readonly run: Run;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}) {
  const { color, mark } = stateLooks[state];
  return (
    <>
      <Box as="span" color={color} fontWeight={600}>
        {mark} {stateNames[state]}
      </Box>
      {held.map(({ code, words }) => (
        <Below key={code}>{format(words)}</Below>
      ))}
      {decision && <Below>{[decision.by, decision.reason].filter(Boolean).join(': ')}</Below>}
      {state === 'held' && (
        <Action kind="quiet" aria-expanded={isOpen} onClick={onOpen}>
          {t('view.runs.decide')}
        </Action>
      )}
    </>
  );
}
