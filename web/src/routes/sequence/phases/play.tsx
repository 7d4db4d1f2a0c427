/** Play it: the space bar or the big button is the trigger. Which state the machine is in, what it waits for, and what to do next. */
import { amount, whether, absent } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
import { phaseNames, waitsFor } from '@fox-tempo/core/weld/sequence';
import { useEffect, useRef } from 'react';
import { useStore } from 'zustand';
import { useSettings } from '../../../session/settings.ts';
import { Action } from '../../../ui/action.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { clickSound, drawArc } from '../../../parts/arc-view/index.ts';
import { paints, ready, sharpness } from '../../../ui/canvas/canvas.ts';
import { liveSound } from './live-sound.ts';
import type { PlaySession } from './play-session.ts';

const arcSize = { width: 132, height: 168 };

export function Play({
  whole,
  session,
  sound,
  onSound,
}: {
  readonly whole: ScoreOf;
  readonly session: PlaySession;
  readonly sound: boolean;
  readonly onSound: (sound: boolean) => void;
}) {
  const { live, cue, running, withoutArc, result, slice, gun } = useStore(session.store);
  const { state, nowS, said } = live;
  const { rules } = whole.score;
  useSpaceTrigger(session);
  useClicks(cue.count, cue.due && running, sound);

  return (
    <Panel
      title={t('view.sequence.practice')}
      px="4"
      py="2"
      aside={
        <Action kind="quiet" minHeight="32px" aria-pressed={sound} onClick={() => onSound(!sound)}>
          {sound ? t('view.sequence.sound-on') : t('view.sequence.sound-off')}
        </Action>
      }
    >
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) 132px" gap="3" alignItems="start">
        <Box display="grid" gap="2">
          <Box color="quiet" fontSize="small">
            {t('view.sequence.practice-why')}
          </Box>
          <Action
            kind="main"
            minHeight="72px"
            fontSize="title"
            whiteSpace="normal"
            width="100%"
            css={{ touchAction: 'none' }}
            aria-label={t('view.sequence.practice-trigger')}
            aria-pressed={state.held}
            data-trigger=""
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              session.press();
            }}
            onPointerUp={() => session.release()}
            onPointerCancel={() => session.release()}
            onContextMenu={(event) => event.preventDefault()}
          >
            {state.held
              ? t('view.simulator.column.held')
              : running
                ? t('view.sequence.trigger')
                : rules.sequence.trigger === 'latch'
                  ? t('view.sequence.press-to-start')
                  : t('view.sequence.hold-to-start')}
          </Action>
          <Box
            aria-live="off"
            bg={cue.due ? 'ochreSoft' : 'transparent'}
            borderStartWidth="4px"
            borderColor={cue.due ? 'ochre' : 'line'}
            px="3"
            py="1.5"
            minHeight="58px"
          >
            <Box fontSize="title" fontWeight={650} data-cue="">
              {format(cue.word)}
            </Box>
            <Box fontSize="small" color="quiet">
              {format(cue.detail)}
            </Box>
          </Box>
        </Box>
        <LiveArc session={session} whole={whole} />
      </Box>
      <Box as="dl" display="grid" gridTemplateColumns="84px 1fr" fontSize="small" mt="2" rowGap="0.5">
        <Box as="dt" color="quiet">
          {t('view.sequence.practice-state')}
        </Box>
        <Box as="dd" fontWeight={600}>
          <span role="status" data-state={state.phase}>
            {format(phaseNames[state.phase])}
          </span>
        </Box>
        <Box as="dt" color="quiet">
          {t('view.sequence.practice-waits')}
        </Box>
        <Box as="dd">{format(waitsFor(state, nowS, rules))}</Box>
        <Box as="dt" color="quiet">
          {t('view.sequence.practice-gun-at')}
        </Box>
        <Box as="dd" textStyle="figure" fontSize="small">
          {t('view.sequence.practice-now', {
            at: amount('length', gun.mmAt(nowS), 0),
            current: slice && running ? amount('current', meanOf(slice.trace.currentA), 0) : absent,
            buckles: whether(slice !== null && slice.buckles > 0),
          })}
        </Box>
      </Box>
      {said && (
        <Box fontSize="small" color="quiet" mt="1" data-said="">
          {format(said)}
        </Box>
      )}
      {withoutArc && (
        <Notice level="caution" word={t('view.sequence.without-an-arc')}>
          {t('view.sequence.practice-without-arc', {
            withoutArc,
            ignition: amount('pulseTime', whole.score.ignitionS * 1000, 0),
          })}
        </Notice>
      )}
      {result && !running && <Result result={result} />}
    </Panel>
  );
}

function Result({ result }: { readonly result: NonNullable<ReturnType<PlaySession['store']['getState']>['result']> }) {
  if (result.length === 0) {
    return (
      <Box mt="2">
        <Notice level="note" word={t('view.sequence.no-weld')}>
          {t('view.sequence.practice-no-main')}
        </Notice>
      </Box>
    );
  }
  return (
    <Box mt="2" as="section" aria-label={t('view.sequence.practice-result')}>
      <Heading as="h3" textStyle="label" color="quiet" fontWeight={600}>
        {t('view.sequence.as-played')}
      </Heading>
      <Box as="ul" listStyleType="none" fontSize="small">
        {result.map(({ part, wanted, was, fits }) => (
          <Box as="li" key={format(part)} display="grid" gridTemplateColumns="18px 1fr auto" gap="1">
            <Box color={fits ? 'spruce' : 'ochre'} aria-hidden="true">
              {fits ? '●' : '◆'}
            </Box>
            <Box>{format(part)}</Box>
            <Box textStyle="figure" fontSize="small">
              {fits ? t('view.sequence.fits', { was }) : t('view.sequence.of', { was, wanted })}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function meanOf(values: Float32Array): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** The space bar everywhere on the page but in fields and on other buttons. */
function useSpaceTrigger(session: PlaySession): void {
  useEffect(() => {
    const isOurs = (event: KeyboardEvent) => {
      if (event.code !== 'Space' || event.ctrlKey || event.metaKey || event.altKey) return false;
      const target = event.target instanceof HTMLElement ? event.target : null;
      if (!target) return true;
      if (target.closest('[data-trigger]')) return true;
      return target.closest('input, select, textarea, button, a, [contenteditable]') === null;
    };
    const onDown = (event: KeyboardEvent) => {
      if (!isOurs(event)) return;
      event.preventDefault();
      if (!event.repeat) session.press();
    };
    const onUp = (event: KeyboardEvent) => {
      if (event.code !== 'Space') return;
      if (isOurs(event)) event.preventDefault();
      session.release();
    };
    // A finger that leaves the window has let go.
    const onLeave = () => session.release();
    window.addEventListener('keydown', onDown);
    window.addEventListener('keyup', onUp);
    window.addEventListener('blur', onLeave);
    return () => {
      window.removeEventListener('keydown', onDown);
      window.removeEventListener('keyup', onUp);
      window.removeEventListener('blur', onLeave);
    };
  }, [session]);
}

/** A click at every count, and one when the hand is due. */
function useClicks(count: number, due: boolean, sound: boolean): void {
  useEffect(() => {
    if (sound && (count > 0 || due)) clickSound();
  }, [count, due, sound]);
}

/** The arc as it burns now, to scale. */
function LiveArc({ session, whole }: { readonly session: PlaySession; readonly whole: ScoreOf }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useSettings((state) => state.theme);
  const { program } = whole;
  useEffect(() => {
    const context = ready(canvas.current);
    if (!context) return undefined;
    const paint = () => {
      const { slice, running } = session.store.getState();
      const trace = running ? slice?.trace : undefined;
      const at = (trace?.timeS.length ?? 0) - 1;
      drawArc(
        context,
        { ...arcSize, diameterMm: program.diameterMm, recessMm: 3, ctwdMm: program.ctwdMm },
        {
          currentA: trace?.currentA[at] ?? 0,
          arcLengthMm: trace?.arcLengthMm[at] ?? 0,
          extensionMm: trace?.extensionMm[at] ?? Math.max(program.ctwdMm - 5, 1),
          dropMm3: trace?.dropMm3[at] ?? 0,
          gapMm: trace?.gapMm[at] ?? program.ctwdMm,
          contact: trace?.contact[at] ?? 0,
          falling: [],
        },
        paints(theme),
      );
    };
    paint();
    return session.store.subscribe(paint);
  }, [session, theme, program]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={t('view.sequence.practice-picture')}
      width={arcSize.width * sharpness}
      height={arcSize.height * sharpness}
      style={{ width: `${arcSize.width}px`, height: `${arcSize.height}px` }}
    />
  );
}

/** Runs the session with the page's frames, and its sound while wanted. */
export function usePlaying(session: PlaySession | null, sound: boolean): void {
  const heard = useRef<ReturnType<typeof liveSound>>(null);
  useEffect(() => {
    if (!session) return undefined;
    let frame = 0;
    const tick = () => {
      session.tick();
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [session]);
  useEffect(() => {
    if (!session || !sound) return undefined;
    heard.current = liveSound(0.5);
    let last = session.store.getState().slice;
    const stop = session.store.subscribe(({ slice, running }) => {
      if (!slice || slice === last || !running) return;
      last = slice;
      heard.current?.hear(slice);
    });
    return () => {
      stop();
      heard.current?.stop();
      heard.current = null;
    };
  }, [session, sound]);
}
