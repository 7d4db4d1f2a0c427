/** One bead with the trim moved along it: the walk by the metronome, the marks, and what was found. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { stepAt, sweepBand, sweepPlan, type SweepPlan, usualStride } from '@fox-tempo/core/evidence/trial';
import { noTune, stepDial } from '@fox-tempo/core/machine/tuning';
import { useEffect, useState } from 'react';
import { api } from '../../data/api.ts';
import { useTask } from '../../lib/use-task.ts';
import { fixed, t } from '../../lib/words.ts';
import { useMay } from '../../session/session.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Choose } from './measured-fields.tsx';
import { metronome } from './metronome.ts';

const mmPerStep = 25;

export function Sweep({
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
