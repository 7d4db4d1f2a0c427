/** What is called out at each moment of a played weld. The welder is a list of presses; the arc lights 50 ms after the wire. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import type { Program } from '../../setting/program/index.ts';
import {
  advanced,
  happened,
  livePlay,
  plainSequence,
  recordOf,
  sequenceTemplates,
  type LivePlay,
  type TriggerEvent,
  type TriggerSequence,
} from '../sequence/index.ts';
import { cueFor, playedAgainst } from './cue.ts';
import { gunPath } from './gun-path.ts';
import { rulesOf, seamScore } from './intended.ts';

const base = {
  filler: 'aluminium-5356',
  gas: 'I1',
  diameterMm: 1.2,
  mode: 'pulse',
  wireFeedMPerMin: 7,
  travelMmPerMin: 600,
  gasFlowLPerMin: 18,
} as Program;
const warm = {
  ...plainSequence,
  ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change,
  tapsAtMm: [50],
};

function player(sequence: TriggerSequence, lengthMm = 100) {
  const program = { ...base, sequence };
  const rules = rulesOf(program);
  const score = seamScore(program, lengthMm);
  const at = (events: readonly TriggerEvent[], atS: number): LivePlay => {
    let live = livePlay;
    const to = (moment: number) => {
      for (;;) {
        const { phase, litS, sinceS } = live.state;
        const lights = phase === 'run-in' && litS === null ? sinceS + 0.05 : Number.POSITIVE_INFINITY;
        const before = live;
        if (lights <= moment && advanced(live, lights, rules).state.phase === 'run-in') {
          live = happened(live, { kind: 'arc', atS: lights }, rules);
        } else live = advanced(live, moment, rules);
        if (live === before || live.nowS >= moment) break;
      }
    };
    // Small steps, as a page's clock makes them.
    const walk = (toS: number) => {
      for (let moment = live.nowS; moment < toS; moment += 0.01) to(moment);
      to(toS);
    };
    for (const event of events.filter((one) => one.atS <= atS)) {
      walk(event.atS);
      live = happened(live, { kind: event.action, atS: event.atS }, rules);
    }
    walk(atS);
    return live;
  };
  const cue = (events: readonly TriggerEvent[], atS: number) => {
    const live = at(events, atS);
    return cueFor(live, sequence, score, gunPath(recordOf(live, rules), 600), 10);
  };
  return { at, cue, score, rules };
}
const hold = (fromS: number, toS: number): TriggerEvent[] => [
  { atS: fromS, action: 'press' },
  { atS: toS, action: 'release' },
];

describe('what is called while a weld is played', () => {
  const { cue } = player(warm);
  const start = hold(0, 1.65);
  const tapped = [...start, ...hold(5, 5.15)];

  it('counts a held start and says when it has had enough', () => {
    expect(inEnglish(cue([], 0))).toMatchObject({ word: 'press', detail: 'press and hold', due: true });
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 0.2))).toMatchObject({ word: 'hold…', detail: 'gas first' });
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 1))).toMatchObject({
      word: 'hold…',
      detail: 'start: 0.7 s to go',
      due: false,
    });
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 1.7))).toMatchObject({ word: 'let go', due: true });
  });

  it('calls the tap in millimetres, and after it the end', () => {
    expect(inEnglish(cue(start, 3))).toMatchObject({
      word: 'weld on',
      detail: expect.stringMatching(/^tap in 2\d mm/),
    });
    expect(inEnglish(cue(start, 5.5))).toMatchObject({ word: 'tap', due: true });
    expect(inEnglish(cue(tapped, 5.4))).toMatchObject({
      word: 'weld on',
      detail: expect.stringMatching(/^press and hold in 4\d mm/),
    });
  });

  it('takes a tap made early for made, and asks for no second one', () => {
    const early = [...start, ...hold(3, 3.15)];
    expect(inEnglish(cue(early, 3.3).detail)).toMatch(/^press and hold in/);
  });

  it('counts the crater and keeps the gun over it while the gas runs', () => {
    const ending = [...tapped, { atS: 9, action: 'press' as const }];
    expect(inEnglish(cue(ending, 9.5))).toMatchObject({ word: 'hold…', detail: 'slope; the crater comes' });
    expect(inEnglish(cue(ending, 11.05))).toMatchObject({ word: 'hold… one' });
    expect(inEnglish(cue(ending, 11.3))).toMatchObject({ word: 'let go', due: true });
    expect(inEnglish(cue([...ending, { atS: 11.3, action: 'release' }], 12))).toMatchObject({ word: 'stay' });
  });
});

describe('other schools', () => {
  it('plain latching: press, let go, weld on, press', () => {
    const { cue } = player({ ...plainSequence, trigger: 'latch' });
    expect(inEnglish(cue([], 0).detail)).toBe('press and let go');
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 0.28))).toMatchObject({ word: 'let go' });
    expect(inEnglish(cue(hold(0, 0.4), 9))).toMatchObject({ detail: expect.stringMatching(/^press in \d+ mm/) });
  });

  it('held welding: let go at the end of the seam', () => {
    const { cue } = player({ ...plainSequence, trigger: 'hold' });
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 9))).toMatchObject({
      detail: expect.stringMatching(/^let go in/),
    });
    expect(inEnglish(cue([{ atS: 0, action: 'press' }], 10.3))).toMatchObject({ word: 'let go', due: true });
  });

  it('spots and stitches go by the clock', () => {
    expect(
      inEnglish(player({ ...plainSequence, trigger: 'spot' }).cue([{ atS: 0, action: 'press' }], 0.5).detail),
    ).toContain('by itself');
    const stitch = player({ ...plainSequence, trigger: 'stitch' });
    expect(inEnglish(stitch.cue([{ atS: 0, action: 'press' }], 1.2).word)).toBe('move');
  });
});

describe('how a weld came out against its score', () => {
  it('judges held times and places', () => {
    const { at, score, rules } = player(warm);
    const events = [...hold(0, 1.65), ...hold(5, 5.15), ...hold(9.3, 11.4)];
    const record = recordOf(at(events, 16), rules);
    const parts = playedAgainst(warm, score, record, gunPath(record, 600));
    expect(inEnglish(parts.map(({ part }) => part))).toEqual(['start held', 'tap 1', 'end of the weld', 'crater held']);
    expect(inEnglish(parts[0] as unknown)).toMatchObject({ wanted: '1.0 s', was: '1.0 s', fits: true });
    expect(inEnglish(parts[1] as unknown)).toMatchObject({ wanted: '50 mm', fits: true });
  });

  it('says what was not done', () => {
    const { at, score, rules } = player(warm);
    const record = recordOf(at([...hold(0, 3), ...hold(4.5, 6)], 12), rules);
    const parts = playedAgainst(warm, score, record, gunPath(record, 600));
    expect(inEnglish(parts.find(({ part }) => inEnglish(part) === 'tap 1') as unknown)).toMatchObject({
      was: 'not done',
      fits: false,
    });
    expect(parts.find(({ part }) => inEnglish(part) === 'start held')?.fits).toBe(false);
  });
});
