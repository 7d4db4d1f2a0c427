/** Every trial of the shop: filtered by what one asks for, kept filters, a table for a spreadsheet. */
import { may, type TrialRow } from '@fox-tempo/contract';
import { Box, chakra } from '@chakra-ui/react';
import { materialGroups, materialOf } from '@fox-tempo/core/metal/consumables';
import { amount } from '@fox-tempo/core/base/messages';
import { symptomCodes, symptoms } from '@fox-tempo/core/evidence/trial';
import { useState } from 'react';
import { Link, useLoaderData, useNavigate, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { keep, recall } from '../../lib/device.ts';
import { shopTime } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { OlderOnes } from '../../ui/older-ones.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { session } from '../../session/session.ts';
import { VerdictMark } from '../../parts/own-welds/index.ts';
import { addressOf } from '../../data/address.ts';

const filterNames = ['seam', 'machine', 'welder', 'verdict', 'metal', 'symptom', 'since', 'until', 'text'] as const;
type FilterName = (typeof filterNames)[number];
type Filter = Readonly<Partial<Record<FilterName, string>>>;
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
  readonly first: { readonly items: readonly TrialRow[]; readonly next: string | null };
  readonly machines: Awaited<ReturnType<typeof loadTrials>>['machines'];
  readonly filter: Filter;
}) {
  const navigate = useNavigate();
  const [, setParams] = useSearchParams();
  const [more, setMore] = useState<readonly TrialRow[]>([]);
  const [next, setNext] = useState(first.next);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const rows = [...first.items, ...more];
  const set = (name: FilterName, value: string) => {
    const { [name]: _before, ...others } = filter;
    setParams(value === '' ? others : { ...others, [name]: value });
  };
  const csv = addressOf('trialsCsv', undefined, filter);
  return (
    <Page
      title={t('view.app.trials')}
      line={t('view.trials.shown-newest-first', { count: rows.length })}
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
          <Table label={t('view.app.trials')}>
            <Heads
              names={[
                '',
                t('view.trials.when'),
                t('view.trials.seam'),
                t('view.trials.machine'),
                t('view.trials.welder'),
                t('view.trials.verdict'),
                t('view.trials.legs'),
                t('view.trials.travel-speed'),
                t('view.trials.seen-head'),
              ]}
              right={[t('view.trials.legs'), t('view.trials.travel-speed')]}
            />
            <tbody>
              {rows.map((row) => (
                <Row
                  key={row.id}
                  row={row}
                  isChosen={chosen.includes(row.id)}
                  onChoose={(on) =>
                    setChosen(on ? [...chosen, row.id].slice(-mostCompared) : chosen.filter((id) => id !== row.id))
                  }
                />
              ))}
            </tbody>
          </Table>
          {next !== null && (
            <OlderOnes
              onAsk={async () => {
                const page = await api.trials({ ...filter, limit: pageRows, cursor: next });
                setMore([...more, ...page.items]);
                setNext(page.next);
              }}
            />
          )}
        </Panel>
      )}
    </Page>
  );
}

const mostCompared = 4;

function Row({
  row,
  isChosen,
  onChoose,
}: {
  readonly row: TrialRow;
  readonly isChosen: boolean;
  readonly onChoose: (on: boolean) => void;
}) {
  const { id, at, seamId, seamName, partName, machineName, weldedBy, verdict, byEyeOnly, legsMm } = row;
  return (
    <tr>
      <Cell middle width="44px">
        <Box asChild display="inline-flex" alignItems="center" justifyContent="center" width="44px" height="44px">
          <label>
            <input
              type="checkbox"
              checked={isChosen}
              aria-label={t('view.trials.choose-to-compare', { seam: seamName, at: shopTime(at) })}
              style={{ width: 20, height: 20 }}
              onChange={(event) => onChoose(event.target.checked)}
            />
          </label>
        </Box>
      </Cell>
      <Cell middle whiteSpace="nowrap">
        <Box asChild color="accent" fontWeight={600} minHeight="44px" display="inline-flex" alignItems="center">
          <Link to={`/trials/${id}`}>{shopTime(at)}</Link>
        </Box>
      </Cell>
      <Cell middle>
        <Box asChild _hover={{ textDecoration: 'underline' }}>
          <Link to={`/seams/${seamId}/trial`}>{seamName}</Link>
        </Box>
        <Box fontSize="label" color="quiet">
          {partName}
        </Box>
      </Cell>
      <Cell middle>{machineName}</Cell>
      <Cell middle whiteSpace="nowrap">
        {weldedBy}
      </Cell>
      <Cell middle>
        <VerdictMark verdict={verdict} byEyeOnly={byEyeOnly} />
      </Cell>
      <Cell figure middle>
        {legsMm
          ? `${format(amount('shortLength', legsMm[0], 1))} / ${format(amount('shortLength', legsMm[1], 1))}`
          : '–'}
      </Cell>
      <Cell figure middle>
        {row.foundTravelMmPerMin === null
          ? '–'
          : format(amount('percent', (100 * row.foundTravelMmPerMin) / row.plannedTravelMmPerMin, 0))}
      </Cell>
      <Cell middle fontSize="label">
        {row.symptoms.map((code) => format(symptoms[code].name)).join(', ')}
      </Cell>
    </tr>
  );
}

function Filters({
  machines,
  filter,
  set,
}: {
  readonly machines: Awaited<ReturnType<typeof loadTrials>>['machines'];
  readonly filter: Filter;
  readonly set: (name: FilterName, value: string) => void;
}) {
  const people = (session.getState().state?.people ?? []).filter(({ role }) => may('addTrial', role));
  const [text, setText] = useState(filter.text ?? '');
  const all = { value: '', label: t('view.trials.all') };
  return (
    <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(126px, 1fr))" alignItems="end">
      <TextField
        label={t('view.trials.seam-or-part')}
        value={text}
        maxLength={60}
        onChange={setText}
        onBlur={() => set('text', text.trim())}
      />
      <ChoiceField
        label={t('view.trials.verdict')}
        value={filter.verdict ?? ''}
        choices={[
          all,
          { value: 'pass', label: t('view.trials.passed') },
          { value: 'fail', label: t('view.trials.failed') },
          { value: 'open', label: t('view.trials.open') },
        ]}
        onChange={(value) => set('verdict', value)}
      />
      <ChoiceField
        label={t('view.trials.welder')}
        value={filter.welder ?? ''}
        choices={[all, ...people.map(({ id, name }) => ({ value: id, label: name }))]}
        onChange={(value) => set('welder', value)}
      />
      <ChoiceField
        label={t('view.trials.machine')}
        value={filter.machine ?? ''}
        choices={[all, ...machines.map(({ id, file }) => ({ value: id, label: file.name }))]}
        onChange={(value) => set('machine', value)}
      />
      <ChoiceField
        label={t('view.trials.metal')}
        value={filter.metal ?? ''}
        choices={[all, ...materialGroups.map((group) => ({ value: group, label: materialOf(group).name }))]}
        onChange={(value) => set('metal', value)}
      />
      <ChoiceField
        label={t('view.trials.symptom')}
        value={filter.symptom ?? ''}
        choices={[all, ...symptomCodes.map((code) => ({ value: code, label: symptoms[code].name }))]}
        onChange={(value) => set('symptom', value)}
      />
      <DayField label={t('view.trials.since')} value={filter.since ?? ''} onChange={(value) => set('since', value)} />
      <DayField label={t('view.trials.until')} value={filter.until ?? ''} onChange={(value) => set('until', value)} />
    </Box>
  );
}

function DayField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <Field label={label}>
      {({ id }) => (
        <chakra.input
          id={id}
          type="date"
          {...inputLook}
          fontSize="text"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}

interface KeptFilter {
  readonly name: string;
  readonly filter: Filter;
}
const keptPlace = 'trial-filters';

/** Filters somebody comes back to, kept on this device. */
function Kept({ filter }: { readonly filter: Filter }) {
  const [, setParams] = useSearchParams();
  const [kept, setKept] = useState<readonly KeptFilter[]>(() => {
    const found = recall(keptPlace);
    return Array.isArray(found) ? (found as KeptFilter[]) : [];
  });
  const [name, setName] = useState('');
  const put = (next: readonly KeptFilter[]) => {
    setKept(next);
    keep(keptPlace, next);
  };
  const isEmpty = Object.keys(filter).length === 0;
  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="end" mt="2">
      {kept.map((one) => (
        <Box key={one.name} display="inline-flex">
          <Action onClick={() => setParams(one.filter)}>{one.name}</Action>
          <Action
            kind="quiet"
            aria-label={t('view.trials.forget-filter', { name: one.name })}
            onClick={() => put(kept.filter((other) => other !== one))}
          >
            ✕
          </Action>
        </Box>
      ))}
      {!isEmpty && (
        <>
          <Box width="180px">
            <TextField label={t('view.trials.filter-save')} value={name} maxLength={40} onChange={setName} />
          </Box>
          <Action
            disabled={name.trim() === ''}
            onClick={() => {
              put([...kept.filter((one) => one.name !== name.trim()), { name: name.trim(), filter }]);
              setName('');
            }}
          >
            {t('view.trials.keep')}
          </Action>
          <Action kind="quiet" onClick={() => setParams({})}>
            {t('view.trials.all-trials')}
          </Action>
        </>
      )}
    </Box>
  );
}
