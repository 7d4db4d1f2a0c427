/** Every trial of the shop: filtered by what one asks for, kept filters, a table for a spreadsheet. */
import { type TrialRow } from '@fox-tempo/contract';
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import { symptoms } from '@fox-tempo/core/evidence/trial';
import { useState } from 'react';
import { Link, useLoaderData, useNavigate, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { WayOn } from '../../ui/way-on.tsx';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { RecordTable, type RecordColumn } from '../../ui/record-table.tsx';
import { usePages, type RowPage } from '../../ui/use-pages.ts';
import { VerdictMark } from '../../parts/own-welds/index.ts';
import { Filters, Kept, filterNames, type Filter, type FilterName } from './trial-filters.tsx';
import { addressOf } from '../../data/address.ts';

const pageRows = '60';

function filterOf(params: URLSearchParams): Filter {
  return Object.fromEntries(filterNames.flatMap((name) => (params.get(name) ? [[name, params.get(name) ?? '']] : [])));
}

export async function loadTrials({ request }: { request: Request }) {
  const filter = filterOf(new URL(request.url).searchParams);
  const [page, machines] = await Promise.all([
    api.trials({ ...filter, limit: pageRows }, request.signal),
    api.machines(request.signal),
  ]);
  return { page, machines, filter };
}

export function TrialList() {
  const { page, machines, filter } = useLoaderData<Awaited<ReturnType<typeof loadTrials>>>();
  const key = new URLSearchParams(filter).toString();
  return <Loaded key={key} first={page} machines={machines} filter={filter} />;
}

function Loaded({
  first,
  machines,
  filter,
}: {
  readonly first: RowPage<TrialRow>;
  readonly machines: Awaited<ReturnType<typeof loadTrials>>['machines'];
  readonly filter: Filter;
}) {
  const navigate = useNavigate();
  const [, setParams] = useSearchParams();
  const { rows, onOlder } = usePages(first, (cursor) => api.trials({ ...filter, limit: pageRows, cursor }));
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const set = (name: FilterName, value: string) => {
    const { [name]: _before, ...others } = filter;
    setParams(value === '' ? others : { ...others, [name]: value });
  };
  const csv = addressOf('trialsCsv', undefined, filter);
  return (
    <Page
      title={t('view.app.trials')}
      line={t('view.trials.shown', { count: rows.length })}
      acts={
        <>
          <Action disabled={chosen.length < 2} onClick={() => void navigate(`/trials/compare?ids=${chosen.join(',')}`)}>
            {t('view.trials.compare-chosen', { count: chosen.length })}
          </Action>
          <Action asChild>
            <a href={csv}>CSV</a>
          </Action>
        </>
      }
    >
      <Panel>
        <Filters machines={machines} filter={filter} set={set} />
        <Kept filter={filter} />
      </Panel>
      {rows.length === 0 ? (
        <Notice level="note">
          {Object.keys(filter).length === 0 ? t('view.trials.none') : t('view.trials.no-match')}
        </Notice>
      ) : (
        <Panel py="1">
          <RecordTable
            label={t('view.app.trials')}
            keepAs="trials"
            columns={columns(chosen, setChosen)}
            rows={rows}
            idOf={idOf}
            onOlder={onOlder}
          />
        </Panel>
      )}
    </Page>
  );
}

const mostCompared = 4;

const idOf = ({ id }: TrialRow) => id;

function columns(
  chosen: readonly string[],
  onChosen: (ids: readonly string[]) => void,
): readonly RecordColumn<TrialRow>[] {
  const choose = (id: string, on: boolean) =>
    onChosen(on ? [...chosen, id].slice(-mostCompared) : chosen.filter((one) => one !== id));
  const paceOf = ({ foundTravelMmPerMin, plannedTravelMmPerMin }: TrialRow) =>
    foundTravelMmPerMin === null ? null : (100 * foundTravelMmPerMin) / plannedTravelMmPerMin;
  return [
    {
      id: 'choose',
      head: '',
      cell: (row) => <Choose row={row} on={chosen.includes(row.id)} onChoose={(on) => choose(row.id, on)} />,
      always: true,
    },
    { id: 'when', head: t('view.trials.when'), cell: When, sortBy: ({ at }) => at, noWrap: true, always: true },
    { id: 'seam', head: t('view.trials.seam'), cell: Seam, sortBy: ({ seamName }) => seamName, always: true },
    {
      id: 'machine',
      head: t('view.trials.machine'),
      cell: ({ machineName }) => machineName,
      sortBy: ({ machineName }) => machineName,
    },
    {
      id: 'welder',
      head: t('view.trials.welder'),
      cell: ({ weldedBy }) => weldedBy,
      sortBy: ({ weldedBy }) => weldedBy,
      noWrap: true,
    },
    {
      id: 'verdict',
      head: t('view.trials.verdict'),
      cell: ({ verdict, byEyeOnly }) => <VerdictMark verdict={verdict} byEyeOnly={byEyeOnly} />,
      sortBy: ({ verdict }) => verdict ?? '',
    },
    {
      id: 'legs',
      head: t('view.trials.legs'),
      cell: ({ legsMm }) =>
        legsMm
          ? `${format(amount('shortLength', legsMm[0], 1))} / ${format(amount('shortLength', legsMm[1], 1))}`
          : '–',
      sortBy: ({ legsMm }) => legsMm?.[0] ?? -1,
      figure: true,
    },
    {
      id: 'pace',
      head: t('view.trials.travel-speed'),
      cell: (row) => {
        const pace = paceOf(row);
        return pace === null ? '–' : format(amount('percent', pace, 0));
      },
      sortBy: (row) => paceOf(row) ?? -1,
      figure: true,
    },
    {
      id: 'seen',
      head: t('view.trials.seen-head'),
      cell: ({ symptoms: seen }) => (
        <Box fontSize="label">{seen.map((code) => format(symptoms[code].name)).join(', ')}</Box>
      ),
    },
  ];
}

function Choose({
  row: { seamName, at },
  on,
  onChoose,
}: {
  readonly row: TrialRow;
  readonly on: boolean;
  readonly onChoose: (on: boolean) => void;
}) {
  return (
    <Box asChild display="inline-flex" alignItems="center" justifyContent="center" width="44px" height="44px">
      <label>
        <input
          type="checkbox"
          checked={on}
          aria-label={t('view.trials.choose-to-compare', { seam: seamName, at: shopTime(at) })}
          onChange={(event) => onChoose(event.target.checked)}
        />
      </label>
    </Box>
  );
}

function When({ id, at }: TrialRow) {
  return <WayOn to={`/trials/${id}`}>{shopTime(at)}</WayOn>;
}

function Seam({ seamId, seamName, partName }: TrialRow) {
  return (
    <Box minWidth="120px">
      <Box asChild _hover={{ textDecoration: 'underline' }}>
        <Link to={`/seams/${seamId}/trial`}>{seamName}</Link>
      </Box>
      <Box fontSize="label" color="quiet">
        {partName}
      </Box>
    </Box>
  );
}
