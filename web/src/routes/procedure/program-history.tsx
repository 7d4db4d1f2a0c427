/** Everything that happened to a program, the newest first: revisions, reasons, windows, releases and the trials that were its evidence. */
import { Box } from '@chakra-ui/react';
import { capital } from '../../ui/table.tsx';
import type { MachineResource, Observation, Revision, SeamResource } from '@fox-tempo/contract';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { kindNames, observationLine } from '../../parts/record-words/index.ts';
import { useSettings } from '../../session/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { formatWithUnit, named, t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { VerdictMark } from '../../parts/own-welds/index.ts';

interface Happened {
  readonly at: string;
  readonly by: string;
  readonly key: string;
  readonly what: ReactNode;
  readonly why: ReactNode;
}

const told: readonly Observation['kind'][] = [
  'issue',
  'lock',
  'window',
  'limits',
  'release',
  'offset',
  'run-decision',
  'note',
];
/** More of each than this lies in the record. */
const most = '200';

export function ProgramHistory({
  seam,
  machines,
  revisions,
}: {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly revisions: readonly Revision[];
}) {
  const units = useSettings((state) => state.units);
  const { data: observed, isError } = useEndpoint('observations', { query: { seam: seam.id, limit: most } });
  const { data: trials } = useEndpoint('trials', { query: { seam: seam.id, limit: most } });
  const onMachine = (id: string | null) => machines.find((one) => one.id === id)?.file.name;
  const happened: Happened[] = [
    ...revisions.map(({ number, program, createdAt, createdBy }) => ({
      at: createdAt,
      by: createdBy,
      key: `revision ${number}`,
      what: t('view.procedure.revision-saved', { number }),
      why: `${formatWithUnit(program.wireFeedMPerMin, 'wireFeed', units)}, ${named(program.origin)}`,
    })),
    ...(observed?.items ?? [])
      .filter(({ kind }) => told.includes(kind))
      .map((one) => ({
        at: one.at,
        by: one.recordedBy,
        key: one.id,
        what: [kindNames[one.kind], onMachine(one.machineId)].filter(Boolean).join(', '),
        why: observationLine(one),
      })),
    ...(trials?.items ?? []).map((one) => ({
      at: one.at,
      by: one.weldedBy,
      key: one.id,
      what: (
        <Link to={`/trials/${one.id}`}>
          {t('view.procedure.trial-of-revision', { number: one.revision, machine: one.machineName })}
        </Link>
      ),
      why: <VerdictMark verdict={one.verdict} byEyeOnly={one.byEyeOnly} />,
    })),
  ].sort((one, other) => Date.parse(other.at) - Date.parse(one.at));
  return (
    <Panel title={t('view.procedure.history')}>
      {isError && <Notice level="caution">{t('view.procedure.failed')}</Notice>}
      <Box as="ol" listStyleType="none" maxHeight={{ lg: '68vh' }} overflowY="auto" tabIndex={0}>
        {happened.map(({ at, by, key, what, why }) => (
          <Box as="li" key={key} py="1.5" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
            <Box display="flex" justifyContent="space-between" gap="3" fontSize="small">
              <Box fontWeight={600} css={capital}>
                {what}
              </Box>
              <Box color="quiet" fontSize="label" textAlign="end" flexShrink={0}>
                {shopTime(at)}
              </Box>
            </Box>
            <Box fontSize="small" color="quiet">
              {why} · {by}
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
