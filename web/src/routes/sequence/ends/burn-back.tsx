/** The burn-back helper: how long was the wire left, what shape; from that the next value in this machine's sense and unit, and the trend. */
import { amount, whether, absent } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine/dials';
import {
  nextBurnBack,
  wireLefts,
  wireShapes,
  type ScoreOf,
  type WireLeft,
  type WireShape,
} from '@fox-tempo/core/weld/score';
import { useState } from 'react';
import { Action } from '../../../ui/action.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { cssColour } from '../../../ui/theme/colours.ts';
import { leftNames, shapeNames } from '../../../parts/record-words/index.ts';
import type { Score } from '../use-score.ts';
import type { Starts } from './use-starts.ts';
import { useStops } from './use-stops.ts';

/** Length drawn below the tip, and the ball on its end, px. */
const drawnLength: Record<WireLeft, number> = {
  'stuck-in-pool': 34,
  'too-long': 28,
  right: 20,
  'too-short': 10,
  'welded-to-tip': 2,
};
const drawnBall: Record<WireShape, number> = { sharp: 0, 'small-ball': 3.4, 'big-ball': 5.5 };

/** Answers as tiles with a drawing, large enough for a glove. */
const tiles = {
  display: 'grid',
  gridTemplateColumns: { base: 'repeat(3, 1fr)', md: 'repeat(5, 1fr)' },
  gap: '1.5',
} as const;
const tile = {
  overflowWrap: 'anywhere',
  minWidth: 0,
  px: '1',
  whiteSpace: 'normal',
  lineHeight: '1.15',
  minHeight: '76px',
  flexDirection: 'column',
  fontSize: 'label',
} as const;

export function BurnBack({
  seamId,
  score,
  whole,
  machine,
  starts,
}: {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
  readonly machine: MachineResource | undefined;
  readonly starts: Starts;
}) {
  const { stops, problem, add, takeLastBack, retry } = useStops(seamId, machine?.id);
  const [left, setLeft] = useState<WireLeft | null>(null);
  const advice = nextBurnBack(whole.program, stops);
  const { burnBackMs } = score.sequence;
  const run = starts.kind === 'ready' ? starts.runs.at(-1) : undefined;
  const stop = run?.starts[0];
  const applied =
    advice !== null && Math.abs(advice.nextMs - burnBackMs) < 0.5 && advice.endPulse === score.sequence.endPulse;
  return (
    <Panel title={t('view.sequence.stop.title')} px="4" py="3">
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.3fr 1fr', lg: '1fr' }}>
        <Box>
          <Box fontSize="small" color="quiet" mb="1">
            {t('view.sequence.stop.why')}
          </Box>
          <Box {...tiles} role="group" aria-label={t('view.sequence.stop.length')}>
            {wireLefts.map((one) => (
              <Action
                key={one}
                {...tile}
                aria-pressed={left === one}
                bg={left === one ? 'accentSoft' : 'surface'}
                onClick={() => setLeft(one)}
              >
                <WireEnd left={one} shape="sharp" />
                {leftNames[one]}
              </Action>
            ))}
          </Box>
          <Box {...tiles} mt="1.5" role="group" aria-label={t('view.sequence.stop.shape')}>
            {wireShapes.map((shape) => (
              <Action
                key={shape}
                {...tile}
                disabled={left === null}
                onClick={() => {
                  if (left === null) return;
                  add({ left, shape, burnBackMs: Math.round(burnBackMs) });
                  setLeft(null);
                }}
              >
                <WireEnd left="right" shape={shape} />
                {shapeNames[shape]}
              </Action>
            ))}
          </Box>
          {stop && (
            <Box fontSize="small" color="quiet" mt="2">
              {t('view.sequence.stop.simulated', {
                freeWire: amount('shortLength', stop.freeWireMm, 1),
                burnBack: amount('pulseTime', burnBackMs, 0),
                stuck: whether(stop.stuck),
                ballFactor: amount('plain', stop.ballFactor, 2),
                endPulse: whether(score.sequence.endPulse),
                error: amount('shortLength', 3),
              })}
            </Box>
          )}
        </Box>
        <Box display="grid" gap="2" alignContent="start">
          {problem !== null && (
            <Notice level="caution" word={t('view.simulator.not-in-record')} urgent>
              {problem}{' '}
              <Action kind="quiet" minHeight="36px" onClick={retry}>
                {t('view.sequence.send-it-again')}
              </Action>
            </Notice>
          )}
          {!advice && (
            <Notice level="note" word={t('view.sequence.stop.none')}>
              {t('view.sequence.stop.where', { file: machine?.file.name ?? t('view.machines.this-machine') })}
            </Notice>
          )}
          {advice && (
            <>
              <Box fontSize="body" fontWeight={600}>
                {t('view.sequence.next', {
                  burnBack: amount('pulseTime', advice.nextMs),
                  dial: machine ? onDial(machine, whole, advice.nextMs) : absent,
                  endPulse: whether(advice.endPulse),
                })}
              </Box>
              <Box fontSize="small" color="quiet">
                {format(advice.because)}
              </Box>
              {advice.trend && (
                <Notice level="note" word={t('view.sequence.trend')}>
                  {format(advice.trend)}
                </Notice>
              )}
              <Box display="flex" gap="1.5" flexWrap="wrap">
                <Action
                  kind="main"
                  disabled={applied}
                  onClick={() =>
                    score.edit(
                      { burnBackMs: advice.nextMs, endPulse: advice.endPulse },
                      t('view.sequence.burn-back-advice'),
                    )
                  }
                >
                  {applied
                    ? t('view.sequence.taken')
                    : t('view.sequence.take', { next: amount('pulseTime', advice.nextMs) })}
                </Action>
                <Action kind="quiet" onClick={takeLastBack}>
                  {t('view.sequence.stop.undo')}
                </Action>
              </Box>
            </>
          )}
        </Box>
      </Box>
    </Panel>
  );
}

/** The next value as this machine would be told it, with its sense. */
function onDial(machine: MachineResource, whole: ScoreOf, nextMs: number): string {
  const { program } = whole;
  const said = translate(machine.file, {
    ...program,
    sequence: { ...program.sequence, burnBackMs: nextMs },
  }).dials.find(({ quantity }) => quantity === 'burnBackMs');
  if (!said) return t('view.sequence.no-dial', { file: machine.file.name });
  const sense = said.bothReadings ? t('view.sequence.direction-not-tested') : (said.sense ?? '');
  return `${said.label} ${said.display}${said.unit ? ` ${said.unit}` : ''}${sense ? `, ${format(sense)}` : ''}`;
}

function WireEnd({ left, shape }: { readonly left: WireLeft; readonly shape: WireShape }) {
  const end = 12 + drawnLength[left];
  const ball = drawnBall[shape];
  return (
    <svg width="40" height="50" viewBox="0 0 40 50" aria-hidden="true">
      <path d="M12 0h16l-3 12h-10Z" fill={cssColour('metal')} stroke={cssColour('metalEdge')} />
      <line x1="20" x2="20" y1="10" y2={end} stroke={cssColour('ink')} strokeWidth="3.2" />
      {ball > 0 && <circle cx="20" cy={end} r={ball} fill={cssColour('ink')} />}
      {left === 'stuck-in-pool' && <path d="M6 48q14-8 28 0Z" fill={cssColour('metalEdge')} />}
    </svg>
  );
}
