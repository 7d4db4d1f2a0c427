/** Everything that was observed, the newest first: who, when, where. Rows are never changed; a correction is a further row. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Observation } from '@fox-tempo/contract';
import { useCallback, useEffect, useState } from 'react';
import { api, ProblemError } from '../../data/api.ts';
import { useEndpointList } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { kindNames, observationLine } from '../../parts/record-words/index.ts';

type Kind = Observation['kind'] | 'all';

interface Loaded {
  readonly of: Kind;
  readonly rows: readonly Observation[];
  readonly next: string | null;
  readonly problem: string | null;
}

const pageRows = '50';

export function Record() {
  const [kind, setKind] = useState<Kind>('all');
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  const load = useCallback(async (of: Kind, cursor: string | null, signal?: AbortSignal) => {
    const query = { limit: pageRows, ...(of === 'all' ? {} : { kind: of }), ...(cursor === null ? {} : { cursor }) };
    try {
      const page = await api.observations(query, signal);
      setLoaded((before) => ({
        of,
        rows: [...(cursor !== null && before?.of === of ? before.rows : []), ...page.items],
        next: page.next,
        problem: null,
      }));
    } catch (error) {
      if (signal?.aborted) return;
      if (!(error instanceof ProblemError)) throw error;
      setLoaded((before) => ({ of, rows: before?.rows ?? [], next: before?.next ?? null, problem: error.message }));
    }
  }, []);
  useEffect(() => {
    const leaving = new AbortController();
    void load(kind, null, leaving.signal);
    return () => leaving.abort();
  }, [kind, load]);
  const { data: machines = [] } = useEndpointList('machines');
  const { data: seams = [] } = useEndpointList('seams');
  const whereOf = ({ machineId, seamId }: Observation) =>
    [
      machines.find(({ id }) => id === machineId)?.file.name ?? machineId,
      // One that is off the list has only its id here.
      seams.find(({ id }) => id === seamId)?.spec.name ?? seamId,
    ]
      .filter((one) => one !== null)
      .join(', ');
  const current = loaded?.of === kind ? loaded : null;
  return (
    <Panel title={t('view.palette.record')}>
      <Box maxWidth="280px" mb="2">
        <ChoiceField<Kind>
          label={t('view.shop.show')}
          value={kind}
          choices={[
            { value: 'all', label: t('view.shop.everything') },
            ...Object.entries(kindNames).map(([value, label]) => ({ value: value as Kind, label })),
          ]}
          onChange={setKind}
        />
      </Box>
      {current === null ? (
        <Box role="status" color="quiet" fontSize="small">
          {t('view.shop.loading-the-record')}
        </Box>
      ) : (
        <>
          {current.problem !== null && (
            <Notice level="caution" word={t('view.shop.not-loaded')} urgent>
              {current.problem}
            </Notice>
          )}
          {current.rows.length === 0 && current.problem === null && (
            <Notice level="note">{t('view.shop.record-none')}</Notice>
          )}
          <Table label={t('view.shop.observations')}>
            <Heads
              names={[t('view.shop.when'), t('view.shop.what'), '', t('view.library.where'), t('view.shop.record-by')]}
            />
            <tbody>
              {current.rows.map((row) => (
                <tr key={row.id}>
                  <Cell whiteSpace="nowrap">{shopTime(row.deviceAt ?? row.at)}</Cell>
                  <Cell head>{kindNames[row.kind]}</Cell>
                  <Cell>
                    {row.corrects === null
                      ? observationLine(row)
                      : t('view.shop.a-correction', { line: observationLine(row) })}
                  </Cell>
                  <Cell color="quiet">{whereOf(row)}</Cell>
                  <Cell>
                    {[
                      row.recordedBy,
                      ...(row.weldedBy === null ? [] : [t('view.shop.record-welder', { weldedBy: row.weldedBy })]),
                      ...(row.sentBy === null ? [] : [t('view.shop.record-sent-by', { sentBy: row.sentBy })]),
                    ].join(', ')}
                  </Cell>
                </tr>
              ))}
            </tbody>
          </Table>
          {current.next !== null && (
            <Action mt="3" onClick={() => void load(kind, current.next)}>
              {t('view.shop.older-ones')}
            </Action>
          )}
        </>
      )}
    </Panel>
  );
}
