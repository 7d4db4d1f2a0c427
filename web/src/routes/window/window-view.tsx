/** How far a welder may move a setting: asked, tested by the simulated arc at every corner, cut to the largest that holds, and written by a lead hand. */
import { Box } from '@chakra-ui/react';
import type { ProgramFile, SeamResource } from '@fox-tempo/contract';
import { amount, type SaidValue } from '@fox-tempo/core/base/messages';
import {
  type Welded,
  weldedAt,
  type WeldedCorner,
  weldedCorners,
  type Window,
  type WindowTested,
} from '@fox-tempo/core/evidence/window';
import { thinnerMm } from '@fox-tempo/core/setting/plan';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { queryClient } from '../../data/queries.ts';
import { useTask } from '../../lib/use-task.ts';
import { format, t } from '../../lib/words.ts';
import { SeamPage, type SeamWork } from '../../parts/seam-frame/index.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { WindowMap } from './window-map.tsx';
import { Ends, Written } from './written.tsx';

interface Corner {
  readonly wireFeedMPerMin: number;
  readonly trimMm: number;
  readonly ok: boolean;
  readonly why?: SaidValue;
  readonly margin: number;
}

type Answer = Pick<WindowTested, 'inside' | 'failureBelow95' | 'largestThatHolds'> & {
  readonly corners: readonly Corner[];
};

export function WindowView() {
  return (
    <SeamPage
      title={({ spec }) => t('view.window.title', { seam: spec.name })}
      line={() => t('view.window.title-why')}
      withoutSetting={t('view.trials.no-setting')}
    >
      {(work) => <Asked key={`${work.machine.id} ${work.seam.revision?.number ?? 0}`} {...work} />}
    </SeamPage>
  );
}

function Asked({ seam, machine, program, onSeam }: SeamWork) {
  const standing = seam.windows.find(({ machineId }) => machineId === machine.id);
  const [feedPercent, setFeedPercent] = useState(10);
  const [trimMm, setTrimMm] = useState(1);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [tested, setTested] = useState<Window | null>(null);
  const task = useTask();
  const asked = windowOf(program, feedPercent, trimMm);
  const test = () =>
    task.run(async () => {
      setAnswer(null);
      const { corrections: _corrections, ...file } = machine.file;
      const found = (await api.compute('window', {
        program,
        machine: file,
        window: asked,
        thicknessMm: thinnerMm(seam.spec.thicknessesMm),
      })) as Answer;
      setTested(asked);
      setAnswer(found);
    });
  const welds = useWelded(seam, machine, program);
  const evidence = weldedCorners(
    answer && tested !== null && sameWindow(tested, asked) ? answer.largestThatHolds : (standing?.window ?? asked),
    welds,
  );
  const isCurrent = tested !== null && sameWindow(tested, asked);
  const marks = answer && isCurrent ? worstByCorner(answer.corners) : [];
  const failing = marks.filter(({ ok }) => !ok);
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.2fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="3" minWidth={0}>
        <Panel title={t('view.window.ask')}>
          <Box display="grid" gap="3">
            <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" alignItems="start">
              <ValueField
                label={t('view.window.feed-range')}
                of="percent"
                value={feedPercent}
                keep={`window/${seam.id}/feed`}
                range={[0, 40]}
                step={1}
                onValue={(value) => setFeedPercent(value ?? 0)}
              />
              <ValueField
                label={t('view.window.trim-either-way')}
                of="shortLength"
                value={trimMm}
                keep={`window/${seam.id}/trim`}
                range={[0, 4]}
                step={0.1}
                onValue={(value) => setTrimMm(value ?? 0)}
              />
              <Action kind="main" disabled={task.busy} onClick={() => void test()}>
                {task.busy ? t('view.window.testing') : t('view.window.test-every-corner')}
              </Action>
            </Box>
            <WindowMap
              at={program}
              asked={asked}
              holds={answer && isCurrent && failing.length > 0 ? answer.largestThatHolds : null}
              corners={marks}
              welds={welds.filter(
                (one) =>
                  Math.abs(one.wireFeedMPerMin / program.wireFeedMPerMin - 1) < 0.25 &&
                  Math.abs(one.trimMm - program.trimMm) < 1.6 * Math.max(trimMm, 0.5),
              )}
            />
            <Box fontSize="label" color="quiet">
              {t('view.window.corners-why')} {welds.length > 0 && t('view.window.diamonds-are-trials')}
            </Box>
            {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
          </Box>
        </Panel>
      </Box>
      <Box display="grid" gap="3" minWidth={0}>
        {answer && isCurrent && (
          <Panel title={failing.length === 0 ? t('view.window.it-holds') : t('view.window.fails')}>
            <Box display="grid" gap="2" fontSize="text">
              {failing.map((corner) => (
                <Notice
                  key={`${corner.wireFeedMPerMin} ${corner.trimMm}`}
                  level="caution"
                  word={t('view.window.corner')}
                >
                  {t('view.window.worst-at', {
                    feed: amount('wireFeed', corner.wireFeedMPerMin, 1),
                    trim: amount('shortLength', corner.trimMm, 1),
                  })}{' '}
                  {corner.why === undefined ? '' : format(corner.why)}
                </Notice>
              ))}
              <Box>
                {t('view.window.inside', { failed: answer.inside.failed, n: answer.inside.n })}{' '}
                {t('view.window.holds', { share: amount('percent', 100 * answer.failureBelow95, 1) })}
              </Box>
              <Ends machine={machine} program={program} window={answer.largestThatHolds} />
            </Box>
          </Panel>
        )}
        <Written
          seam={seam}
          machine={machine}
          program={program}
          standing={standing}
          offered={answer && isCurrent ? answer.largestThatHolds : null}
          onSeam={onSeam}
        />
        {evidence.length > 0 && <Evidence corners={evidence} />}
      </Box>
    </Box>
  );
}

/** Which corners have been welded: the simulated arc is no weld. */
function Evidence({ corners }: { readonly corners: readonly WeldedCorner[] }) {
  const welded = corners.filter(({ passed }) => passed > 0).length;
  return (
    <Panel title={t('view.window.welded-corners', { welded, of: corners.length })}>
      <Box as="ul" listStyleType="none" fontSize="text">
        {corners.map(({ wireFeedMPerMin, trimMm, passed, failed }) => (
          <Box as="li" key={`${wireFeedMPerMin} ${trimMm}`} py="0.5" color={failed > 0 ? 'crimson' : undefined}>
            {t('view.window.worst-at', {
              feed: amount('wireFeed', wireFeedMPerMin, 1),
              trim: amount('shortLength', trimMm, 1),
            })}{' '}
            {passed + failed === 0 ? t('view.window.no-weld') : t('view.window.passed-and-failed', { passed, failed })}
          </Box>
        ))}
      </Box>
    </Panel>
  );
}

/** More trials than this say nothing new about a window. */
const mostTrials = 24;

/** Trials of this revision on this machine, where their dials stood. */
function useWelded(seam: SeamResource, machine: StandingMachine, program: ProgramFile): readonly Welded[] {
  const revision = seam.revision?.number;
  const { data } = useQuery(
    {
      queryKey: ['welded', seam.id, machine.id, revision],
      queryFn: async ({ signal }) => {
        const { items } = await api.trials({ seam: seam.id, machine: machine.id }, signal);
        const own = items.filter((trial) => trial.revision === revision).slice(0, mostTrials);
        return Promise.all(own.map(({ id }) => api.trial(id, signal)));
      },
    },
    queryClient,
  );
  return (data ?? []).flatMap(({ body, verdict }) => {
    const at = weldedAt(machine.file, program, body.dials);
    return at ? [{ ...at, verdict }] : [];
  });
}

function windowOf({ wireFeedMPerMin, trimMm }: ProgramFile, feedPercent: number, trim: number): Window {
  return {
    wireFeedMPerMin: [wireFeedMPerMin * (1 - feedPercent / 100), wireFeedMPerMin * (1 + feedPercent / 100)],
    trimMm: [trimMm - trim, trimMm + trim],
  };
}

function sameWindow(one: Window, other: Window): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** Each corner of the window at its worst spread. */
function worstByCorner(corners: readonly Corner[]): Corner[] {
  const worst = new Map<string, Corner>();
  for (const corner of corners) {
    const key = `${corner.wireFeedMPerMin.toFixed(4)} ${corner.trimMm.toFixed(4)}`;
    const before = worst.get(key);
    if (!before || corner.margin < before.margin) worst.set(key, corner);
  }
  return [...worst.values()];
}
