/** The numbers of one phase, each with what else it means and the sum behind it. */
import { Box } from '@chakra-ui/react';
import { holdForWarmth, type PhaseSum, type ScoreOf } from '@fox-tempo/core/score';
import { mostTaps, schoolFacts, sequenceRanges, type Phase, type SequenceNumber } from '@fox-tempo/core/sequence';
import { formatWithUnit, type QuantityName } from '@fox-tempo/core/units';
import type { ReactNode } from 'react';
import { useSettings } from '../../../lib/settings.ts';
import { Action } from '../../../ui/action.tsx';
import { Tick } from '../../../ui/tick.tsx';
import { ValueField } from '../../../ui/value-field.tsx';
import { GunFields } from './gun-fields.tsx';
import { levelIn, otherLevels, percentFrom, type LevelUnit } from '../staves/levels.ts';
import type { Score } from '../use-score.ts';

export interface PhaseFieldsProps {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
  readonly selected: Phase;
  readonly unit: LevelUnit;
  /** The chosen machine has a trim of its own for start and end. */
  readonly hasTrims: {
    readonly start: boolean;
    readonly end: boolean;
    readonly second: boolean;
    readonly machine: string;
  };
}

export function PhaseFields(props: PhaseFieldsProps): ReactNode {
  const { score, whole, selected, hasTrims } = props;
  const { sequence, edit } = score;
  const { ends } = schoolFacts[sequence.trigger];
  const isHeld = ends === 'held';
  const level = (field: SequenceNumber, label: string) => <LevelField {...props} field={field} label={label} />;
  const time = (field: SequenceNumber, label: string, hint?: ReactNode) => (
    <NumberField {...props} field={field} label={label} of="phaseTime" step={0.1} hint={hint} />
  );
  const trim = (field: SequenceNumber, has: boolean) => (
    <NumberField
      {...props}
      field={field}
      label="Trim"
      of="shortLength"
      step={0.1}
      hint={has ? 'beside the program’s own' : `no such dial on ${hasTrims.machine}`}
    />
  );
  const sum = whole.totals.phases.find(({ phase }) => phase === selected);
  /** The shortest start that warms the first millimetres; at most 5 s where none does. */
  const workOutHold = () =>
    edit({ startS: holdForWarmth(whole.program, whole.thicknessMm, whole.score.lengthMm) ?? 5 }, 'hold worked out');
  switch (selected) {
    case 'pre-gas':
      return (
        <>
          {time('preGasS', 'Gas before')}
          <Because>{whole.gas.before.because}</Because>
        </>
      );
    case 'run-in':
      return (
        <>
          {level('runInPercent', 'Run-in level')}
          {time('runInAfterS', 'After it has lit')}
          <Because>
            Slow wire until the arc lights; full feed on cold plate stubs. Lights after about{' '}
            {(whole.score.ignitionS * 1000).toFixed(0)} ms, {whole.score.rules.sequence.runInPercent.toFixed(0)} % over
            5 mm.
          </Because>
        </>
      );
    case 'start':
      return (
        <>
          {level('startPercent', 'Start level')}
          {time('startS', isHeld ? 'Hold it for' : 'Start time', <Along sum={sum} />)}
          {trim('startTrimMm', hasTrims.start)}
          <Because>
            {whole.ends.first.because}
            <Action kind="quiet" minHeight="32px" onClick={workOutHold}>
              Work out the hold
            </Action>
          </Because>
        </>
      );
    case 'slope-in':
      return (
        <>
          {time('slopeInS', 'Slope to main', <Along sum={sum} />)}
          <Because>From {sequence.startPercent.toFixed(0)} % to main. No slope where the levels are the same.</Because>
        </>
      );
    case 'main':
      return (
        <>
          {sequence.trigger === 'spot' && time('spotS', 'Spot time')}
          {sequence.trigger === 'stitch' && (
            <>
              {time('stitchOnS', 'Stitch', <Along sum={sum} />)}
              {time('stitchOffS', 'Pause')}
            </>
          )}
          <Because>
            Main is the program itself: {whole.program.wireFeedMPerMin.toFixed(1)} m/min
            {whole.program.slowBeat ? `, slow beat ${whole.program.slowBeat.frequencyHz.toFixed(1)} a second` : ''}. It
            is tuned at the arc bench.
          </Because>
          {whole.program.gun && <GunFields seamId={props.seamId} gun={whole.program.gun} onGun={score.pointGun} />}
        </>
      );
    case 'second':
      return (
        <>
          {level('secondPercent', 'Second level')}
          {trim('secondTrimMm', hasTrims.second)}
          <Taps {...props} />
        </>
      );
    case 'slope-out':
      return (
        <>
          {time('slopeOutS', 'Slope to crater', <Along sum={sum} />)}
          <Because>{whole.ends.last.because}</Because>
        </>
      );
    case 'end':
      return (
        <>
          {level('endPercent', 'Crater level')}
          {time('endS', isHeld ? 'Hold it for' : 'Crater time')}
          {trim('endTrimMm', hasTrims.end)}
          <Because>
            {whole.crater.because} Band {whole.crater.bandS[0].toFixed(1)} to {whole.crater.bandS[1].toFixed(1)} s.
            {Math.abs(sequence.endS - whole.crater.holdS) > 0.15 && (
              <Action
                kind="quiet"
                minHeight="32px"
                onClick={() => edit({ endS: Math.round(whole.crater.holdS * 10) / 10 }, 'crater time')}
              >
                Take {whole.crater.holdS.toFixed(1)} s
              </Action>
            )}
          </Because>
        </>
      );
    case 'burn-back':
      return (
        <>
          <NumberField {...props} field="burnBackMs" label="Burn-back" of="pulseTime" step={5} />
          <Box alignSelf="center">
            <Tick checked={sequence.endPulse} onChange={(endPulse) => edit({ endPulse }, 'endPulse')}>
              Last pulse against the ball
            </Tick>
          </Box>
          <Because>
            Longer burn-back leaves a shorter wire. “Start and stop” below shows what the simulated arc leaves.
          </Because>
        </>
      );
    case 'post-gas':
      return (
        <>
          {time('postGasS', 'Gas after')}
          <Because>{whole.gas.after.because}</Because>
        </>
      );
    case 'idle':
      return null;
  }
}

function Because({ children }: { readonly children: ReactNode }) {
  return (
    <Box textStyle="label" color="quiet" gridColumn="1 / -1">
      {children}
    </Box>
  );
}

/** Millimetres of seam that a time is, at the program's pace. */
function Along({ sum }: { readonly sum: PhaseSum | undefined }) {
  const units = useSettings((state) => state.units);
  if (!sum || sum.mm <= 0) return null;
  return <>{`${formatWithUnit(sum.mm / sum.count, 'length', units)} of seam`}</>;
}

function NumberField({
  seamId,
  score,
  field,
  label,
  of,
  step,
  hint,
}: PhaseFieldsProps & {
  readonly field: SequenceNumber;
  readonly label: string;
  readonly of: QuantityName;
  readonly step: number;
  readonly hint?: ReactNode;
}) {
  const { min, max } = sequenceRanges[field];
  return (
    <ValueField
      label={label}
      of={of}
      value={score.sequence[field]}
      keep={`score/${seamId}/${field}`}
      range={[min, max]}
      step={step}
      follows
      hint={hint}
      onValue={(value) => {
        if (value !== null) score.edit({ [field]: value }, field);
      }}
    />
  );
}

/** A level in the unit the welder's machine speaks, the others beside it. */
function LevelField({
  seamId,
  score,
  whole,
  unit,
  field,
  label,
}: PhaseFieldsProps & { readonly field: SequenceNumber; readonly label: string }) {
  const scale = { feedMPerMin: whole.program.wireFeedMPerMin, electrical: whole.electrical };
  const { min, max } = sequenceRanges[field];
  const percent = score.sequence[field];
  const of = { percent: 'percent', feed: 'wireFeed', current: 'current' } as const;
  const isColder = field === 'startPercent' && unit !== 'percent' && percent < 100;
  return (
    <ValueField
      label={label}
      of={of[unit]}
      value={Number(levelIn(percent, unit, scale).toFixed(unit === 'current' ? 0 : 2))}
      keep={`score/${seamId}/${field}/${unit}`}
      range={[Number(levelIn(min, unit, scale).toFixed(1)), Number(levelIn(max, unit, scale).toFixed(1))]}
      step={unit === 'feed' ? 0.1 : 1}
      follows
      hint={
        isColder
          ? `below main: ${otherLevels(percent, unit, scale)}; the start is colder than the weld`
          : otherLevels(percent, unit, scale)
      }
      onValue={(value) => {
        const next = value === null ? undefined : percentFrom(value, unit, scale);
        if (next !== undefined) score.edit({ [field]: Number(next.toFixed(2)) }, field);
      }}
    />
  );
}

function Taps({ seamId, score, whole }: PhaseFieldsProps) {
  const { tapsAtMm } = score.sequence;
  const room = whole.score.lengthMm;
  return (
    <>
      {tapsAtMm.map((mm, at) => (
        <Box key={at} display="flex" gap="1" alignItems="end">
          <Box flex="1">
            <ValueField
              label={`Tap ${at + 1} at`}
              of="length"
              value={mm}
              keep={`score/${seamId}/tap/${at}`}
              range={[Math.floor((tapsAtMm[at - 1] ?? 0) + 1), Math.floor((tapsAtMm[at + 1] ?? room) - 1)]}
              follows
              onValue={(value) => {
                if (value !== null) {
                  score.edit({ tapsAtMm: tapsAtMm.map((one, index) => (index === at ? value : one)) }, `tap ${at}`);
                }
              }}
              hint={at % 2 === 0 ? 'to the second level' : 'back to main'}
            />
          </Box>
          <Action
            kind="quiet"
            mb="5"
            aria-label={`Remove tap ${at + 1}`}
            onClick={() => score.edit({ tapsAtMm: tapsAtMm.filter((_, index) => index !== at) }, `tap ${at} away`)}
          >
            ✕
          </Action>
        </Box>
      ))}
      {tapsAtMm.length < mostTaps && (
        <Action
          alignSelf="center"
          onClick={() => {
            const from = tapsAtMm.at(-1) ?? 0;
            score.edit({ tapsAtMm: [...tapsAtMm, Math.round((from + room) / 2)] }, 'tap added');
          }}
        >
          Add a tap
        </Action>
      )}
    </>
  );
}
