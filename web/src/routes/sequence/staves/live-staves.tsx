/** The score as it is being played: the record so far over the intended one's time, the present as a line that the paper follows. */
import { t } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { type ScoreOf, timeMap } from '@fox-tempo/core/weld/score';
import { useEffect, useMemo, useRef } from 'react';
import { useSettings } from '../../../session/settings.ts';
import { paints, ready, sharpness } from '../../../ui/canvas/canvas.ts';
import type { LevelUnit } from './levels.ts';
import { paintStaves } from './paint-staves.ts';
import { staveLayout, xOf } from './stave-picture.ts';
import type { PlaySession } from '../phases/play-session.ts';
import { pictureOf } from './staves.tsx';
import { fitted, held } from './window.ts';
import { useWidth } from '../../../ui/canvas/use-size.ts';

const height = 356;
/** Time across the paper while it follows, s. */
const acrossS = 9;

export function LiveStaves({
  whole,
  session,
  unit,
}: {
  readonly whole: ScoreOf;
  readonly session: PlaySession;
  readonly unit: LevelUnit;
}) {
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const width = useWidth(holder);
  const theme = useSettings((state) => state.theme);
  const layout = useMemo(() => staveLayout(width, height), [width]);
  useEffect(() => {
    const context = ready(canvas.current);
    if (!context) return undefined;
    const colour = paints(theme);
    const paper = width - layout.left - layout.right;
    const paint = () => {
      const { live, record, gun, running } = session.store.getState();
      const map = timeMap(Math.max(live.nowS, running ? acrossS : 0.5), []);
      const follow = { pxPerS: paper / acrossS, from: live.nowS - acrossS * 0.7 };
      const window = running ? held(follow, map, paper) : fitted(map, paper);
      const score = { ...whole.score, played: record, gun, events: live.events, untilS: live.nowS };
      const picture = pictureOf({ ...whole, score }, { map, window }, layout, unit);
      paintStaves(context, picture, colour);
      const x = xOf(picture, live.nowS);
      context.fillStyle = colour('ink');
      context.fillRect(
        x - 1,
        layout.trigger.top - 6,
        2,
        layout.current.top + layout.current.height - layout.trigger.top + 10,
      );
      context.beginPath();
      context.moveTo(x - 7, layout.trigger.top - 8);
      context.lineTo(x + 7, layout.trigger.top - 8);
      context.lineTo(x, layout.trigger.top);
      context.fill();
    };
    paint();
    return session.store.subscribe(paint);
  }, [session, whole, theme, layout, width, unit]);
  return (
    <Box ref={holder} height={`${height}px`}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={t('view.sequence.picture-played')}
        width={width * sharpness}
        height={height * sharpness}
        style={{ width: '100%', height: `${height}px`, display: 'block' }}
      />
    </Box>
  );
}
