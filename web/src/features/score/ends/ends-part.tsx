/** Start and stop from the simulated arc: run-in full against slow, the wire left, both ends judged, and the next burn-back from two taps. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import type { ScoreOf } from '@fox-tempo/core/score';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../../ui/table.tsx';
import { BurnBack } from './burn-back.tsx';
import { StartTrace } from './start-trace.tsx';
import type { Score } from '../use-score.ts';
import { TaperPanel } from '../phases/taper.tsx';
import { useStarts, type StartRun } from './use-starts.ts';
import { WarmthLine } from '../phases/warmth-line.tsx';

export function EndsPart({
  seamId,
  score,
  whole,
  machine,
}: {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
  readonly machine: MachineResource | undefined;
}) {
  const circuitMOhm = machine?.file.circuitMOhm ?? 15;
  const starts = useStarts(whole.program, circuitMOhm);
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} alignItems="start">
      <Panel title="Starting: full feed against slow" px="4" py="3">
        {starts.kind === 'running' && (
          <Box role="status" color="quiet" minHeight="220px" display="grid" placeItems="center">
            Striking simulated arcs…
          </Box>
        )}
        {starts.kind === 'failed' && (
          <Notice level="caution" word="Not simulated.">
            {starts.message}
          </Notice>
        )}
        {starts.kind === 'ready' && (
          <>
            {starts.runs.map((run) => (
              <StartTrace key={run.runInPercent} run={run} topA={starts.topA} />
            ))}
            <StartTable runs={starts.runs} />
            <Box textStyle="label" color="quiet" mt="2">
              {starts.runs[0]?.starts.length ?? 0} cold starts each, from 5 mm over the plate, told apart by the hand’s
              tremor. Wire pushed beyond 0.4 mm before it fuses bends and bursts further up: stubbing.
            </Box>
          </>
        )}
      </Panel>
      <Panel title="Both ends judged" px="4" py="3">
        <WarmthLine whole={whole} />
        <Box as="ul" listStyleType="none" fontSize="13px" display="grid" gap="1.5" mt="2">
          <li>{whole.ends.first.because}</li>
          <li>{whole.ends.last.because}</li>
          <li>
            Crater: {whole.crater.because} Band {whole.crater.bandS[0].toFixed(1)} to {whole.crater.bandS[1].toFixed(1)}{' '}
            s.
          </li>
        </Box>
      </Panel>
      <TaperPanel seamId={seamId} score={score} whole={whole} />
      <BurnBack seamId={seamId} score={score} whole={whole} machine={machine} starts={starts} />
    </Box>
  );
}

function StartTable({ runs }: { readonly runs: readonly StartRun[] }) {
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / Math.max(values.length, 1);
  const row = (name: string, of: (run: StartRun) => string) => (
    <tr key={name}>
      <Cell head py="1">
        {name}
      </Cell>
      {runs.map((run) => (
        <Cell key={run.runInPercent} figure py="1" fontSize="14px">
          {of(run)}
        </Cell>
      ))}
    </tr>
  );
  const names = runs.map(({ runInPercent }) => `${runInPercent.toFixed(0)} %`);
  return (
    <Table label="Starts at full feed and at run-in feed" mt="2">
      <Heads names={['run-in', ...names]} right={names} />
      <tbody>
        {row(
          'wire to arc',
          ({ starts }) => `${mean(starts.flatMap(({ ignitionMs }) => ignitionMs ?? [])).toFixed(0)} ms`,
        )}
        {row(
          'wire pushed into the plate',
          ({ starts }) => `${mean(starts.map(({ pushedMm }) => pushedMm)).toFixed(2)} mm`,
        )}
        {row('bent wire', ({ starts }) => `${starts.filter(({ buckles }) => buckles > 0).length} of ${starts.length}`)}
        {row(
          'clean starts',
          ({ starts }) =>
            `${starts.filter(({ buckles, touches, ignitionMs }) => buckles === 0 && touches <= 1 && ignitionMs !== null).length} of ${starts.length}`,
        )}
      </tbody>
    </Table>
  );
}
