/** The burn-back helper: how long was the wire left, what shape; from that the next value in this machine's sense and unit, and the trend. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine';
import {
  nextBurnBack,
  wireLefts,
  wireShapes,
  type ScoreOf,
  type WireLeft,
  type WireShape,
} from '@fox-tempo/core/score';
import { useState } from 'react';
import { Action } from '../../../ui/action.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { cssColour } from '../../../ui/theme/colours.ts';
import type { Score } from '../use-score.ts';
import type { Starts } from './use-starts.ts';
import { useStops } from './use-stops.ts';

const leftNames: Record<WireLeft, string> = {
  'stuck-in-pool': 'froze into the pool',
  'too-long': 'too long',
  right: 'right length',
  'too-short': 'too short',
  'welded-to-tip': 'welded to the tip',
};
const shapeNames: Record<WireShape, string> = { sharp: 'sharp', 'small-ball': 'small ball', 'big-ball': 'big ball' };
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
  px: '1',
  whiteSpace: 'normal',
  lineHeight: '1.15',
  minHeight: '76px',
  flexDirection: 'column',
  fontSize: '12.5px',
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
    <Panel title="Burn-back from what is left" px="4" py="3">
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.3fr 1fr', lg: '1fr' }}>
        <Box>
          <Box fontSize="13px" color="quiet" mb="1">
            After a stop, gun clear of the part: how was the wire, then what is on its end? Two taps. Snip a ball before
            the next start.
          </Box>
          <Box {...tiles} role="group" aria-label="How long the wire was left">
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
          <Box {...tiles} mt="1.5" role="group" aria-label="What is on its end">
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
            <Box fontSize="13px" color="quiet" mt="2">
              The simulated arc leaves {stop.freeWireMm.toFixed(1)} mm at {burnBackMs.toFixed(0)} ms
              {stop.stuck ? ', stuck' : ''}, end {stop.ballFactor.toFixed(2)} wire diameters
              {score.sequence.endPulse ? ' with the last pulse' : ''}. From a model: ±3 mm.
            </Box>
          )}
        </Box>
        <Box display="grid" gap="2" alignContent="start">
          {problem !== null && (
            <Notice level="caution" word="Not in the record." urgent>
              {problem}{' '}
              <Action kind="quiet" minHeight="36px" onClick={retry}>
                Send it again
              </Action>
            </Notice>
          )}
          {!advice && (
            <Notice level="note" word="No stop recorded yet">
              on {machine?.file.name ?? 'this machine'} for this seam.
            </Notice>
          )}
          {advice && (
            <>
              <Box fontSize="15px" fontWeight={600}>
                Next: {advice.nextMs} ms{machine ? ` · ${onDial(machine, whole, advice.nextMs)}` : ''}
                {advice.endPulse ? ', last pulse on' : ''}
              </Box>
              <Box fontSize="13px" color="quiet">
                {advice.because}
              </Box>
              {advice.trend && (
                <Notice level="note" word="Trend.">
                  {advice.trend}
                </Notice>
              )}
              <Box display="flex" gap="1.5" flexWrap="wrap">
                <Action
                  kind="main"
                  disabled={applied}
                  onClick={() =>
                    score.edit({ burnBackMs: advice.nextMs, endPulse: advice.endPulse }, 'burn-back advice')
                  }
                >
                  {applied ? 'Taken' : `Take ${advice.nextMs} ms`}
                </Action>
                <Action kind="quiet" onClick={takeLastBack}>
                  Take the last stop back
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
  if (!said) return `${machine.file.name} has no dial for it`;
  const sense = said.bothReadings ? 'nobody has tried which way it runs' : (said.sense ?? '');
  return `${said.label} ${said.display}${said.unit ? ` ${said.unit}` : ''}${sense ? `, ${sense}` : ''}`;
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
