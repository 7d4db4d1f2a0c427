/** The numbers of one phase, each with what else it means and the sum behind it. */
import { absent, amount, bare } from '@fox-tempo/core/base/messages';
import { t, format, formatWithUnit } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { holdForWarmth, type PhaseSum, type ScoreOf } from '@fox-tempo/core/weld/score';
import { mostTaps, schoolFacts, sequenceRanges, type Phase, type SequenceNumber } from '@fox-tempo/core/weld/sequence';
import { type QuantityName } from '@fox-tempo/core/base/units';
import type { ReactNode } from 'react';
import { useSettings } from '../../../session/settings.ts';
import { Action } from '../../../ui/action.tsx';
import { Tick } from '../../../ui/tick.tsx';
import { ValueField } from '../../../ui/value-field.tsx';
import { GunFields } from './gun-fields.tsx';
import { levelIn, otherLevels, percentFrom, type LevelUnit } from '../staves/levels.ts';
import type { Score } from '../use-score.ts';
import { X } from 'lucide-react';

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
      label={t('view.sequence.trim')}
      of="shortLength"
      step={0.1}
      hint={has ? t('view.sequence.beside-program') : t('view.sequence.no-such-dial', { machine: hasTrims.machine })}
    />
  );
  const sum = whole.totals.phases.find(({ phase }) => phase === selected);
  /** The shortest start that warms the first millimetres; at most 5 s where none does. */
  const workOutHold = () =>
    edit(
      { startS: holdForWarmth(whole.program, whole.thicknessMm, whole.score.lengthMm) ?? 5 },
      t('view.sequence.hold-calculated'),
    );
  switch (selected) {
    case 'pre-gas':
      return (
        <>
          {time('preGasS', t('view.sequence.gas-before'))}
          <Because>{format(whole.gas.before.because)}</Because>
        </>
      );
    case 'run-in':
      return (
        <>
          {level('runInPercent', t('view.sequence.run-in-level'))}
          {time('runInAfterS', t('view.sequence.after-lighting'))}
          <Because>
            {t('view.sequence.run-in-why', {
              ignition: amount('pulseTime', whole.score.ignitionS * 1000, 0),
              runIn: amount('percent', whole.score.rules.sequence.runInPercent, 0),
              distance: amount('shortLength', 5),
            })}
          </Because>
        </>
      );
    case 'start':
      return (
        <>
          {level('startPercent', t('view.sequence.start-level'))}
          {time('startS', isHeld ? t('view.sequence.hold-time') : t('view.sequence.start-time'), <Along sum={sum} />)}
          {trim('startTrimMm', hasTrims.start)}
          <Because>
            {format(whole.ends.first.because)}
            <Action kind="quiet" minHeight="32px" onClick={workOutHold}>
              {t('view.sequence.calculate-hold')}
            </Action>
          </Because>
        </>
      );
    case 'slope-in':
      return (
        <>
          {time('slopeInS', t('view.sequence.slope-to-main'), <Along sum={sum} />)}
          <Because>{t('view.sequence.slope-why', { start: amount('percent', sequence.startPercent, 0) })}</Because>
        </>
      );
    case 'main':
      return (
        <>
          {sequence.trigger === 'spot' && time('spotS', t('view.sequence.spot-time'))}
          {sequence.trigger === 'stitch' && (
            <>
              {time('stitchOnS', t('view.sequence.stitch'), <Along sum={sum} />)}
              {time('stitchOffS', t('view.simulator.pause'))}
            </>
          )}
          <Because>
            {t('view.sequence.main-why', {
              wireFeed: amount('wireFeed', whole.program.wireFeedMPerMin, 1),
              frequency: whole.program.slowBeat ? amount('plain', whole.program.slowBeat.frequencyHz, 1) : absent,
            })}
          </Because>
          {whole.program.gun && <GunFields seamId={props.seamId} gun={whole.program.gun} onGun={score.pointGun} />}
        </>
      );
    case 'second':
      return (
        <>
          {level('secondPercent', t('view.sequence.second-level'))}
          {trim('secondTrimMm', hasTrims.second)}
          <Taps {...props} />
        </>
      );
    case 'slope-out':
      return (
        <>
          {time('slopeOutS', t('view.sequence.slope-to-crater'), <Along sum={sum} />)}
          <Because>{format(whole.ends.last.because)}</Because>
        </>
      );
    case 'end':
      return (
        <>
          {level('endPercent', t('view.sequence.crater-level'))}
          {time('endS', isHeld ? t('view.sequence.hold-time') : t('view.sequence.crater-time'))}
          {trim('endTrimMm', hasTrims.end)}
          <Because>
            {t('view.sequence.because-band', {
              because: whole.crater.because,
              least: bare('phaseTime', whole.crater.bandS[0], 1),
              most: amount('phaseTime', whole.crater.bandS[1], 1),
            })}
            {Math.abs(sequence.endS - whole.crater.holdS) > 0.15 && (
              <Action
                kind="quiet"
                minHeight="32px"
                onClick={() =>
                  edit({ endS: Math.round(whole.crater.holdS * 10) / 10 }, t('view.sequence.crater-time-in-line'))
                }
              >
                {t('view.sequence.use-hold', { hold: amount('phaseTime', whole.crater.holdS, 1) })}
              </Action>
            )}
          </Because>
        </>
      );
    case 'burn-back':
      return (
        <>
          <NumberField {...props} field="burnBackMs" label={t('view.sequence.burn-back')} of="pulseTime" step={5} />
          <Box alignSelf="center">
            <Tick checked={sequence.endPulse} onChange={(endPulse) => edit({ endPulse }, 'endPulse')}>
              {t('view.sequence.last-pulse')}
            </Tick>
          </Box>
          <Because>{t('view.sequence.burn-back-why')}</Because>
        </>
      );
    case 'post-gas':
      return (
        <>
          {time('postGasS', t('view.sequence.gas-after'))}
          <Because>{format(whole.gas.after.because)}</Because>
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
  return <>{t('view.sequence.of-seam', { length: formatWithUnit(sum.mm / sum.count, 'length', units) })}</>;
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
          ? t('view.sequence.start-below-main', { scale: otherLevels(percent, unit, scale) })
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
              label={t('view.sequence.tap-at', { at: at + 1 })}
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
              hint={at % 2 === 0 ? t('view.sequence.tap-level') : t('view.sequence.back-to-main')}
            />
          </Box>
          <Action
            kind="quiet"
            mb="5"
            aria-label={t('view.sequence.remove-tap', { at: at + 1 })}
            onClick={() => score.edit({ tapsAtMm: tapsAtMm.filter((_, index) => index !== at) }, `tap ${at} away`)}
          >
            <X size={18} aria-hidden="true" />
          </Action>
        </Box>
      ))}
      {tapsAtMm.length < mostTaps && (
        <Action
          alignSelf="center"
          onClick={() => {
            const from = tapsAtMm.at(-1) ?? 0;
            score.edit({ tapsAtMm: [...tapsAtMm, Math.round((from + room) / 2)] }, t('view.sequence.tap-added'));
          }}
        >
          {t('view.sequence.add-a-tap')}
        </Action>
      )}
    </>
  );
}
