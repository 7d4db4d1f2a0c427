/**
 * An arc that is driven while it runs: whoever holds the trigger says feed, pulse level, source and drive slice by slice, and gets a trace.
 * The same loop as every other simulation; only its source is set anew before each slice.
 */
import { success, type Outcome } from '../../base/outcome/index.ts';
import { contact } from './arc-state.ts';
import type { SimulationInput } from './input.ts';
import { run } from './loop.ts';
import { coldState, prepare } from './prepare.ts';
import { Recorder } from './recorder.ts';
import { buildSource, type Source } from './source.ts';
import { traceOf, type SimulationTrace } from './trace.ts';

/** What the machine does over a slice. */
export interface DriveCommand {
  /** Feed and pulse level, m/min; 0 stops the drive. */
  readonly wireFeedMPerMin: number;
  /** Arc length beside the program's own, mm. */
  readonly trimMm: number;
  readonly powerOn: boolean;
  /** Set-point of a constant-voltage source, V; left out: as it was set up. */
  readonly voltageV?: number | undefined;
}

export interface DrivenSlice {
  readonly trace: SimulationTrace;
  /** The arc burns at the end of the slice, after having lit since the source came on. */
  readonly lit: boolean;
  readonly drops: number;
  readonly shorts: number;
  /** Touches of cold wire, and wire bent on the plate, since the source came on. */
  readonly touches: number;
  readonly buckles: number;
  /** Free wire from the contact tip with what hangs on it, mm. */
  readonly freeWireMm: number;
}

export interface DrivenArc {
  readonly timeS: number;
  step(seconds: number, command: DriveCommand): DrivenSlice;
}

/** Longest slice, s: it sizes the trace. */
export const longestSliceS = 0.5;
const sourceGridMPerMin = 0.25;

/** A cold wire over a cold plate. Issues: `simulationIssues`, and those of the source. */
export function drivenArc(input: SimulationInput, traceEveryS: number): Outcome<DrivenArc> {
  const prepared = prepare(input);
  if (!prepared.ok) return prepared;
  const { model, source: main, feedMmPerS: fed } = prepared.value;
  const state = coldState(model, input);
  const recorder = new Recorder(longestSliceS, traceEveryS);
  recorder.measureFromS = 0;
  const sources = new Map<string, Source>();
  let lastSource: Source = main;
  let wasOn = false;

  /** The source for a feed: solved once per grid step and arc length, and the last one where there is no pulse. */
  const sourceFor = ({ wireFeedMPerMin, trimMm }: DriveCommand): Source => {
    if (input.source.kind !== 'pulse' || wireFeedMPerMin <= 0) return lastSource;
    const grid = Math.max(Math.round(wireFeedMPerMin / sourceGridMPerMin), 1) * sourceGridMPerMin;
    const key = `${grid}/${trimMm}`;
    const known = sources.get(key);
    if (known) return known;
    const { slowBeat: _beat, trim = 0, pulse, ...plain } = input.source;
    const isMain = Math.abs(grid - input.wireFeedMPerMin) < sourceGridMPerMin;
    const { backgroundCurrentA: _background, frequencyHz: _frequency, ...peak } = pulse ?? {};
    const built = buildSource({
      ...input,
      wireFeedMPerMin: isMain ? input.wireFeedMPerMin : grid,
      source: { ...plain, trim: trim + trimMm, ...(pulse ? { pulse: peak } : {}) },
    });
    const source = built.ok ? built.value : lastSource;
    sources.set(key, source);
    return source;
  };

  return success({
    get timeS() {
      return state.timeS;
    },
    step(seconds, command) {
      if (command.powerOn && !wasOn) {
        // Cold again: the wire has to touch and fuse before it burns.
        recorder.litS = -1;
        recorder.touches = 0;
        recorder.buckles = 0;
        state.currentA = 0;
        if (state.contact === contact.arc || state.contact === contact.liquid) state.contact = contact.open;
      }
      wasOn = command.powerOn;
      lastSource = sourceFor(command);
      const feedMmPerS = fed(command.wireFeedMPerMin);
      const source =
        lastSource.kind === 'pulse'
          ? {
              ...lastSource,
              high: { ...lastSource.high, feedMmPerS },
              low: { ...lastSource.low, feedMmPerS },
            }
          : { ...lastSource, voltageV: command.voltageV ?? lastSource.voltageV };
      recorder.traceLength = 0;
      recorder.drops = 0;
      recorder.shorts = 0;
      const sliced = { ...model, setup: { ...model.setup, source, feedMmPerS } };
      run(sliced, state, Math.min(seconds, longestSliceS), recorder, command.powerOn, command.wireFeedMPerMin > 0);
      const { drops, shorts, touches, buckles, litS } = recorder;
      return {
        trace: traceOf(recorder),
        lit: litS >= 0 && command.powerOn && state.contact !== contact.open,
        drops,
        shorts,
        touches,
        buckles,
        freeWireMm: state.extensionMm + Math.cbrt((6 * state.dropMm3) / Math.PI),
      };
    },
  });
}
