/** Production welds: which seam got which wire and gas, by whom, and what became of it. */
import { Box } from '@chakra-ui/react';
import { runStates, type Run } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { useState } from 'react';
import { Link, useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { OlderOnes } from '../../ui/older-ones.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
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
  readonly first: { readonly items: readonly Run[]; readonly next: string | null };
  readonly filter: Readonly<Partial<Record<FilterName, string>>>;
}) {
  const [rows, setRows] = useState(first.items);
  const [next, setNext] = useState(first.next);
  const [deciding, setDeciding] = useState<string | null>(null);
  if (rows.length === 0) return <Notice level="note">{t('view.runs.none')}</Notice>;
  return (
    <Panel py="1">
      <Table label={t('view.runs.production')}>
        <Heads
          names={[
            t('view.trials.when'),
            t('view.trials.seam'),
            t('view.at-machine.order'),
            t('view.trials.machine'),
            t('view.trials.welder'),
            t('view.runs.wire-and-gas'),
            t('view.runs.state'),
          ]}
        />
        <tbody>
          {rows.map((run) => (
            <Row
              key={run.id}
              run={run}
              isOpen={deciding === run.id}
              onOpen={() => setDeciding(deciding === run.id ? null : run.id)}
              onDecided={(decided) => {
                setRows(rows.map((one) => (one.id === decided.id ? decided : one)));
                setDeciding(null);
              }}
            />
          ))}
        </tbody>
      </Table>
      {next !== null && (
        <OlderOnes
          onAsk={async () => {
            const page = await api.runs({ ...filter, limit: pageRows, cursor: next });
            setRows([...rows, ...page.items]);
            setNext(page.next);
          }}
        />
      )}
    </Panel>
  );
}

const stateLooks: Record<Run['state'], { readonly color: string; readonly mark: string }> = {
  counts: { color: 'spruce', mark: '✓' },
  held: { color: 'ochre', mark: '◇' },
  released: { color: 'spruce', mark: '✓' },
  scrapped: { color: 'crimson', mark: '✕' },
  slip: { color: 'quiet', mark: '–' },
};

function Row({
  run,
  isOpen,
  onOpen,
  onDecided,
}: {
  readonly run: Run;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly onDecided: (run: Run) => void;
}) {
  const { color, mark } = stateLooks[run.state];
  const { loaded, decision } = run;
  return (
    <>
      <tr>
        <Cell>{shopTime(run.deviceAt ?? run.at)}</Cell>
        <Cell>
          <Link to={`/seams/${run.seamId}`}>{run.seamName}</Link>
          <Box fontSize="label" color="quiet">
            {run.partName}, {t('view.at-machine.revision', { number: run.revision })}
          </Box>
        </Cell>
        <Cell>{run.orderNumber ?? '–'}</Cell>
        <Cell>{run.machineName}</Cell>
        <Cell>
          {run.weldedBy}
          {run.sentBy !== null && (
            <Box fontSize="label" color="quiet">
              {t('view.shop.record-sent-by', { sentBy: run.sentBy })}
            </Box>
          )}
        </Cell>
        <Cell>
          {loaded
            ? `${format(fillerOf(loaded.filler).name)}, ${format(wireSizeLabel(loaded.diameterMm))} · ${format(gasName(loaded.gas))}`
            : t('view.runs.not-entered')}
        </Cell>
        <Cell>
          <Box as="span" color={color} fontWeight={600}>
            {mark} {stateNames[run.state]}
          </Box>
          {run.held.map(({ code, words }) => (
            <Box key={code} fontSize="label" color="quiet">
              {format(words)}
            </Box>
          ))}
          {decision && (
            <Box fontSize="label" color="quiet">
              {[decision.by, decision.reason].filter(Boolean).join(': ')}
            </Box>
          )}
          {run.state === 'held' && (
            <Action kind="quiet" aria-expanded={isOpen} onClick={onOpen}>
              {t('view.runs.decide')}
            </Action>
          )}
        </Cell>
      </tr>
      {isOpen && (
        <tr>
          <Box asChild py="2" borderBottomWidth="1px" borderColor="line">
            <td colSpan={7}>
              <DecideRun run={run} onDecided={onDecided} />
            </td>
          </Box>
        </tr>
      )}
    </>
  );
}
