/** The planned setting run in the simulated arc, off the page's thread: what one would see and hear, beside what the plan says. */
import { amount } from '@fox-tempo/core/base/messages';
import { saidIssues, t, format, fixed } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { simulationOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { Simulation, SimulationInput } from '@fox-tempo/core/weld/simulation';
import { useEffect, useMemo, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Labelled, LabelledGrid } from '../../ui/labelled.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Figure } from '../../ui/quantity.tsx';
import { simulateArc } from '../../workers/arc-client.ts';

/** Long enough for some hundred drops. */
const simulatedSeconds = 1;
/** A hand that still types is not worth a simulation, ms. */
const restMs = 250;

type State =
  | { readonly kind: 'running'; readonly share: number }
  | { readonly kind: 'done'; readonly result: Simulation }
  | { readonly kind: 'failed'; readonly message: string };

export function SimulatedArc({ program, circuitMOhm }: { readonly program: Program; readonly circuitMOhm: number }) {
  const [state, setState] = useState<State>({ kind: 'running', share: 0 });
  const [attempt, setAttempt] = useState(0);
  const key = JSON.stringify([program, circuitMOhm]);
  const input = useMemo((): SimulationInput => {
    const [said, circuit] = JSON.parse(key) as [Program, number];
    return simulationOf(said, { circuitMOhm: circuit, seconds: simulatedSeconds, seed: 7 });
  }, [key]);

  useEffect(() => {
    const abort = new AbortController();
    const timer = setTimeout(() => {
      setState({ kind: 'running', share: 0 });
      void simulateArc(input, {
        signal: abort.signal,
        onProgress: (share) => setState({ kind: 'running', share }),
      }).then((outcome) => {
        if (abort.signal.aborted) return;
        setState(
          outcome.ok
            ? { kind: 'done', result: outcome.value }
            : {
                kind: 'failed',
                message: saidIssues(outcome.issues),
              },
        );
      });
    }, restMs);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [input, attempt]);

  return (
    <Panel
      title={t('view.simulated.simulated-arc')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.simulated.tremor')}
        </Box>
      }
    >
      {state.kind === 'failed' ? (
        <Notice level="caution" word={t('view.simulator.not-simulated')}>
          {state.message}{' '}
          <Action kind="quiet" minHeight="32px" onClick={() => setAttempt((count) => count + 1)}>
            {t('view.simulator.run-it-again')}
          </Action>
        </Notice>
      ) : (
        <Box minHeight="76px" aria-live="polite" aria-busy={state.kind === 'running'}>
          {state.kind === 'running' ? (
            <Box color="quiet" fontSize="small">
              {t('view.simulated.running', { share: amount('percent', 100 * state.share, 0) })}
            </Box>
          ) : (
            <Findings result={state.result} />
          )}
        </Box>
      )}
    </Panel>
  );
}

function Findings({ result: { metrics: m, words } }: { readonly result: Simulation }) {
  return (
    <>
      <Box fontSize="text" mb="1.5">
        {format(words).charAt(0).toUpperCase() + format(words).slice(1)}.
      </Box>
      <LabelledGrid>
        <Labelled label={t('view.simulated.arc-range')}>
          <Figure value={m.minArcLengthMm} of="shortLength" /> {t('view.simulated.to')}{' '}
          <Figure value={m.maxArcLengthMm} of="shortLength" />
        </Labelled>
        {m.pulseFrequencyHz > 0 ? (
          <Labelled label={t('view.simulator.drops-a-pulse')}>
            <Box as="span" textStyle="figure">
              {fixed(m.dropsPerPulse, 2)}
            </Box>
          </Labelled>
        ) : (
          <Labelled label={t('view.simulated.drops-a-second')}>
            <Box as="span" textStyle="figure">
              {fixed(m.dropsPerS, 0)}
            </Box>
          </Labelled>
        )}
        <Labelled label={t('view.simulator.shorts-a-second')}>
          <Box as="span" textStyle="figure">
            {fixed(m.shortsPerS, 0)}
          </Box>
        </Labelled>
        <Labelled label={t('view.simulator.mean-current')}>
          <Figure value={m.meanCurrentA} of="current" />
        </Labelled>
      </LabelledGrid>
    </>
  );
}
