/** Whether the setting is locked, and which revision is the shop's reference on which machine; a lead hand changes both here. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { useMay } from '../../session/session.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask, type Task } from '../../lib/use-task.ts';
import { useLimits } from '../../sheet/use-limits.ts';
import { Notice } from '../../ui/notice.tsx';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';

export interface StandingOfSettingProps {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly onStored: (seam: SeamResource) => void;
}

export function StandingOfSetting({ seam, machines, onStored }: StandingOfSettingProps) {
  const { lock, issued, revision } = seam;
  const may = useMay('lockSeam');
  const [opened, setOpened] = useState(false);
  const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.file.name ?? id;
  return (
    <Panel
      title={t('view.seams.reference-and-lock')}
      aside={
        may && revision ? (
          <Action
            kind="quiet"
            fontSize="small"
            minHeight="32px"
            aria-expanded={opened}
            onClick={() => setOpened(!opened)}
          >
            {opened ? t('view.palette.close') : t('view.seams.issue-or-lock')}
          </Action>
        ) : undefined
      }
    >
      <Box fontSize="small" display="grid" gap="1">
        <Box>
          {lock ? (
            <>
              <Box as="strong" color="ochre">
                {t('view.seams.locked')}
              </Box>{' '}
              {t('view.seams.by', { by: lock.by, lock: shopTime(lock.at), reason: lock.reason })}
            </>
          ) : (
            <Box as="span" color="quiet">
              {t('view.seams.not-locked')}
            </Box>
          )}
        </Box>
        {issued.length === 0 ? (
          <Box color="quiet">{t('view.seams.no-reference')}</Box>
        ) : (
          issued.map(({ revision: number, machineId, reason, by, at }) => (
            <Box key={machineId}>
              <Box as="strong" color="spruce">
                {t('view.seams.reference', { number, machineId: nameOf(machineId) })}
              </Box>{' '}
              {t('view.seams.lock-line', { by, shopTime: shopTime(at), reason })}
            </Box>
          ))
        )}
      </Box>
      {opened && revision && (
        <Signing
          seam={seam}
          newest={revision.number}
          machines={machines}
          onWritten={onStored}
          onStored={(stored) => {
            onStored(stored);
            setOpened(false);
          }}
        />
      )}
    </Panel>
  );
}

/** The newest passed trials that stand for an issue. */
const evidenceShown = 3;

/** A reference is held to limits that somebody wrote; the usual ones are one touch away. */
function WriteUsualLimits({
  seam,
  task,
  onStored,
}: {
  readonly seam: SeamResource;
  readonly task: Task;
  readonly onStored: (seam: SeamResource) => void;
}) {
  const { limits } = useLimits(seam);
  if (seam.limits !== null) return null;
  return (
    <Box mt="2" display="grid" gap="2">
      <Notice level="caution">{t('view.seams.nobody-wrote-limits')}</Notice>
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
        <Action
          disabled={task.busy}
          onClick={() =>
            void task.run(async () => onStored(await api.saveLimits(seam.id, seam.version, { limits, reason: '' })))
          }
        >
          {t('view.seams.limits-write', { level: limits.level })}
        </Action>
        <Link to={`/seams/${seam.id}/trial`}>{t('view.seams.write-others')}</Link>
      </Box>
    </Box>
  );
}

/** A reason is asked for each: who reads it later was not there. */
function Signing({
  seam,
  newest,
  machines,
  onWritten,
  onStored,
}: {
  readonly seam: SeamResource;
  readonly newest: number;
  readonly machines: readonly MachineResource[];
  /** Limits were written: what is being signed goes on. */
  readonly onWritten: (seam: SeamResource) => void;
  readonly onStored: (seam: SeamResource) => void;
}) {
  const task = useTask();
  const [reason, setReason] = useState('');
  const [machineId, setMachineId] = useState(machines[0]?.id ?? '');
  const hasReason = reason.trim().length >= 3;
  const { data: passed } = useEndpoint('trials', {
    query: { seam: seam.id, machine: machineId, verdict: 'pass', limit: '20' },
  });
  const standing = (passed?.items ?? []).filter((trial) => trial.revision === newest).slice(0, evidenceShown);
  const evidence = standing.map(({ id }) => id);
  return (
    <Box mt="3" pt="3" borderTopWidth="1px" borderColor="line">
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.6fr 1fr' }} alignItems="start">
        <TextField
          label={t('view.machines.why')}
          value={reason}
          maxLength={300}
          onChange={setReason}
          hint={t('view.seams.recorded-by-you')}
        />
        <ChoiceField
          label={t('view.seams.on-which-machine')}
          value={machineId}
          choices={machines.map((machine) => ({ value: machine.id, label: machine.file.name }))}
          onChange={setMachineId}
        />
      </Box>
      <Box fontSize="small" color={evidence.length === 0 ? 'ochre' : 'quiet'} mt="2">
        {evidence.length === 0 ? (
          <>
            {t('view.seams.evidence-none')} <Link to={`/seams/${seam.id}/trial`}>{t('view.seams.evidence-weld')}</Link>
          </>
        ) : (
          <>
            {t('view.seams.evidence', { count: evidence.length })}{' '}
            {standing.map(({ id, at, weldedBy }) => (
              <Box asChild key={id} me="2" color="accent">
                <Link to={`/trials/${id}`}>
                  {shopTime(at)}, {weldedBy}
                </Link>
              </Box>
            ))}
          </>
        )}
      </Box>
      <WriteUsualLimits seam={seam} task={task} onStored={onWritten} />
      <Box display="flex" gap="2" mt="2" flexWrap="wrap">
        <Action
          kind="main"
          disabled={task.busy || !hasReason || machineId === '' || evidence.length === 0 || seam.limits === null}
          onClick={() =>
            void task.run(async () =>
              onStored(await api.issueSeam(seam.id, { revision: newest, machineId, reason, evidence })),
            )
          }
        >
          {t('view.seams.issue-revision', { newest })}
        </Action>
        <Action
          disabled={task.busy || !hasReason}
          onClick={() =>
            void task.run(async () =>
              onStored(await api.lockSeam(seam.id, seam.version, { locked: seam.lock === null, reason })),
            )
          }
        >
          {seam.lock ? t('view.seams.free-the-setting') : t('view.seams.lock-the-setting')}
        </Action>
      </Box>
      <Box textStyle="label" color="quiet" mt="2">
        {t('view.seams.issued-caution')}
      </Box>
      <Refused task={task} word={t('view.seams.not-signed')} />
    </Box>
  );
}
