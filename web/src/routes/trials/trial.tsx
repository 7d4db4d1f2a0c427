/** One trial whole: what was found line by line, what was expected, what is likely wrong, and the one next move. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, Trial } from '@fox-tempo/contract';
import { outsideProcedure } from '@fox-tempo/core/evidence/procedure';
import { timedFigures, trialVerdict } from '@fox-tempo/core/evidence/trial';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { coldPlateC } from '@fox-tempo/core/setting/plan';
import { useState } from 'react';
import { Link, useLoaderData, useNavigate, useParams } from 'react-router';
import { api, trialRecordAddress } from '../../data/api.ts';
import { useEndpoint, useEndpointList } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { format, spoken, t } from '../../lib/words.ts';
import { VerdictMark } from '../../parts/own-welds/index.ts';
import { LookFirst } from '../../parts/wear/index.ts';
import { useMay, useMe } from '../../session/session.ts';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Correction } from './correction.tsx';
import { Diagnosis } from './diagnosis.tsx';
import { FoundBesidePlanned, WhatWasSeen } from './found-beside-planned.tsx';
import { PhotoView } from './photo-view.tsx';
import { VerdictLines } from './verdict-lines.tsx';

export async function loadTrial({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [trial, machines] = await Promise.all([
    api.trial(params.id ?? '', request.signal),
    api.machines(request.signal),
  ]);
  return { trial, machines };
}

export function TrialView() {
  const { trial, machines } = useLoaderData<Awaited<ReturnType<typeof loadTrial>>>();
  const { id = '' } = useParams();
  return <OneTrial key={id} trial={trial} machine={machines.find((one) => one.id === trial.machineId)} />;
}

function OneTrial({ trial, machine }: { readonly trial: Trial; readonly machine: MachineResource | undefined }) {
  const navigate = useNavigate();
  const { data: diagnosis, error } = useEndpoint('diagnosis', { params: { id: trial.id } });
  const verdict = trialVerdict(trial.limits, trial.body);
  return (
    <Page
      title={trial.seamName}
      line={t('view.trials.line', {
        welder: trial.weldedBy,
        machine: trial.machineName,
        at: shopTime(trial.deviceAt ?? trial.at),
        revision: trial.revision,
      })}
      trail={[
        { name: t('view.app.trials'), to: '/trials' },
        { name: trial.seamName, to: `/seams/${trial.seamId}/trial` },
      ]}
      acts={
        <>
          <VerdictMark verdict={verdict.verdict} byEyeOnly={verdict.byEyeOnly} />
          <RecordLink id={trial.id} />
          <Action onClick={() => void navigate(`/trials/compare?ids=${trial.id}`)}>{t('view.trials.compare')}</Action>
          <Action
            kind={verdict.verdict === 'pass' ? 'main' : 'plain'}
            onClick={() => void navigate(`/seams/${trial.seamId}/trial`)}
          >
            {t('view.trials.weld-another')}
          </Action>
        </>
      }
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.15fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="3" minWidth={0}>
        <ClockTrouble trial={trial} />
        <OutsideProcedure trial={trial} machine={machine} />
        <Panel title={t('view.trials.against-the-limits', { level: trial.limits.level })}>
          <VerdictLines verdict={verdict} />
        </Panel>
        <FoundBesidePlanned trial={trial} planned={diagnosis?.predicted} />
        <WhatWasSeen trial={trial} />
        {trial.attachments.length > 0 && (
          <Panel title={t('view.trials.photos')}>
            <Box display="grid" gap="3">
              {trial.attachments.map(({ sha256, name }) => (
                <PhotoView key={sha256} sha256={sha256} name={name} />
              ))}
            </Box>
          </Panel>
        )}
        <Forms trial={trial} />
      </Box>
      {diagnosis ? (
        <Box display="grid" gap="3" minWidth={0}>
          {verdict.verdict !== 'pass' && <LookFirst machineId={trial.machineId} />}
          <Diagnosis trial={trial} machine={machine} diagnosis={diagnosis} />
        </Box>
      ) : error ? (
        <Notice level="caution" word={t('view.trials.not-judged')}>
          {error.message}
        </Notice>
      ) : (
        <Box color="quiet" role="status" p="3">
          {t('view.trials.judging')}
        </Box>
      )}
    </Page>
  );
}

const clockMs = 10 * 60_000;

/** A device whose clock runs ahead; what is behind may simply have waited. */
function ClockTrouble({ trial: { at, deviceAt } }: { readonly trial: Trial }) {
  if (deviceAt === null) return null;
  const apart = Date.parse(deviceAt) - Date.parse(at);
  if (apart > clockMs)
    return (
      <Notice level="caution" word={t('view.trials.clock')}>
        {t('view.trials.device-clock', { at: shopTime(deviceAt) })}
      </Notice>
    );
  return apart < -clockMs ? <Notice level="note">{t('view.trials.offline', { at: shopTime(deviceAt) })}</Notice> : null;
}

/** As on paper, on A4. */
function RecordLink({ id }: { readonly id: string }) {
  const units = useSettings((state) => state.units);
  return (
    <Box
      asChild
      color="accent"
      fontWeight={600}
      fontSize="text"
      minHeight="44px"
      px="2"
      display="inline-flex"
      alignItems="center"
    >
      <a href={trialRecordAddress(id, { language: spoken().language, units })} target="_blank" rel="noreferrer">
        {t('view.trials.print-the-record')}
      </a>
    </Box>
  );
}

/** Where it left the procedure's ranges: it is evidence for another setting then. */
function OutsideProcedure({
  trial,
  machine,
}: {
  readonly trial: Trial;
  readonly machine: MachineResource | undefined;
}) {
  const { data: seam } = useEndpoint('seam', { params: { id: trial.seamId } });
  const { data: revisions } = useEndpointList('revisions', { params: { id: trial.seamId } });
  const revision = revisions?.find(({ number }) => number === trial.revision);
  if (!seam || !revision) return null;
  const { body } = trial;
  const window = seam.windows.find((one) => one.machineId === trial.machineId && one.revision === trial.revision);
  const outside = outsideProcedure(
    revision.program,
    coldPlateC,
    {
      loaded: body.loaded,
      dials: body.dials,
      travelMmPerMin: body.timing && timedFigures(body.timing, {}).travelMmPerMin,
      ctwdMm: body.ctwdMm,
      plateC: body.plateC,
    },
    window && machine && { machine: asStands(machine), window: window.window },
  );
  if (outside.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.trials.outside-the-procedure')}>
      {outside.map(format).join(' ')} <Link to={`/seams/${trial.seamId}/procedure`}>{t('view.trials.the-ranges')}</Link>
      .
    </Notice>
  );
}

/** Corrections and taking back: further rows of the record, nothing is rewritten. */
function Forms({ trial }: { readonly trial: Trial }) {
  const me = useMe();
  const isOwn = me?.id === trial.weldedById || me?.name === trial.recordedBy;
  const may = useMay('correctTrial', ...(isOwn ? [] : (['anothers'] as const)));
  const task = useTask();
  const navigate = useNavigate();
  const [why, setWhy] = useState<string | null>(null);
  const [legs, setLegs] = useState(false);
  return (
    <Box display="grid" gap="2">
      {trial.corrected.length > 0 && (
        <Box fontSize="small" color="quiet">
          {t('view.trials.corrected-times', { count: trial.corrected.length })}{' '}
          {trial.correction &&
            [
              t('view.outbox.by-at', { by: trial.correction.by, at: shopTime(trial.correction.at) }),
              trial.correction.why,
            ]
              .filter((one) => one !== '')
              .join(': ')}
        </Box>
      )}
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      {may && (
        <Box display="flex" gap="2" flexWrap="wrap" alignItems="end">
          <Action onClick={() => setLegs(!legs)} aria-expanded={legs}>
            {t('view.trials.correct')}
          </Action>
          {why === null ? (
            <Action onClick={() => setWhy('')}>{t('view.trials.take-it-back')}</Action>
          ) : (
            <>
              <Box flex="1 1 200px">
                <TextField label={t('view.trials.why')} value={why} maxLength={300} onChange={setWhy} />
              </Box>
              <Action
                disabled={why.trim() === '' || task.busy}
                onClick={() =>
                  void task.run(async () => {
                    if (await api.observe({ kind: 'withdrawal', body: { why }, corrects: trial.id }))
                      await navigate('/trials');
                  })
                }
              >
                {t('view.trials.take-back')}
              </Action>
            </>
          )}
        </Box>
      )}
      {legs && <Correction trial={trial} onDone={() => setLegs(false)} />}
    </Box>
  );
}
