/** The session against a stand-in for the driven arc: what a key does, and what the machine is told. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { scoreOf } from '@fox-tempo/core/weld/score';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import type { DriveCommand, DrivenSlice } from '@fox-tempo/core/weld/simulation';
import type { DriveHeard } from '../../../workers/drive-client.ts';
import { program } from '../../../testing/shop.ts';
import { createPlaySession } from './play-session.ts';

const sequence = {
  ...plainSequence,
  ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change,
  tapsAtMm: [60],
};
const empty = new Float32Array(0);
const slice = (lit: boolean): DrivenSlice => ({
  lit,
  drops: 0,
  shorts: 0,
  touches: 1,
  buckles: 0,
  freeWireMm: 12,
  trace: {
    timeS: new Float64Array(0),
    currentA: empty,
    voltageV: empty,
    arcLengthMm: empty,
    extensionMm: empty,
    dropMm3: empty,
    gapMm: empty,
    contact: new Uint8Array(0),
  },
});

function open(withArc = true) {
  const made = scoreOf({ ...program(), sequence }, { lengthMm: 160, thicknessMm: 3 });
  if (!made.ok) throw new Error('refused');
  let nowMs = 1000;
  let heard: DriveHeard | null = null;
  const told: DriveCommand[] = [];
  const session = createPlaySession({
    whole: made.value,
    circuitMOhm: 15,
    now: () => nowMs,
    makeDrive: withArc
      ? (listener) => {
          heard = listener;
          return {
            begin: () => undefined,
            step: (_seconds, command) => {
              told.push(command);
              return true;
            },
            close: () => undefined,
          };
        }
      : null,
  });
  return {
    session,
    told,
    whole: made.value,
    light: () => heard?.onSlice(slice(true)),
    lose: () => heard?.onLost('out of memory'),
    run: (seconds: number): void => {
      for (let done = 0; done < seconds - 1e-9; done += 0.016) {
        nowMs += 16;
        session.tick();
      }
    },
    phase: () => session.store.getState().live.state.phase,
  };
}

describe('a weld played by hand', () => {
  it('waits for the simulated arc, then goes on as the table says', () => {
    const { session, light, run, phase, told } = open();
    session.press();
    expect(phase()).toBe('pre-gas');
    run(0.6);
    expect(phase()).toBe('run-in');
    expect(told.at(-1)).toMatchObject({ powerOn: true });
    light();
    run(0.2);
    expect(phase()).toBe('start');
    expect(told.at(-1)?.wireFeedMPerMin).toBeCloseTo(1.3 * program().wireFeedMPerMin, 6);
    session.release();
    run(0.6);
    expect(phase()).toBe('main');
    session.press();
    run(0.1);
    session.release();
    expect(phase()).toBe('second');
    session.press();
    run(1.2);
    expect(phase()).toBe('end');
    session.release();
    run(4);
    expect(phase()).toBe('idle');
    expect(inEnglish(session.store.getState().result?.map(({ part }) => part))).toEqual([
      'start held',
      'tap 1',
      'end of the weld',
      'crater held',
    ]);
  });

  it('lights after the computed delay where there is no arc, or when it is lost', () => {
    const alone = open(false);
    alone.session.press();
    alone.run(0.5 + alone.whole.score.ignitionS + 0.2);
    expect(alone.phase()).toBe('start');
    const lost = open();
    lost.session.press();
    lost.run(0.6);
    lost.lose();
    lost.run(lost.whole.score.ignitionS + 0.2);
    expect([lost.phase(), lost.session.store.getState().withoutArc]).toEqual(['start', 'out of memory']);
  });

  it('takes a key that repeats for one press, and begins anew with the next weld', () => {
    const { session, run, phase } = open(false);
    session.press();
    session.press();
    expect(session.store.getState().live.events).toHaveLength(1);
    run(0.2);
    session.release();
    run(4);
    expect(phase()).toBe('idle');
    expect(session.store.getState().result).toEqual([]);
    session.press();
    expect(session.store.getState().live.events).toHaveLength(1);
    expect(session.store.getState().result).toBeNull();
  });
});
