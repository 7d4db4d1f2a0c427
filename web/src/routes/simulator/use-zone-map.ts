/** The map of a setting: its axes, what it is drawn around, and how far it is; kept by the view, so that map and words show the same. */
import type { MachineResource } from '@fox-tempo/contract';
import type { WireCorrection } from '@fox-tempo/core/metal/arc';
import type { Program } from '@fox-tempo/core/setting/program';
import {
  axisRange,
  figureOn,
  mapAxes,
  type AxisRange,
  type MapAxis,
  type MapRequest,
  type ZoneMap,
} from '@fox-tempo/core/weld/zone-map';
import { useMemo, useState } from 'react';
import { useMap, type MapState } from './use-map.ts';

export interface ZoneMapState {
  readonly x: MapAxis;
  readonly y: MapAxis;
  setX: (axis: MapAxis) => void;
  setY: (axis: MapAxis) => void;
  readonly ranges: { readonly x: AxisRange; readonly y: AxisRange };
  readonly at: { readonly x: number; readonly y: number };
  readonly state: MapState;
  readonly map: ZoneMap | null;
  readonly share: number;
  /** What the map is of, to ask the same of another program. */
  readonly question: Omit<MapRequest, 'seconds'>;
  retry: () => void;
}

export interface MapOf {
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly circuitMOhm: number;
  readonly correction: WireCorrection | null;
  readonly heldBackgroundA: number | null;
}

export function useZoneMap({ program, circuitMOhm, correction, heldBackgroundA }: MapOf): ZoneMapState {
  const [x, setX] = useState<MapAxis>('wireFeedMPerMin');
  const [y, setY] = useState<MapAxis>('trimMm');
  const [attempt, setAttempt] = useState(0);
  const anchor = useAnchor(program, x, y);
  const ranges = useMemo(() => ({ x: axisRange(anchor, x), y: axisRange(anchor, y) }), [anchor, x, y]);
  const question = useMemo(
    () => ({ program: anchor, ...ranges, circuitMOhm, heldBackgroundA, ...(correction ? { correction } : {}) }),
    [anchor, ranges, circuitMOhm, heldBackgroundA, correction],
  );
  const state = useMap(question, attempt);
  const [atX, atY] = [figureOn(program, x), figureOn(program, y)];
  return useMemo(
    () => ({
      x,
      y,
      setX,
      setY,
      ranges,
      at: { x: atX, y: atY },
      state,
      map: mapOf(state),
      share: shareOf(state),
      question,
      retry: () => setAttempt((now) => now + 1),
    }),
    [x, y, ranges, atX, atY, state, question],
  );
}

/** The setting that the map is drawn around: moving along the map's own axes does not draw it anew. */
function useAnchor(program: Program, x: MapAxis, y: MapAxis): Program {
  const rest = surroundings(program, [x, y]);
  const [anchor, setAnchor] = useState({ rest, program });
  if (anchor.rest !== rest) {
    setAnchor({ rest, program });
    return program;
  }
  return anchor.program;
}

/** Everything the arc of a place depends on beside the axes, as one text. */
function surroundings(program: Program, along: readonly MapAxis[]): string {
  const { filler, gas, diameterMm, mode, pulse, slowBeat } = program;
  const fixed = mapAxes.filter(
    // The background follows the feed, and so does the mean of a beat.
    (axis) => !along.includes(axis) && !(axis === 'backgroundCurrentA' && along.includes('wireFeedMPerMin')),
  );
  return JSON.stringify([
    filler,
    gas,
    diameterMm,
    mode,
    fixed.map((axis) => [axis, figureOn(program, axis).toFixed(3)]),
    pulse && [pulse.peakCurrentA.toFixed(2), pulse.peakTimeMs.toFixed(3)],
    slowBeat && [
      (slowBeat.highFeedMPerMin / slowBeat.meanFeedMPerMin).toFixed(4),
      slowBeat.highShare.toFixed(4),
      slowBeat.frequencyHz.toFixed(3),
    ],
  ]);
}

export function mapOf(state: MapState): ZoneMap | null {
  return state.kind === 'drawing' || state.kind === 'done' ? state.map : null;
}

export function shareOf(state: MapState): number {
  return state.kind === 'done' ? 1 : state.kind === 'drawing' ? Math.min(state.share, 0.99) : 0;
}
