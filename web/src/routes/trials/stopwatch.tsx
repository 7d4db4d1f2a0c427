/** Seconds and millimetres: one big button or the space bar, and at once the travel, the leg it should make, heat and ripples. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import { timedFigures, timerErrorS, timers, type Timer } from '@fox-tempo/core/evidence/trial';
import { useEffect, useRef, useState } from 'react';
import { fixed, formatWithUnit, t } from '../../lib/words.ts';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { metronome } from './metronome.ts';

export interface StopwatchProps {
  readonly seamId: string;
  readonly seconds: number | null;
  readonly lengthMm: number | null;
  readonly by: Timer;
  readonly plannedMmPerMin: number;
  readonly powerW: number;
  readonly beatHz: number | undefined;
  /** Leg of a fillet that this travel would make, mm; null in a butt. */
  readonly legFor: ((travelMmPerMin: number) => number | null) | null;
  readonly onChange: (change: {
    readonly seconds?: number | null;
    readonly lengthMm?: number | null;
    readonly by?: Timer;
  }) => void;
}

export function Stopwatch(props: StopwatchProps) {
  const { seamId, seconds, lengthMm, by, plannedMmPerMin, onChange } = props;
  const units = useSettings((state) => state.units);
  const [clicks, setClicks] = useState(false);
  const { running, shown, toggle } = useWatch(seconds, (taken) => onChange({ seconds: taken, by: 'helper' }));
  const markS = (60 * markMm) / plannedMmPerMin;
  useClicks(running && clicks, markS, lengthMm === null ? 0 : Math.ceil(lengthMm / markMm));
  const timed =
    shown !== null && shown > 0.2 && lengthMm !== null ? timedFigures({ seconds: shown, lengthMm, by }, props) : null;
  const leg = timed && props.legFor ? props.legFor(timed.travelMmPerMin) : null;
  return (
    <Box display="grid" gap="2" gridTemplateColumns={{ base: '1fr', sm: '196px minmax(0, 1fr)' }}>
      <Action
        kind={running ? 'main' : 'plain'}
        minHeight="112px"
        fontSize="lead"
        flexDirection="column"
        aria-label={running ? t('view.trials.stop-the-watch') : t('view.trials.start-the-watch')}
        onClick={toggle}
      >
        <Box textStyle="bigFigure" fontSize="huge">
          {fixed(shown ?? 0, 1)}{' '}
          <Box as="span" fontSize="lead">
            s
          </Box>
        </Box>
        {running ? t('view.trials.stop') : t('view.trials.start-watch')}
        <Box fontSize="label" fontWeight={400}>
          {t('view.trials.space-bar')}
        </Box>
      </Action>
      <Box display="grid" gap="2" minWidth={0} alignContent="start">
        <Box display="grid" gap="2" gridTemplateColumns="repeat(3, minmax(0, 1fr))">
          <ValueField
            label={t('view.trials.length')}
            of="length"
            value={lengthMm}
            keep={`trial/${seamId}/length`}
            range={[5, 10_000]}
            step={5}
            optional
            onValue={(value) => onChange({ lengthMm: value })}
          />
          <ValueField
            label={t('view.trials.seconds')}
            of="phaseTime"
            value={seconds}
            keep={`trial/${seamId}/seconds`}
            range={[0.3, 3600]}
            step={0.5}
            optional
            follows
            onValue={(value) => onChange({ seconds: value, by: by === 'helper' ? 'typed' : by })}
          />
          <ChoiceField
            label={t('view.trials.timed-by')}
            value={by}
            choices={timers.map((timer) => ({ value: timer, label: timerName(timer) }))}
            onChange={(next) => onChange({ by: next })}
            hint={t('view.trials.photo.error', { error: amount('phaseTime', timerErrorS[by], 1) })}
          />
        </Box>
        <Box fontSize="small" color="quiet" aria-live="polite">
          {timed ? (
            <>
              <Box as="span" textStyle="figure" color="ink">
                {formatWithUnit(timed.travelMmPerMin, 'travel', units, 0)}
              </Box>{' '}
              ± {formatWithUnit(timed.errorMmPerMin, 'travel', units, 0)},{' '}
              {t('view.trials.of-the-plan', {
                share: amount('percent', (100 * timed.travelMmPerMin) / plannedMmPerMin, 0),
                planned: amount('travel', plannedMmPerMin, 0),
              })}
              {leg !== null && <> · {t('view.trials.leg-expected', { leg: amount('shortLength', leg, 1) })}</>}
              {timed.heatInputKjPerMm !== null && <> · {formatWithUnit(timed.heatInputKjPerMm, 'heatInput', units)}</>}
              {timed.rippleMm !== null && (
                <> · {t('view.trials.ripple-pitch', { pitch: amount('shortLength', timed.rippleMm, 1) })}</>
              )}
            </>
          ) : lengthMm !== null ? (
            t('view.trials.marks-hint', {
              length: amount('length', markMm, 0),
              seconds: amount('phaseTime', markS, 1),
            })
          ) : (
            t('view.trials.give-a-length')
          )}
        </Box>
        <Box
          asChild
          display="inline-flex"
          alignItems="center"
          gap="2"
          minHeight="44px"
          fontSize="small"
          cursor="pointer"
        >
          <label>
            <input type="checkbox" checked={clicks} onChange={(event) => setClicks(event.target.checked)} />
            {t('view.trials.clicks')}
          </label>
        </Box>
      </Box>
    </Box>
  );
}

/** Marks along the plate that a hand can be held against, mm. */
const markMm = 50;

/** Clicks while the watch runs: the hand should be at a mark at each. */
function useClicks(on: boolean, everyS: number, marks: number): void {
  useEffect(() => {
    if (!on) return undefined;
    const clicks = metronome(everyS, marks);
    return () => clicks.stop();
  }, [on, everyS, marks]);
}

export function timerName(timer: Timer): string {
  const names = {
    helper: t('view.trials.a-helpers-tap'),
    typed: t('view.trials.typed-seconds'),
    machine: t('view.trials.timer-machine'),
    'stand-in': t('view.trials.timer-simulator'),
  };
  return names[timer];
}

/** Runs while pressed once, and stops at the next press; the space bar is the same button. */
function useWatch(taken: number | null, onTaken: (seconds: number) => void) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const toggle = () => {
    const moment = performance.now();
    if (since === null) {
      setSince(moment);
      setNow(moment);
    } else {
      setSince(null);
      onTaken(Math.round((moment - since) / 100) / 10);
    }
  };
  const latest = useRef(toggle);
  useEffect(() => {
    latest.current = toggle;
  });
  useEffect(() => {
    if (since === null) return undefined;
    const timer = setInterval(() => setNow(performance.now()), 100);
    return () => clearInterval(timer);
  }, [since]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (
        event.key !== ' ' ||
        event.repeat ||
        target.closest('input, textarea, select, button, a, summary, [tabindex]')?.matches(':not(main)')
      )
        return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return { running: since !== null, shown: since === null ? taken : (now - since) / 1000, toggle };
}
