/** What the painters of a score share: the layout of the staves, what is drawn on them, and where a moment stands. */
import type { Program } from '@fox-tempo/core/setting/program';
import type { ElectricalOf, GunPath, SeamScore, TimeMap } from '@fox-tempo/core/weld/score';
import type { PlayedPhase } from '@fox-tempo/core/weld/sequence';
import type { ColourName } from '../../../ui/theme/colours.ts';
import type { Window } from './window.ts';

export interface StaveBox {
  readonly top: number;
  readonly height: number;
}

export interface StaveLayout {
  readonly left: number;
  readonly right: number;
  readonly width: number;
  readonly height: number;
  readonly trigger: StaveBox;
  readonly gas: StaveBox;
  readonly wire: StaveBox;
  readonly current: StaveBox;
}

/** Heights on the page; narrow cards leave the labels out and give the room to the staves. */
export function staveLayout(width: number, height: number, isSmall = false): StaveLayout {
  const left = isSmall ? 8 : 64;
  const top = isSmall ? 16 : 26;
  const bottom = isSmall ? 16 : 26;
  const gap = isSmall ? 3 : 7;
  const free = height - top - bottom - 3 * gap;
  const trigger = { top, height: free * 0.15 };
  const gas = { top: trigger.top + trigger.height + gap, height: free * 0.12 };
  const wire = { top: gas.top + gas.height + gap, height: free * 0.24 };
  const current = { top: wire.top + wire.height + gap, height: free * 0.49 };
  return { left, right: isSmall ? 8 : 14, width, height, trigger, gas, wire, current };
}

export interface StavePicture {
  readonly program: Program;
  readonly played: readonly PlayedPhase[];
  readonly gun: GunPath;
  readonly electrical: ElectricalOf;
  /** For the trigger stave. */
  readonly hand: Pick<SeamScore, 'events' | 'gun' | 'untilS'>;
  readonly map: TimeMap;
  readonly window: Window;
  readonly layout: StaveLayout;
  /** Highest level drawn, percent of main. */
  readonly topPercent: number;
  readonly topA: number;
  readonly levelText: (percent: number, phase: PlayedPhase['name']) => string;
  readonly flowLPerMin: number;
  readonly isSmall: boolean;
  readonly selected: PlayedPhase['name'] | null;
}

export type Colour = (name: ColourName) => string;

export function xOf({ map, window, layout }: Pick<StavePicture, 'map' | 'window' | 'layout'>, atS: number): number {
  return layout.left + (map.place(atS) - window.from) * window.pxPerS;
}

export function font(px: number, mono = false, weight = 500): string {
  return `${weight} ${px}px ${mono ? "'Spline Sans Mono', monospace" : "'Archivo Variable', Archivo, sans-serif"}`;
}
