/** A trial written down at the moment it was welded: six taps for a good one, everything else when it is wanted. */
import { Box, chakra } from '@chakra-ui/react';
import { may, type SeamResource, type TrialBody, type TrialCreate } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { backCheck } from '@fox-tempo/core/evidence/judge';
import { timedFigures, trialVerdict } from '@fox-tempo/core/evidence/trial';
import { arcOf } from '@fox-tempo/core/machine/dials';
import { areaForTravel, filletLegMm } from '@fox-tempo/core/setting/bead';
import { jointRule, planSetting } from '@fox-tempo/core/setting/plan';
import { questionOf } from '@fox-tempo/core/site';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { useRefused } from '../../data/outbox/index.ts';
import { useTask } from '../../lib/use-task.ts';
import { format, t } from '../../lib/words.ts';
import { HistoryLine, VerdictMark } from '../../parts/own-welds/index.ts';
import { SeamPage, type SeamWork } from '../../parts/seam-frame/index.ts';
import { session, useMay, useMe } from '../../session/session.ts';
import { useSettings } from '../../session/settings.ts';
import { useLimits } from '../../sheet/use-limits.ts';
import { WayOn } from '../../ui/way-on.tsx';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { useAfter, useOnce } from './after-trial.ts';
import { blankDraft, bodyOf, type Draft, draftOf, withBead } from './draft.ts';
import { LastPassed } from './last-passed.tsx';
import { LimitsForm } from './limits-form.tsx';
import { LookedAt } from './looked-at.tsx';
import { Legs, More, Panelled } from './measured-fields.tsx';
import { PhotoPicker, type Photos } from './photos.tsx';
import { StandInPanel } from './stand-in-panel.tsx';
import { Stopwatch } from './stopwatch.tsx';
import { VerdictLines } from './verdict-lines.tsx';

export function TrialRecord() {
  return (
    <SeamPage
      title={({ spec }) => t('view.trials.title', { seam: spec.name })}
      line={({ revision }) =>
        revision ? t('view.seams.revision', { number: revision.number }) : t('view.memory.no-setting')
      }
      withoutSetting={t('view.trials.no-setting')}
    >
      {(work) => <Record key={work.machine.id} {...work} />}
    </SeamPage>
  );
}

function Record({ seam, machines, machine, program, onSeam }: SeamWork) {
  const { spec } = seam;
  const me = useMe();
  const mayRecord = useMay('addTrial');
  const chooseMachine = useSettings((state) => state.chooseMachine);
  const navigate = useNavigate();
  const task = useTask();
  const [asked] = useSearchParams();
  const after = useAfter(asked.get('after'), asked.get('move'));
  const formKey = `trial/${seam.id}`;
  const fresh = useMemo(() => ({ ...blankDraft, lengthMm: Math.min(spec.lengthMm, 300) }), [spec.lengthMm]);
  const [draft, setDraft, forget] = useKeptForm<Draft>(formKey, fresh);
  const [photos, setPhotos] = useState<Photos>([]);
  const [waits, setWaits] = useState(false);
  const refused = useRefused(asked.get('refused'));
  const [insists, setInsists] = useState(false);
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const before = refused.entry?.name === 'addTrial' ? refused.entry : null;
  useOnce(before !== null, () => {
    if (!before) return;
    const { body: kept, weldedBy } = before.body as TrialCreate;
    setDraft(draftOf(kept, weldedBy ?? before.by?.id ?? null));
    setPhotos(before.files);
  });
  const dialsOfMove = after?.dials;
  useOnce(dialsOfMove !== undefined && Object.keys(draft.dials).length === 0, () =>
    change({ dials: dialsOfMove ?? {} }),
  );

  const { limits, presetOf } = useLimits(seam);
  const powerW = useMemo(() => plannedPowerW(seam), [seam]);
  const body = bodyOf(draft);
  const verdict = trialVerdict(limits, body);
  const isFillet = jointRule(spec.joint).isFillet;
  const { wire } = arcOf(program, program.ctwdMm, program.trimMm);
  const legFor = (travel: number) => filletLegMm(areaForTravel(wire, program.wireFeedMPerMin, travel));
  const doubt = useDoubt(body, (travel) => areaForTravel(wire, program.wireFeedMPerMin, travel));
  const people = session.getState().state?.people ?? [];
  const welders = people.filter(({ role }) => may('addTrial', role));
  const plannedTravel = program.travelMmPerMin;

  const save = async () => {
    const went = await task.run(() =>
      refused.watch(async () => {
        const sent = await api.addTrial(
          {
            seamId: seam.id,
            machineId: machine.id,
            ...(seam.revision ? { revision: seam.revision.number } : {}),
            ...(draft.weldedBy === null || draft.weldedBy === me?.id ? {} : { weldedBy: draft.weldedBy }),
            deviceAt: new Date().toISOString(),
            body: { ...body, circuitMOhm: machine.file.circuitMOhm, ...(after ? { after: after.record } : {}) },
          },
          { files: photos, replaces: refused.key },
        );
        refused.forget();
        forget();
        forgetTexts(`trial/${seam.id}/`);
        setPhotos([]);
        setInsists(false);
        if (sent) await navigate(`/trials/${sent.id}`);
        else setWaits(true);
      }),
    );
    if (went) window.scrollTo(0, 0);
  };

  return (
    <>
      {waits && <Notice level="note">{t('view.trials.kept-on-device')}</Notice>}
      {after && (
        <Notice level="note" word={t('view.trials.after-the-move')}>
          {format(after.move.words)}{' '}
          {t('view.trials.expected', {
            current: amount('current', after.move.predicted.displayedCurrentA, 0),
            leg: amount('shortLength', after.move.predicted.legMm, 1),
          })}
        </Notice>
      )}
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 292px' }} alignItems="start">
        <Box display={{ base: 'contents', lg: 'grid' }} gap="3" minWidth={0}>
          <Panel order={1}>
            <Stopwatch
              seamId={seam.id}
              seconds={draft.seconds}
              lengthMm={draft.lengthMm}
              by={draft.by}
              plannedMmPerMin={plannedTravel}
              powerW={powerW}
              beatHz={program.slowBeat?.frequencyHz}
              legFor={isFillet ? legFor : null}
              onChange={change}
            />
          </Panel>
          <Panel title={t('view.trials.looked-at')} order={1}>
            <LookedAt symptoms={draft.symptoms} onChange={(symptoms) => change({ symptoms })} />
          </Panel>
          {isFillet && (
            <Panel order={1}>
              <Legs seamId={seam.id} draft={draft} onChange={change} />
            </Panel>
          )}
          <Panel title={t('view.trials.measured')} order={3}>
            <Panelled seamId={seam.id} draft={draft} onChange={change} />
            <Details title={t('view.trials.more-to-measure')}>
              <More seamId={seam.id} draft={draft} onChange={change} />
            </Details>
          </Panel>
          <Panel title={t('view.trials.photos-and-note')} order={3}>
            <Box display="grid" gap="2">
              <PhotoPicker photos={photos} onChange={setPhotos} />
              <chakra.textarea
                aria-label={t('view.trials.note')}
                placeholder={t('view.trials.what-else')}
                value={draft.note}
                maxLength={1000}
                rows={2}
                p="2"
                bg="surface"
                borderWidth="1px"
                borderColor="edge"
                borderRadius="3px"
                fontSize="text"
                onChange={(event) => change({ note: event.target.value })}
              />
            </Box>
          </Panel>
        </Box>
        <Box display={{ base: 'contents', lg: 'grid' }} gap="3" minWidth={0}>
          <Panel
            order={2}
            title={t('view.trials.verdict')}
            aside={<VerdictMark verdict={verdict.verdict} byEyeOnly={verdict.byEyeOnly} />}
          >
            <VerdictLines verdict={verdict} />
            {doubt && !insists && (
              <Box mt="2">
                <Notice level="caution" word={t('view.trials.does-this-fit')}>
                  {format(doubt)}
                </Notice>
              </Box>
            )}
            {task.problem !== null && (
              <Box mt="2">
                <Notice level="refusal" urgent>
                  {task.problem}
                </Notice>
              </Box>
            )}
            <Box mt="2" display="grid" gap="2">
              {doubt && !insists ? (
                <Action onClick={() => setInsists(true)}>{t('view.trials.lead-measured-again')}</Action>
              ) : (
                <Action kind="main" minHeight="56px" disabled={!mayRecord || task.busy} onClick={() => void save()}>
                  {t('view.trials.record-this-trial')}
                </Action>
              )}
              <Action
                kind="quiet"
                onClick={() => {
                  forget();
                  forgetTexts(`trial/${seam.id}/`);
                  setPhotos([]);
                }}
              >
                {t('view.trials.clear')}
              </Action>
            </Box>
          </Panel>
          <Panel order={4}>
            <Box display="grid" gap="2">
              <ChoiceField
                label={t('view.trials.welded-by')}
                value={draft.weldedBy ?? me?.id ?? ''}
                choices={welders.map(({ id, name }) => ({ value: id, label: name }))}
                onChange={(weldedBy) => change({ weldedBy })}
              />
              <ChoiceField
                label={t('view.seams.on-which-machine')}
                value={machine.id}
                choices={machines.map(({ id, file }) => ({ value: id, label: file.name }))}
                onChange={(next) => chooseMachine(next, seam.id)}
              />
              <HistoryLine seamId={seam.id} />
              <LastPassed seam={seam} machine={machine} dials={draft.dials} />
              <WayOn to={`/seams/${seam.id}/trial-plan`} fontSize="small">
                {t('view.trials.plan-the-trials')}
              </WayOn>
            </Box>
          </Panel>
          <Details title={t('view.trials.limits-level', { level: limits.level })} inPanel>
            <LimitsForm key={seam.version} seam={seam} limits={limits} presetOf={presetOf} onSaved={onSeam} />
          </Details>
        </Box>
      </Box>
      {session.getState().state?.shop.demo === true && (
        <StandInPanel
          key={after?.record.move ?? ''}
          seam={seam}
          machine={machine}
          dials={draft.dials}
          onDials={(dials) => change({ dials })}
          lengthMm={draft.lengthMm ?? 240}
          weldedBy={draft.weldedBy}
          plateC={draft.plateC}
          mends={after?.record.mends ?? []}
          onBead={(bead) => {
            setDraft(withBead(draft, bead));
            // What was found stands in the form above.
            window.scrollTo(0, 0);
          }}
        />
      )}
    </>
  );
}

/** A leg that does not fit the metal fed is asked back, not refused. */
function useDoubt({ measured, timing }: TrialBody, fedMm2: (travelMmPerMin: number) => number) {
  if (!measured.legsMm || !timing) return null;
  const { travelMmPerMin } = timedFigures(timing, {});
  return backCheck(measured.legsMm, fedMm2(travelMmPerMin)).words;
}

export function Details({
  title,
  inPanel = false,
  children,
}: {
  readonly title: string;
  readonly inPanel?: boolean;
  readonly children: React.ReactNode;
}) {
  const content = (
    <Box asChild>
      <details>
        <Box
          asChild
          cursor="pointer"
          fontWeight={600}
          fontSize="small"
          minHeight="44px"
          display="flex"
          alignItems="center"
        >
          <summary>{title}</summary>
        </Box>
        {children}
      </details>
    </Box>
  );
  return inPanel ? (
    <Panel py="1" order={5}>
      {content}
    </Panel>
  ) : (
    content
  );
}

/** True power of the saved setting, the mean of volts times amperes, as on the sheet; 0 where it cannot be planned any more. */
function plannedPowerW({ revision }: SeamResource): number {
  const plan = revision && planSetting(questionOf(revision.spec, revision.choice, revision.site));
  return plan?.ok ? plan.value.meanPowerW : 0;
}
