/** Which coupons to weld, the fewest first, and the sweep walked live: what to set, when to move on, where the first crackle came. */
import { questionOf } from '@fox-tempo/core/site';
import { Box } from '@chakra-ui/react';
import { type SeamResource } from '@fox-tempo/contract';
import { modeName, planSeam } from '@fox-tempo/core/setting/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { noTune, stepDial } from '@fox-tempo/core/machine/tuning';
import {
  otherBeat,
  passesInARow,
  passesInRow,
  stepAt,
  sweepBand,
  sweepPlan,
  trialPlan,
  usualStride,
  type OtherBeat,
  type PlanItemKind,
  type SweepPlan,
} from '@fox-tempo/core/evidence/trial';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { useMay } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { fixed, t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { SeamPage, type SeamWork } from '../../parts/seam-frame/index.ts';
import { HistoryLine } from '../../parts/own-welds/index.ts';
import { metronome } from './metronome.ts';
import { Choose } from './measured-fields.tsx';

/** Spread of a good trim before anything was welded on this line, mm; as in what is learned of it. */
const unknownTrimMm = 0.5;

export function TrialPlan() {
  return (
    <SeamPage
      title={({ spec }) => t('view.trials.plan-of-trials', { seam: spec.name })}
      line={() => t('view.trials.the-fewest-coupons')}
      withoutSetting={t('view.trials.no-setting')}
    >
      {(work) => <Planned key={`${work.machine.id} ${work.seam.revision?.number ?? 0}`} {...work} />}
    </SeamPage>
  );
}

function Planned({ seam, machine, program, onSeam }: SeamWork) {
  const { data: learned } = useEndpoint('learned', { params: { id: seam.id }, query: { machine: machine.id } });
  const { data: trials } = useEndpoint('trials', { query: { seam: seam.id, limit: '20' } });
  const here = stepDial(machine.file, program, 'trimMm', 0);
  const next = stepDial(machine.file, program, 'trimMm', 1);
  const stepMm = here && next ? Math.max(next.figure - here.figure, 0.05) : 0.3;
  const trimSdMm = learned?.trim ? Math.hypot(learned.trim.sdA, 0) : unknownTrimMm;
  const { revision } = seam;
  const request = revision && questionOf(revision.spec, revision.choice, revision.site);
  const plan = request && planSeam(request);
  const other = request && plan?.ok ? otherBeat(request, plan.value) : null;
  const items = trialPlan({ trimSdMm, stepMm, hasOtherBeat: other?.ok === true });
  const inRow = passesInRow((trials?.items ?? []).map(({ verdict }) => verdict));
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.4fr)' }}
      alignItems="start"
    >
      <Panel title={t('view.trials.coupons-title')}>
        <Box as="ol" listStyleType="none">
          {items.map(({ kind, coupons, bits, why, onlyIfFailed }) => (
            <Box as="li" key={kind} py="2" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
              <Box display="flex" justifyContent="space-between" gap="2" fontWeight={600}>
                <span>
                  {itemName(kind)}
                  {onlyIfFailed && (
                    <Box as="span" color="quiet" fontWeight={400}>
                      {' '}
                      {t('view.trials.only-failed')}
                    </Box>
                  )}
                </span>
                <Box as="span" whiteSpace="nowrap">
                  {t('view.trials.coupons', { count: coupons })}
                </Box>
              </Box>
              <Box fontSize="small" color="quiet">
                {format(why)} {kind === 'other-beat' && other?.ok && otherWords(other.value)}{' '}
                {bits > 0.05 && t('view.trials.tells-bits', { bits: amount('plain', bits, 1) })}
              </Box>
            </Box>
          ))}
        </Box>
        <Box mt="2" borderTopWidth="1px" borderColor="line" pt="2">
          <Box fontSize="text" fontWeight={600}>
            {inRow >= passesInARow
              ? t('view.trials.three-passed')
              : t('view.trials.in-a-row', { count: inRow, of: passesInARow })}
          </Box>
          <HistoryLine seamId={seam.id} />
          <Box
            asChild
            color="accent"
            fontWeight={600}
            fontSize="small"
            minHeight="44px"
            display="inline-flex"
            alignItems="center"
          >
            <Link to={`/seams/${seam.id}/trial`}>{t('view.trials.record-a-trial')}</Link>
          </Box>
        </Box>
      </Panel>
      <Sweep seam={seam} machine={machine} stepMm={stepMm} onSeam={onSeam} />
    </Box>
  );
}

/** What the other one is set to, beside what stands. */
function otherWords({
  mode,
  plan: { wireFeedMPerMin, travelMmPerMin, slowBeat, heatInputKjPerMm },
}: OtherBeat): string {
  const terms = {
    mode: modeName(mode),
    feed: amount('wireFeed', wireFeedMPerMin, 1),
    travel: amount('travel', travelMmPerMin, 0),
    heat: amount('heatInput', heatInputKjPerMm, 2),
  };
  return slowBeat
    ? t('view.trials.plan.other-double', {
        ...terms,
        low: amount('wireFeed', slowBeat.lowFeedMPerMin, 1),
        high: amount('wireFeed', slowBeat.highFeedMPerMin, 1),
        hz: amount('frequency', slowBeat.frequencyHz, 1),
      })
    : t('view.trials.plan.other', terms);
}

function itemName(kind: PlanItemKind): string {
  return {
    sweep: t('view.trials.sweep.title'),
    point: t('view.trials.the-point'),
    grid: t('view.trials.four-around'),
    'other-beat': t('view.trials.single-against-double'),
    'start-and-stop': t('view.trials.start-and-stop'),
    confirm: t('view.trials.the-same-again'),
  }[kind];
}

const mmPerStep = 25;

function Sweep({
  seam,
  machine,
  stepMm,
  onSeam,
}: {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  readonly stepMm: number;
  readonly onSeam: (seam: SeamResource) => void;
}) {
  const program = seam.revision?.program;
  const [down, setDown] = useState(5);
  const [up, setUp] = useState(4);
  const plan = sweepPlan({
    stepMm,
    stride: usualStride(stepMm),
    down,
    up,
    travelMmPerMin: program?.travelMmPerMin ?? 500,
    mmPerStep,
  });
  const [crackle, setCrackle] = useState<number | null>(null);
  const [long, setLong] = useState<number | null>(null);
  const walk = useWalk(plan);
  if (!program) return null;
  const dialAt = (steps: number) => stepDial(machine.file, program, 'trimMm', steps)?.value;
  const dialId = stepDial(machine.file, program, 'trimMm', 0)?.dialId;
  const label = machine.file.dials.find(({ id }) => id === dialId)?.label ?? t('view.trials.trim');
  const step = walk.seconds === null ? undefined : stepAt(plan, walk.seconds);
  const band = crackle !== null || long !== null ? sweepBand(plan, crackle, long) : null;
  const value = step ? dialAt(step.dialSteps) : dialAt(0);
  return (
    <Panel
      title={t('view.trials.sweep.title')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.trials.plate-size', {
            length: amount('length', plan.lengthMm, 0),
            seconds: amount('phaseTime', plan.secondsPerStep, 1),
          })}
        </Box>
      }
    >
      <Box display="grid" gap="3">
        <Notice level="caution">{t('view.trials.somebody-else-turns')}</Notice>
        <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(130px, 1fr))">
          <ValueField
            label={t('view.trials.steps-shorter')}
            of="plain"
            value={down}
            keep={`sweep/${seam.id}/down`}
            range={[1, 12]}
            whole
            onValue={(next) => setDown(next ?? 4)}
          />
          <ValueField
            label={t('view.trials.steps-longer')}
            of="plain"
            value={up}
            keep={`sweep/${seam.id}/up`}
            range={[1, 12]}
            whole
            onValue={(next) => setUp(next ?? 4)}
          />
        </Box>
        <Marks plan={plan} at={walk.seconds} crackle={crackle} long={long} />
        <Box display="grid" gridTemplateColumns="1fr auto" alignItems="center" gap="2">
          <Box>
            <Box textStyle="label" color="quiet">
              {step
                ? t('view.trials.sweep.step', { at: step.index + 1, of: plan.steps.length })
                : t('view.trials.set-before')}
            </Box>
            <Box textStyle="bigFigure" fontSize="huge" aria-live="assertive">
              {label} {value === undefined ? '–' : fixed(value, Number.isInteger(value) ? 0 : 1)}
            </Box>
          </Box>
          <Action kind="main" minHeight="64px" minWidth="140px" fontSize="lead" onClick={walk.toggle}>
            {walk.seconds === null ? t('view.trials.arc-on') : t('view.trials.stop')}
          </Action>
        </Box>
        <Box display="flex" gap="2" flexWrap="wrap">
          <Choose on={crackle !== null} onClick={() => setCrackle(crackle === null ? (step?.index ?? null) : null)}>
            {crackle === null ? t('view.trials.first-crackle') : t('view.trials.sweep.crackle', { step: crackle + 1 })}
          </Choose>
          <Choose on={long !== null} onClick={() => setLong(long === null ? (step?.index ?? null) : null)}>
            {long === null ? t('view.trials.first-too-long') : t('view.trials.sweep.too-long', { step: long + 1 })}
          </Choose>
        </Box>
        <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(130px, 1fr))">
          <ValueField
            label={t('view.trials.crackle-step')}
            of="plain"
            value={crackle === null ? null : crackle + 1}
            keep={`sweep/${seam.id}/crackle`}
            range={[1, plan.steps.length]}
            whole
            optional
            follows
            onValue={(next) => setCrackle(next === null ? null : next - 1)}
          />
          <ValueField
            label={t('view.trials.long-step')}
            of="plain"
            value={long === null ? null : long + 1}
            keep={`sweep/${seam.id}/long`}
            range={[1, plan.steps.length]}
            whole
            optional
            follows
            onValue={(next) => setLong(next === null ? null : next - 1)}
          />
        </Box>
        {band && <Found seam={seam} band={band} label={label} value={dialAt(band.middleSteps)} onSeam={onSeam} />}
      </Box>
    </Panel>
  );
}

function Found({
  seam,
  band,
  label,
  value,
  onSeam,
}: {
  readonly seam: SeamResource;
  readonly band: ReturnType<typeof sweepBand>;
  readonly label: string;
  readonly value: number | undefined;
  readonly onSeam: (seam: SeamResource) => void;
}) {
  const task = useTask();
  const may = useMay('saveSeam');
  const program = seam.revision?.program;
  const { choice } = seam;
  if (!program || !choice) return null;
  const saveMiddle = () =>
    task.run(async () => {
      const tune = { ...noTune, ...choice.tune };
      onSeam(
        await api.saveSeam(seam.id, seam.version, {
          spec: seam.spec,
          choice: { ...choice, tune: { ...tune, trimMm: program.trimMm + band.middleMm } },
        }),
      );
    });
  return (
    <Box>
      <Box fontSize="body" fontWeight={600}>
        {t('view.trials.sweep.good', {
          low: amount('shortLength', band.lowMm, 1),
          high: amount('shortLength', band.highMm, 1),
          label,
          value: value === undefined ? '–' : fixed(value, Number.isInteger(value) ? 0 : 1),
        })}
      </Box>
      {(band.isOpenBelow || band.isOpenAbove) && (
        <Box fontSize="small" color="quiet">
          {t('view.trials.sweep.open-end')}
        </Box>
      )}
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      <Action mt="2" disabled={!may || task.busy || band.middleSteps === 0} onClick={() => void saveMiddle()}>
        {band.middleSteps === 0 ? t('view.trials.sweep.on-card') : t('view.trials.save-the-middle')}
      </Action>
    </Box>
  );
}

/** The plate from above with its marks, and where the hand should be now. */
function Marks({
  plan,
  at,
  crackle,
  long,
}: {
  readonly plan: SweepPlan;
  readonly at: number | null;
  readonly crackle: number | null;
  readonly long: number | null;
}) {
  return (
    <Box
      display="grid"
      gap="0"
      gridTemplateColumns={`repeat(${plan.steps.length}, minmax(0, 1fr))`}
      role="img"
      aria-label={t('view.trials.marks', { count: plan.steps.length })}
    >
      {plan.steps.map(({ index, dialSteps, fromMm, fromS, toS }) => {
        const isNow = at !== null && at >= fromS && at < toS;
        return (
          <Box
            key={index}
            borderWidth="1px"
            borderColor={isNow ? 'accent' : 'line'}
            bg={index === crackle || index === long ? 'crimsonSoft' : isNow ? 'accentSoft' : 'metal'}
            px="1"
            py="1.5"
            textAlign="center"
            fontSize="label"
          >
            <Box fontFamily="mono" fontWeight={600}>
              {dialSteps > 0 ? '+' : ''}
              {dialSteps}
            </Box>
            <Box color="quiet" fontSize="label">
              {fixed(fromMm, 0)}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** Seconds since the arc was lit, with a tick at every mark; ends by itself. */
function useWalk(plan: SweepPlan) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const total = plan.steps.at(-1)?.toS ?? 0;
  useEffect(() => {
    if (since === null) return undefined;
    const clicks = metronome(plan.secondsPerStep, plan.steps.length);
    const timer = setInterval(() => {
      const moment = performance.now();
      if ((moment - since) / 1000 > total) setSince(null);
      else setNow(moment);
    }, 50);
    return () => {
      clearInterval(timer);
      clicks.stop();
    };
  }, [since, total, plan.secondsPerStep, plan.steps.length]);
  return {
    seconds: since === null ? null : Math.max((now - since) / 1000, 0),
    toggle: () => {
      const moment = performance.now();
      setNow(moment);
      setSince(since === null ? moment : null);
    },
  };
}
