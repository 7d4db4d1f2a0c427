/** The painter against a canvas that writes down what is drawn: words, places and order, not pixels. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { scoreOf, foldsOf, timeMap, type ScoreOf } from '@fox-tempo/core/weld/score';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { program } from '../../../testing/shop.ts';
import { paintLens } from './lens.ts';
import { paintStaves } from './paint-staves.ts';
import { staveLayout, xOf } from './stave-picture.ts';
import { pictureOf } from './staves.tsx';
import { fitted } from './window.ts';

const warm = {
  ...plainSequence,
  ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change,
  tapsAtMm: [400],
};

interface Drawn {
  readonly texts: { text: string; x: number; y: number }[];
  readonly lines: { x: number; y: number }[];
  readonly context: CanvasRenderingContext2D;
}
function canvas(): Drawn {
  const texts: Drawn['texts'] = [];
  const lines: Drawn['lines'] = [];
  const record: Record<string, unknown> = {
    fillText: (text: string, x: number, y: number) => texts.push({ text, x, y }),
    moveTo: (x: number, y: number) => lines.push({ x, y }),
    lineTo: (x: number, y: number) => lines.push({ x, y }),
    measureText: (text: string) => ({ width: text.length * 6 }),
  };
  const context = new Proxy(record, {
    get: (target, name) => target[name as string] ?? (() => undefined),
    set: () => true,
  }) as unknown as CanvasRenderingContext2D;
  return { texts, lines, context };
}

function scored(change: object = {}, lengthMm = 900): ScoreOf {
  const made = scoreOf({ ...program(), ...change, sequence: warm }, { lengthMm, thicknessMm: 3 });
  if (!made.ok) throw new Error(inEnglish(made.issues[0]?.message));
  return made.value;
}
const layout = staveLayout(800, 356);
function painted(whole: ScoreOf, folded: boolean) {
  const steady = whole.score.played.filter(({ name }) => name === 'main' || name === 'second');
  const map = timeMap(whole.score.untilS, folded ? foldsOf(steady) : []);
  const window = fitted(map, layout.width - layout.left - layout.right);
  const drawn = canvas();
  const picture = pictureOf(whole, { map, window }, layout, 'percent');
  paintStaves(drawn.context, picture, (name) => name);
  return { ...drawn, picture };
}
const beat = { meanFeedMPerMin: 7.8, highFeedMPerMin: 9, lowFeedMPerMin: 6.6, highShare: 0.5, frequencyHz: 2 };

describe('the painted score', () => {
  it('has both axes, and names phases with their level where there is room', () => {
    const { texts } = painted(scored(), true);
    const said = texts.map(({ text }) => text);
    expect(said).toEqual(expect.arrayContaining(['s', 'mm', 'trigger', 'gas', 'wire', 'current', '0', '900', 'tap']));
    expect(said.some((text) => /^hold \d\.\d s$/.test(text))).toBe(true);
    expect(said.some((text) => text.startsWith('main'))).toBe(true);
  });

  it('says what a fold hides, and hides no figure outside the folds', () => {
    const { texts } = painted(scored(), true);
    const folds = texts.filter(({ text }) => text.startsWith('folded'));
    expect(folds).toHaveLength(2);
    expect(folds[0]?.text).toMatch(/^folded: \d+ s, \d+ mm$/);
    expect(painted(scored(), false).texts.some(({ text }) => text.startsWith('folded'))).toBe(false);
  });

  it('draws nothing at places that are no numbers, beat or none, folded or not', () => {
    for (const change of [{}, { slowBeat: beat, mode: 'double-pulse' }]) {
      for (const folded of [true, false]) {
        const { lines, texts } = painted(scored(change), folded);
        expect(lines.length).toBeGreaterThan(20);
        for (const { x, y } of [...lines, ...texts]) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
      }
    }
  });

  it('shows a slow beat as steps, and as a band where steps would be a blur', () => {
    const near = painted(scored({ slowBeat: beat, mode: 'double-pulse' }, 120), false).lines.length;
    const far = painted(scored({ slowBeat: { ...beat, frequencyHz: 9 }, mode: 'double-pulse' }, 4000), false).lines
      .length;
    expect(near).toBeGreaterThan(far);
  });

  it('keeps every stave within its own box', () => {
    const { lines } = painted(scored({ slowBeat: beat, mode: 'double-pulse' }), true);
    const bottom = layout.current.top + layout.current.height + 6;
    for (const { y } of lines) expect(y).toBeLessThanOrEqual(bottom);
  });

  it('puts moments where the axis says they are', () => {
    const { picture } = painted(scored(), false);
    expect(xOf(picture, 0)).toBe(layout.left);
    expect(xOf(picture, picture.map.room)).toBeCloseTo(layout.width - layout.right, 6);
  });
});

describe('the lens', () => {
  const whole = scored();
  const at = (atS: number) => {
    const { texts, lines, context } = canvas();
    const { score, electrical } = whole;
    paintLens(
      context,
      { atS, x: 0, y: 0, width: 200, height: 110 },
      { program: whole.program, played: score.played, electrical },
      (name) => name,
    );
    return { said: texts.map(({ text }) => text).join(' | '), lines };
  };

  it('shows the pulses of the level there: faster in the hot start than in the crater', () => {
    const rate = (atS: number) => Number(/(\d+) Hz/.exec(at(atS).said)?.[1]);
    const start = whole.score.played.find(({ name }) => name === 'start')!;
    const end = whole.score.played.find(({ name }) => name === 'end')!;
    expect(rate(start.fromS + 0.1)).toBeGreaterThan(rate(end.fromS + 0.1));
    expect(at(start.fromS + 0.1).said).toMatch(/A peak.*A between/);
  });

  it('says where no arc burns', () => {
    expect(at(0).said).toBe('no arc here');
    expect(at(0).lines).toEqual([]);
  });
});
