/** Start and stop from the simulated arc: run-in full against slow, the wire left, both ends judged, and the next burn-back from two taps. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { amount, bare } from '@fox-tempo/core/base/messages';
import { t, format, fixed, named } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
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
  const circuitMOhm = machine?.file.circuitMOhm ?? nominalCircuitMOhm;
  const starts = useStarts(whole.program, circuitMOhm);
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} alignItems="start">
      <Panel title={t('view.sequence.start.title')} px="4" py="3">
        {starts.kind === 'running' && (
          <Box role="status" color="quiet" minHeight="220px" display="grid" placeItems="center">
            {t('view.sequence.striking-simulated-arcs')}
          </Box>
        )}
        {starts.kind === 'failed' && (
          <Notice level="caution" word={t('view.simulator.not-simulated')}>
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
              {t('view.sequence.start.why', {
                starts: starts.runs[0]?.starts.length ?? 0,
                distance: amount('shortLength', 5),
                limit: amount('shortLength', 0.4),
              })}
            </Box>
          </>
        )}
      </Panel>
      <Panel title={t('view.sequence.both-ends-judged')} px="4" py="3">
        <WarmthLine whole={whole} />
        <Box as="ul" listStyleType="none" fontSize="small" display="grid" gap="1.5" mt="2">
          <li>{format(whole.ends.first.because)}</li>
          <li>{format(whole.ends.last.because)}</li>
          <li>
            {t('view.sequence.start.crater-band', {
              because: whole.crater.because,
              least: bare('phaseTime', whole.crater.bandS[0], 1),
              most: amount('phaseTime', whole.crater.bandS[1], 1),
            })}
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
        <Cell key={run.runInPercent} figure py="1" fontSize="text">
          {of(run)}
        </Cell>
      ))}
    </tr>
  );
  const names = runs.map(({ runInPercent }) => `${fixed(runInPercent, 0)} %`);
  return (
    <Table label={t('view.sequence.start.picture')} mt="2">
      <Heads names={[named('run-in'), ...names]} right={names} />
      <tbody>
        {row(t('view.sequence.wire-to-arc'), ({ starts }) =>
          format(amount('pulseTime', mean(starts.flatMap(({ ignitionMs }) => ignitionMs ?? [])), 0)),
        )}
        {row(t('view.sequence.start.pushed'), ({ starts }) =>
          format(amount('shortLength', mean(starts.map(({ pushedMm }) => pushedMm)), 2)),
        )}
        {row(t('view.sequence.bent-wire'), ({ starts }) =>
          t('view.sequence.start.bent-count', {
            buckles: starts.filter(({ buckles }) => buckles > 0).length,
            starts: starts.length,
          }),
        )}
        {row(t('view.sequence.clean-starts'), ({ starts }) =>
          t('view.sequence.start.lit-count', {
            ignition: starts.filter(
              ({ buckles, touches, ignitionMs }) => buckles === 0 && touches <= 1 && ignitionMs !== null,
            ).length,
            starts: starts.length,
          }),
        )}
      </tbody>
    </Table>
  );
}
