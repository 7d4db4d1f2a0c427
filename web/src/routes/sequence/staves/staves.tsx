/** The score on the screen: painted staves, round handles over them, and a lens for what is too fast to see. Wheel, keys and hand move it. */
import { travelMmPerS } from '@fox-tempo/core/base/units';
import { amount } from '@fox-tempo/core/base/messages';
import { t, fixed } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
import type { PlayedPhase, TriggerSequence } from '@fox-tempo/core/weld/sequence';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useSettings } from '../../../session/settings.ts';
import { Action } from '../../../ui/action.tsx';
import { paints, ready, sharpness } from '../../../ui/canvas/canvas.ts';
import { HandleButton } from './handle-button.tsx';
import { handlesOf } from './handles.ts';
import { paintLens } from './lens.ts';
import { levelText, type LevelUnit } from './levels.ts';
import { paintStaves } from './paint-staves.ts';
import { staveLayout, xOf, type StavePicture } from './stave-picture.ts';
import { useView, type View } from './use-view.ts';
import { useWidth } from '../../../ui/canvas/use-size.ts';

const height = 356;
const lensSize = { width: 206, height: 116 };
/** A wheel's notch, and a press of + or −. */
const zoomStep = 1.25;

export interface StavesProps {
  readonly whole: ScoreOf;
  readonly unit: LevelUnit;
  readonly selected: PlayedPhase['name'] | null;
  readonly onSelect: (phase: PlayedPhase['name']) => void;
  readonly onEdit: (change: Partial<TriggerSequence>, field: string) => void;
  readonly onSettle: () => void;
}

export function Staves({ whole, unit, selected, onSelect, onEdit, onSettle }: StavesProps) {
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const width = useWidth(holder);
  const theme = useSettings((state) => state.theme);
  const [hasLens, setLens] = useState(false);
  const [lensS, setLensS] = useState<number | null>(null);
  const layout = useMemo(() => staveLayout(width, height), [width]);
  const paper = width - layout.left - layout.right;
  const { score, program, electrical } = whole;
  const view = useView(score.played, score.untilS, paper);
  const picture = useMemo(
    () => ({ ...pictureOf(whole, view, layout, unit), selected }),
    [whole, view, layout, unit, selected],
  );
  const lensAtS = lensS ?? score.played.find(({ name }) => name === 'main')?.fromS ?? score.litS;

  useEffect(() => {
    const context = ready(canvas.current);
    if (!context) return;
    const colour = paints(theme);
    paintStaves(context, picture, colour);
    if (!hasLens) return;
    const at = xOf(picture, lensAtS);
    context.strokeStyle = colour('ink');
    context.setLineDash([3, 3]);
    context.beginPath();
    context.moveTo(at, layout.current.top);
    context.lineTo(at, layout.current.top + layout.current.height);
    context.stroke();
    context.setLineDash([]);
    const x = Math.min(Math.max(at + 14, layout.left + 6), width - layout.right - lensSize.width - 6);
    paintLens(
      context,
      { atS: lensAtS, x, y: layout.wire.top - 6, ...lensSize },
      { program, played: score.played, electrical },
      colour,
    );
  }, [picture, theme, hasLens, lensAtS, layout, width, program, score, electrical]);

  useWheel(holder, view, layout.left);

  const handles = useMemo(() => handlesOf(whole), [whole]);
  const momentOf = (clientX: number) => {
    const box = holder.current?.getBoundingClientRect();
    return view.map.moment(view.window.from + (clientX - (box?.left ?? 0) - layout.left) / view.window.pxPerS);
  };
  const drag = useRef<{ x: number } | null>(null);

  return (
    <Box>
      <Box display="flex" gap="1" flexWrap="wrap" alignItems="center" mb="1">
        <Action
          kind="quiet"
          minHeight="44px"
          onClick={() => view.zoom(1.6)}
          aria-label={t('view.sequence.zoom-in')}
          title={t('view.sequence.zoom-in-key')}
        >
          +
        </Action>
        <Action
          kind="quiet"
          onClick={() => view.zoom(1 / 1.6)}
          aria-label={t('view.sequence.zoom-out')}
          title={t('view.sequence.zoom-out-key')}
        >
          −
        </Action>
        <Action kind="quiet" disabled={view.isWhole} onClick={view.whole} title={t('view.sequence.zoom-all-key')}>
          {t('view.sequence.whole')}
        </Action>
        <Action kind="quiet" onClick={() => view.show(0, score.litS + 2.5)}>
          {t('view.sequence.start')}
        </Action>
        <Action kind="quiet" onClick={() => view.show(Math.max(score.untilS - 6, 0), score.untilS)}>
          {t('view.sequence.end')}
        </Action>
        {view.canFold && (
          <Action kind="quiet" aria-pressed={view.folded} onClick={() => view.setFolded(!view.folded)}>
            {view.folded ? t('view.sequence.unfold-main') : t('view.sequence.fold-main')}
          </Action>
        )}
        <Action
          kind="quiet"
          aria-pressed={hasLens}
          onClick={() => setLens(!hasLens)}
          title={t('view.sequence.lens-key')}
        >
          {hasLens ? t('view.sequence.lens-away') : t('view.sequence.lens')}
        </Action>
      </Box>
      <Box
        ref={holder}
        position="relative"
        height={`${height}px`}
        userSelect="none"
        css={{ touchAction: 'pan-y' }}
        tabIndex={0}
        role="group"
        aria-label={t('view.sequence.picture')}
        onKeyDown={(event) => onViewKey(event, view, () => setLens(!hasLens))}
        onPointerDown={(event) => {
          if (event.target !== canvas.current) return;
          drag.current = { x: event.clientX };
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (drag.current) {
            view.scroll(drag.current.x - event.clientX);
            drag.current = { x: event.clientX };
          }
          if (hasLens) setLensS(momentOf(event.clientX));
        }}
        onPointerUp={() => (drag.current = null)}
        onPointerCancel={() => (drag.current = null)}
        data-px-per-s={view.window.pxPerS.toFixed(2)}
      >
        <canvas
          ref={canvas}
          role="img"
          aria-label={describe(whole)}
          width={width * sharpness}
          height={height * sharpness}
          style={{ width: '100%', height: `${height}px`, display: 'block' }}
        />
        {handles.map((handle) => (
          <HandleButton
            key={handle.id}
            handle={handle}
            picture={picture}
            sequence={program.sequence}
            paceMmPerS={travelMmPerS(program.travelMmPerMin)}
            isSelected={selected === handle.phase}
            onSelect={() => onSelect(handle.phase)}
            onEdit={onEdit}
            onSettle={onSettle}
          />
        ))}
      </Box>
    </Box>
  );
}

/** What the painter needs of a score in a view. */
export function pictureOf(
  { score, program, electrical }: Pick<ScoreOf, 'score' | 'program' | 'electrical'>,
  view: Pick<View, 'map' | 'window'>,
  layout: StavePicture['layout'],
  unit: LevelUnit,
): StavePicture {
  const beat = program.slowBeat;
  const highest = Math.max(
    beat ? (100 * beat.highFeedMPerMin) / beat.meanFeedMPerMin : 100,
    ...score.played.map(({ fromPercent, toPercent }) => Math.max(fromPercent, toPercent)),
  );
  return {
    program,
    played: score.played,
    gun: score.gun,
    electrical,
    hand: score,
    map: view.map,
    window: view.window,
    layout,
    topPercent: highest * 1.08,
    topA: electrical.at((program.wireFeedMPerMin * highest) / 100).currentA * 1.08,
    levelText: (percent) => levelText(percent, unit, { feedMPerMin: program.wireFeedMPerMin, electrical }),
    flowLPerMin: program.gasFlowLPerMin,
    isSmall: false,
    selected: null,
  };
}

function describe({ totals, score }: ScoreOf): string {
  const phases = totals.phases.map(({ phase, seconds }) => `${phase} ${fixed(seconds, 1)} s`).join(', ');
  return t('view.sequence.picture-phases', { length: amount('length', score.lengthMm, 0), phases });
}

function onViewKey(event: KeyboardEvent, view: View, toggleLens: () => void): void {
  if (event.target !== event.currentTarget || event.ctrlKey || event.metaKey || event.altKey) return;
  const acts: Record<string, () => void> = {
    '+': () => view.zoom(zoomStep),
    '=': () => view.zoom(zoomStep),
    '-': () => view.zoom(1 / zoomStep),
    '0': view.whole,
    ArrowLeft: () => view.scroll(-60),
    ArrowRight: () => view.scroll(60),
    l: toggleLens,
  };
  const act = acts[event.key];
  if (!act) return;
  event.preventDefault();
  act();
}

/** A wheel scrolls sideways, with Ctrl it zooms about the pointer; both keep the page still only when they do something. */
function useWheel(
  holder: { readonly current: HTMLElement | null },
  { zoom, scroll, isWhole }: View,
  left: number,
): void {
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const onWheel = (event: WheelEvent) => {
      if (event.ctrlKey || event.metaKey) {
        event.preventDefault();
        zoom(event.deltaY < 0 ? zoomStep : 1 / zoomStep, event.clientX - element.getBoundingClientRect().left - left);
      } else if (!isWhole && (event.shiftKey || Math.abs(event.deltaX) > Math.abs(event.deltaY))) {
        event.preventDefault();
        scroll(event.deltaX || event.deltaY);
      }
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [holder, zoom, scroll, isWhole, left]);
}
