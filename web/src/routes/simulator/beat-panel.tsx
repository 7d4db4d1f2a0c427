/** Double pulse: mean, high and low together, the ripples to scale, a wished pitch solved backwards, a metronome, and the beat in all three schools. */
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { beatForPitchHz, type CanonicalBeat, ripplePitchMm } from '@fox-tempo/core/setting/double-pulse';
import type { Plan } from '@fox-tempo/core/setting/plan';
import type { Program } from '@fox-tempo/core/setting/program';
import { useEffect, useRef, useState } from 'react';
import { t } from '../../lib/words.ts';
import { clickSound } from '../../parts/arc-view/index.ts';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { cssColour } from '../../ui/theme/colours.ts';
import { ValueField } from '../../ui/value-field.tsx';
import { BeatLevels } from './beat-levels.tsx';
import { Schools } from './beat-schools.tsx';
import type { Setting } from './use-setting.ts';

export function BeatPanel({
  setting,
  program,
  plan,
  machines,
  circuitMOhm,
}: {
  readonly setting: Setting;
  readonly program: Program;
  readonly plan: Plan;
  readonly circuitMOhm: number;
  readonly machines: readonly MachineResource[];
}) {
  const beat = program.slowBeat;
  if (!beat) return null;
  const keep = `beat/${setting.seam.id}`;
  const change = (next: Partial<{ mean: number; depthPercent: number; sharePercent: number; hz: number }>) => {
    const mean = next.mean ?? beat.meanFeedMPerMin;
    const share = (next.sharePercent ?? 100 * beat.highShare) / 100;
    const depth = (next.depthPercent ?? depthOf(beat)) / 100;
    // The swing in m/min from high to low, placed so that the mean stays.
    const swing = 2 * depth * mean;
    setting.setBeat({
      meanFeedMPerMin: mean,
      highFeedMPerMin: mean + (1 - share) * swing,
      lowFeedMPerMin: mean - share * swing,
      highShare: share,
      frequencyHz: next.hz ?? beat.frequencyHz,
    });
  };
  const pitch = ripplePitchMm(program.travelMmPerMin, beat.frequencyHz);
  return (
    <Panel
      title={t('view.simulator.double-pulse')}
      aside={<Metronome hz={beat.frequencyHz} highShare={beat.highShare} />}
    >
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(5, 1fr)' }} gap="2.5">
        <ValueField
          label={t('view.simulator.mean-feed')}
          of="wireFeed"
          value={round(beat.meanFeedMPerMin)}
          keep={`${keep}/mean`}
          range={[0.5, 25]}
          step={0.1}
          onValue={(mean) => mean !== null && change({ mean })}
        />
        <ValueField
          label={t('view.simulator.swing-each-way')}
          of="percent"
          value={round(depthOf(beat))}
          keep={`${keep}/depth`}
          range={[0, 60]}
          step={1}
          onValue={(depthPercent) => depthPercent !== null && change({ depthPercent })}
        />
        <ValueField
          label={t('view.simulator.share-at-high')}
          of="percent"
          value={round(100 * beat.highShare)}
          keep={`${keep}/share`}
          range={[10, 90]}
          step={5}
          onValue={(sharePercent) => sharePercent !== null && change({ sharePercent })}
        />
        <ValueField
          label={t('view.simulator.slow-rate')}
          of="frequency"
          value={round(beat.frequencyHz)}
          keep={`${keep}/hz`}
          range={[0.2, 10]}
          step={0.1}
          onValue={(hz) => hz !== null && change({ hz })}
        />
        <ValueField
          label={t('view.simulator.ripple-wished')}
          of="shortLength"
          value={round(pitch)}
          keep={`${keep}/pitch`}
          range={[0.5, 12]}
          step={0.1}
          hint={t('view.simulator.at', { travel: amount('travel', program.travelMmPerMin, 0) })}
          onValue={(wished) =>
            wished !== null &&
            change({ hz: Math.min(Math.max(beatForPitchHz(program.travelMmPerMin, wished), 0.2), 10) })
          }
        />
      </Box>
      <Box fontSize="text" mt="2">
        {t('view.simulator.mean-high-low', {
          mean: amount('wireFeed', beat.meanFeedMPerMin, 1),
          high: amount('wireFeed', beat.highFeedMPerMin, 1),
          low: amount('wireFeed', beat.lowFeedMPerMin, 1),
        })}
      </Box>
      <BeatLevels program={program} circuitMOhm={circuitMOhm} />
      <Ripples pitchMm={pitch} beat={beat} legMm={plan.legMm ?? 4} />
      <Schools beat={beat} program={program} plan={plan} machines={machines} />
    </Panel>
  );
}

function round(value: number): number {
  return Number(value.toFixed(2));
}

/** Half the swing as a share of the mean, percent. */
function depthOf(beat: CanonicalBeat): number {
  return (100 * (beat.highFeedMPerMin - beat.lowFeedMPerMin)) / 2 / beat.meanFeedMPerMin;
}

/** Ripples along 40 mm of bead, to scale. */
function Ripples({
  pitchMm,
  beat,
  legMm,
}: {
  readonly pitchMm: number;
  readonly beat: CanonicalBeat;
  readonly legMm: number;
}) {
  const px = 9;
  const length = 40;
  const count = Math.floor(length / pitchMm);
  const half = ((legMm * 1.2 * Math.sqrt(beat.highFeedMPerMin / beat.meanFeedMPerMin)) / 2) * px;
  return (
    <chakra.svg
      viewBox={`0 0 ${length * px + 60} 76`}
      width="100%"
      maxWidth="480px"
      role="img"
      aria-label={t('view.simulator.bead-picture', {
        length: amount('shortLength', length),
        pitch: amount('shortLength', pitchMm, 2),
      })}
      my="1"
    >
      {Array.from({ length: count }, (_, at) => (
        <ellipse
          key={at}
          cx={20 + (at + 0.5) * pitchMm * px}
          cy="32"
          rx={Math.max(half * 0.75, pitchMm * px * 0.8)}
          ry={half}
          fill={cssColour('metal')}
          stroke={cssColour('metalEdge')}
          strokeWidth="1.3"
        />
      ))}
      <path d={`M10 66v4h${10 * px}v-4`} fill="none" stroke={cssColour('ink')} />
      <text x={10 + 10 * px + 6} y="71" style={{ fontSize: '11px' }} fill={cssColour('ink')}>
        {t('view.simulator.ripple', { scale: amount('shortLength', 10), pitch: amount('shortLength', pitchMm, 2) })}
      </text>
    </chakra.svg>
  );
}

/** Sound and flash at the beat, to practise the pace against. */
function Metronome({ hz, highShare }: { readonly hz: number; readonly highShare: number }) {
  const [on, setOn] = useState(false);
  const lamp = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    if (!on) return undefined;
    const periodMs = 1000 / hz;
    let off: ReturnType<typeof setTimeout> | undefined;
    const beat = () => {
      clickSound();
      // Felt in the hand where the device can: as long as the level is high.
      navigator.vibrate?.(Math.round(periodMs * highShare * 0.6));
      if (lamp.current) lamp.current.style.opacity = '1';
      off = setTimeout(() => {
        if (lamp.current) lamp.current.style.opacity = '0.15';
      }, periodMs * highShare);
    };
    beat();
    const timer = setInterval(beat, periodMs);
    return () => {
      clearInterval(timer);
      clearTimeout(off);
    };
  }, [on, hz, highShare]);
  // Flashing faster than three times a second can harm; the lamp then stays lit and only the click beats.
  const flashes = hz <= 3;
  return (
    <Box display="flex" alignItems="center" gap="2" my="-2">
      <Box
        as="span"
        ref={lamp}
        width="16px"
        height="16px"
        borderRadius="8px"
        bg="accent"
        aria-hidden="true"
        visibility={flashes ? 'visible' : 'hidden'}
        css={{ opacity: 0.15 }}
      />
      <Action kind="quiet" fontSize="small" aria-pressed={on} onClick={() => setOn(!on)}>
        {on
          ? t('view.simulator.stop-the-metronome')
          : t('view.simulator.metronome-a-second', { hz: amount('plain', hz, 1) })}
      </Action>
    </Box>
  );
}
