/**
 * One player at the trigger: presses in, state, record, arc and cue out. Has the page's clock and the driven arc, and no interface.
 * A press at rest begins a new weld, and with it a new record.
 */
import { travelMmPerS } from '@fox-tempo/core/base/units';
import { simulationOf, sourceVolts } from '@fox-tempo/core/machine/dials';
import {
  cueFor,
  gunPath,
  leadS,
  playedAgainst,
  phaseTrimMm,
  type Cue,
  type GunPath,
  type PlayedPart,
  type ScoreOf,
} from '@fox-tempo/core/weld/score';
import {
  advanced,
  happened,
  levelAt,
  livePlay,
  recordOf,
  beatFactor,
  hasBeat,
  type LivePlay,
  type PlayedPhase,
} from '@fox-tempo/core/weld/sequence';
import type { DriveCommand, DrivenSlice } from '@fox-tempo/core/weld/simulation';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { DriveClient, DriveHeard } from '../../../workers/drive-client.ts';

export interface PlayState {
  readonly live: LivePlay;
  readonly record: readonly PlayedPhase[];
  readonly gun: GunPath;
  readonly cue: Cue;
  /** A weld is going on: wire, arc or gas. */
  readonly running: boolean;
  /** Last slice of the driven arc; null before the first, and where there is none. */
  readonly slice: DrivenSlice | null;
  /** Why there is no simulated arc: the score then lights after its computed delay. */
  readonly withoutArc: string | null;
  /** How the last weld came out; null while it runs. */
  readonly result: readonly PlayedPart[] | null;
}

export interface PlaySession {
  readonly store: StoreApi<PlayState>;
  press(): void;
  release(): void;
  /** Once a frame. */
  tick(): void;
  close(): void;
}

export interface PlayParts {
  readonly whole: ScoreOf;
  readonly circuitMOhm: number;
  /** Milliseconds, as the page counts them. */
  readonly now: () => number;
  /** Null where there are no workers. */
  readonly makeDrive: ((heard: DriveHeard) => DriveClient) | null;
}

/** Trace of the driven arc: fine enough to be heard. */
const traceEveryS = 1 / 24_000;

export function createPlaySession({ whole, circuitMOhm, now, makeDrive }: PlayParts): PlaySession {
  const { program, score } = whole;
  const { rules } = score;
  const pace = travelMmPerS(program.travelMmPerMin);
  const moves = program.sequence.trigger !== 'spot';
  const stateOf = (live: LivePlay): Pick<PlayState, 'live' | 'record' | 'gun' | 'cue' | 'running'> => {
    const record = recordOf(live, rules);
    const gun = gunPath(record, program.travelMmPerMin, moves);
    return {
      live,
      record,
      gun,
      cue: cueFor(live, program.sequence, score, gun, pace),
      running: live.state.phase !== 'idle',
    };
  };
  const store = createStore<PlayState>()(() => ({ ...stateOf(livePlay), slice: null, withoutArc: null, result: null }));
  let startedMs: number | null = null;
  let lastTickMs = 0;
  const timeS = () => (startedMs === null ? 0 : (now() - startedMs) / 1000 + leadS);

  const drive = makeDrive?.({
    onSlice(slice) {
      store.setState({ slice });
      const { live } = store.getState();
      if (slice.lit && live.state.phase === 'run-in' && live.state.litS === null) {
        take(happened(live, { kind: 'arc', atS: Math.max(timeS(), live.nowS) }, rules));
      }
    },
    onLost: (withoutArc) => store.setState({ withoutArc }),
  });

  function take(live: LivePlay): void {
    const before = store.getState();
    const next = stateOf(live);
    const isOver = before.running && !next.running;
    store.setState({
      ...next,
      ...(isOver
        ? {
            result: next.record.some(({ name }) => name === 'main' || name === 'start')
              ? playedAgainst(program.sequence, score, next.record, next.gun)
              : [],
          }
        : {}),
    });
  }

  /** Where no arc is simulated, it lights after the computed delay. */
  function lightWithoutArc(atS: number): void {
    const { live, withoutArc } = store.getState();
    const { phase, litS, sinceS } = live.state;
    if (phase !== 'run-in' || litS !== null || (drive && withoutArc === null)) return;
    const lightsS = sinceS + score.ignitionS;
    if (atS >= lightsS) take(happened(live, { kind: 'arc', atS: Math.max(lightsS, live.nowS) }, rules));
  }

  function command(live: LivePlay): DriveCommand {
    const { state, nowS } = live;
    const level = levelAt(state, nowS, rules);
    const beat = hasBeat(state.phase) && program.slowBeat ? beatFactor(program.slowBeat, nowS - state.sinceS) : 1;
    const wireFeedMPerMin = (program.wireFeedMPerMin * level * beat) / 100;
    const isCv = program.mode === 'dip' || program.mode === 'spray';
    return {
      wireFeedMPerMin,
      trimMm: phaseTrimMm(program, state.phase),
      powerOn: !['idle', 'pre-gas', 'post-gas'].includes(state.phase),
      ...(isCv && wireFeedMPerMin > 0 ? { voltageV: sourceVolts({ ...program, wireFeedMPerMin }, circuitMOhm) } : {}),
    };
  }

  return {
    store,
    press() {
      const { live, running } = store.getState();
      if (live.state.held) return;
      if (!running) {
        // A new weld, a new record; the hand's first press stands a little way in.
        startedMs = now();
        lastTickMs = startedMs;
        store.setState({ ...stateOf(livePlay), result: null, slice: null, withoutArc: null });
        drive?.begin(simulationOf(program, { circuitMOhm, seconds: 1, seed: 7 }), traceEveryS);
      }
      take(happened(store.getState().live, { kind: 'press', atS: timeS() }, rules));
    },
    release() {
      const { live } = store.getState();
      if (live.state.held) take(happened(live, { kind: 'release', atS: timeS() }, rules));
    },
    tick() {
      if (!store.getState().running) return;
      const atS = timeS();
      lightWithoutArc(atS);
      const { live } = store.getState();
      drive?.step(Math.max((now() - lastTickMs) / 1000, 0), command(live));
      lastTickMs = now();
      take(advanced(live, Math.max(atS, live.nowS), rules));
    },
    close: () => drive?.close(),
  };
}
