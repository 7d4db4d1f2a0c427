/** Both levels of a slow beat, each simulated by itself: what the arc does at it, and with what. */
import { Box } from '@chakra-ui/react';
import { arcOf, simulationOf, type Program } from '@fox-tempo/core/machine';
import type { SimulationInput } from '@fox-tempo/core/simulation';
import { noTune, tuned } from '@fox-tempo/core/tuning';
import { goodZones, zoneOf, zoneWords } from '@fox-tempo/core/zone-map';
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
      <Level word="Slow high" feedMPerMin={beat.highFeedMPerMin} program={program} circuitMOhm={circuitMOhm} />
      <Level word="Slow low" feedMPerMin={beat.lowFeedMPerMin} program={program} circuitMOhm={circuitMOhm} />
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
      : { input: null, refusal: level.issues.map((issue) => issue.message).join(' ') };
  }, [program, feedMPerMin, circuitMOhm]);
  const arc = useArc(question.input, 0);
  const name = `${word}, ${feedMPerMin.toFixed(1)} m/min`;
  if (!question.input)
    return (
      <Notice level="caution" word={`${name}:`}>
        {question.refusal}
      </Notice>
    );
  if (arc.kind !== 'ready')
    return (
      <Box color="quiet" fontSize="13px">
        {arc.kind === 'failed' ? `${name}: ${arc.message}` : `${name}: simulating…`}
      </Box>
    );
  const { metrics, transferMode } = arc.run.simulation;
  const { lineMm } = arcOf(program, program.ctwdMm, program.trimMm);
  const zone = zoneOf('pulse', transferMode, metrics, lineMm);
  const isGood = goodZones('pulse').includes(zone);
  return (
    <Notice level={isGood ? 'note' : 'caution'} word={`${name}:`}>
      {zoneWords[zone].symptom}. {metrics.meanCurrentA.toFixed(0)} A, {(metrics.meanPowerW / 1000).toFixed(2)} kW, arc{' '}
      {metrics.meanArcLengthMm.toFixed(1)} mm, {metrics.shortsPerS.toFixed(0)} shorts a second.
    </Notice>
  );
}
