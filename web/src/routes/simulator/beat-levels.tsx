/** Both levels of a slow beat, each simulated by itself: what the arc does at it, and with what. */
import { amount } from '@fox-tempo/core/base/messages';
import { saidIssues, t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { arcOf, simulationOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { SimulationInput } from '@fox-tempo/core/weld/simulation';
import { noTune, tuned } from '@fox-tempo/core/machine/tuning';
import { goodZones, zoneOf, zoneWords } from '@fox-tempo/core/weld/zone-map';
import { useMemo } from 'react';
import { Notice } from '../../ui/notice.tsx';
import { useArc } from './use-arc.ts';

/** Measured arc of one level, s: thirty drops and more. */
const levelS = 0.4;

export function BeatLevels({ program, circuitMOhm }: { readonly program: Program; readonly circuitMOhm: number }) {
  const beat = program.slowBeat;
  if (!beat) return null;
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="2" my="1.5">
      <Level
        word={t('view.simulator.slow-high')}
        feedMPerMin={beat.highFeedMPerMin}
        program={program}
        circuitMOhm={circuitMOhm}
      />
      <Level
        word={t('view.simulator.slow-low')}
        feedMPerMin={beat.lowFeedMPerMin}
        program={program}
        circuitMOhm={circuitMOhm}
      />
    </Box>
  );
}

function Level({
  word,
  feedMPerMin,
  program,
  circuitMOhm,
}: {
  readonly word: string;
  readonly feedMPerMin: number;
  readonly program: Program;
  readonly circuitMOhm: number;
}) {
  const question = useMemo((): { input: SimulationInput | null; refusal: string } => {
    const level = tuned({ ...program, mode: 'pulse', slowBeat: null }, noTune, feedMPerMin);
    return level.ok
      ? { input: simulationOf(level.value, { circuitMOhm, seconds: levelS, seed: 7 }), refusal: '' }
      : {
          input: null,
          refusal: saidIssues(level.issues),
        };
  }, [program, feedMPerMin, circuitMOhm]);
  const arc = useArc(question.input, 0);
  const name = t('view.simulator.sum', { word, feed: amount('wireFeed', feedMPerMin, 1) });
  if (!question.input)
    return (
      <Notice level="caution" word={`${name}:`}>
        {question.refusal}
      </Notice>
    );
  if (arc.kind !== 'ready')
    return (
      <Box color="quiet" fontSize="small">
        {arc.kind === 'failed' ? `${name}: ${arc.message}` : t('view.simulator.simulating', { name })}
      </Box>
    );
  const { metrics, transferMode } = arc.run.simulation;
  const { lineMm } = arcOf(program, program.ctwdMm, program.trimMm);
  const zone = zoneOf('pulse', transferMode, metrics, lineMm);
  const isGood = goodZones('pulse').includes(zone);
  return (
    <Notice level={isGood ? 'note' : 'caution'} word={`${name}:`}>
      {t('view.simulator.summary', {
        symptom: zoneWords[zone].symptom,
        meanCurrent: amount('current', metrics.meanCurrentA, 0),
        meanPower: amount('kilowatts', metrics.meanPowerW / 1000, 2),
        meanArcLength: amount('shortLength', metrics.meanArcLengthMm, 1),
        shortsPer: amount('plain', metrics.shortsPerS, 0),
      })}
    </Notice>
  );
}
