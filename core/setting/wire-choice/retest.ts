/** A change of alloy, size or gas is a new program: the tests it opens, limited to what it touches, with what the model says has moved. */
import { allOf, amount, type Phrase, message, sentences } from '../../base/messages/index.ts';
import { transitionCurrentA } from '../../metal/arc/index.ts';
import { type FillerCode, fillerOf, gasName, gasOf, isSameFiller, wireAreaMm2 } from '../../metal/consumables/index.ts';
import { arcOf } from '../../machine/dials/index.ts';
import { type Program } from '../program/index.ts';

export interface Retest {
  readonly id:
    | 'feed'
    | 'trim'
    | 'pulse'
    | 'lowest-feed'
    | 'starts-and-stops'
    | 'wire-path'
    | 'flow'
    | 'penetration'
    | 'strength'
    | 'looks'
    | 'record';
  readonly title: Phrase;
  readonly why: Phrase;
}

export interface WireAndGas {
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly gas: string;
}

/** Empty when nothing changes. `mode` and stick-out come from the program that is being changed. */
export function retestList(
  from: WireAndGas,
  to: WireAndGas,
  {
    mode,
    ctwdMm,
    wireFeedMPerMin,
    travelMmPerMin,
  }: Pick<Program, 'mode' | 'ctwdMm' | 'wireFeedMPerMin' | 'travelMmPerMin'>,
): Retest[] {
  const alloy = !isSameFiller(from.filler, to.filler);
  const size = Math.abs(from.diameterMm - to.diameterMm) > 1e-6;
  const gas = from.gas !== to.gas;
  if (!alloy && !size && !gas) return [];
  const list: Retest[] = [];
  const add = (id: Retest['id'], title: Phrase, why: Phrase) => list.push({ id, title, why });
  const before = arcOf({ ...from, mode }, ctwdMm, 0);
  const after = arcOf({ ...to, mode }, ctwdMm, 0);
  if (alloy || size)
    add(
      'feed',
      message('wire-choice.retest.feed'),
      feedWords(before, after, wireFeedMPerMin, from, to, travelMmPerMin),
    );
  add('trim', message('wire-choice.retest.arc-length'), trimWords(before, after, wireFeedMPerMin));
  if (mode === 'pulse' || mode === 'double-pulse') {
    add('pulse', message('wire-choice.retest.one-drop'), pulseWords(from, to, { alloy, size, gas }));
    add('lowest-feed', message('wire-choice.retest.slowest-feed'), message('wire-choice.retest.slowest-feed-why'));
  }
  if (alloy || size) {
    add('starts-and-stops', message('wire-choice.retest.start'), message('wire-choice.retest.start-why'));
    add(
      'wire-path',
      message('wire-choice.retest.feeding'),
      alloy ? message('wire-choice.retest.feeding-why-alloy') : message('wire-choice.retest.feeding-why-size'),
    );
  }
  if (gas) {
    add(
      'flow',
      message('wire-choice.retest.flow'),
      message('wire-choice.retest.flow-why', { gas: gasName(to.gas), before: gasName(from.gas) }),
    );
    add('penetration', message('wire-choice.retest.cut-open'), message('wire-choice.retest.cut-open-why'));
  }
  if (alloy) {
    add(
      'strength',
      message('wire-choice.retest.strength'),
      message('wire-choice.retest.strength-why', {
        after: fillerOf(to.filler).name,
        before: fillerOf(from.filler).name,
      }),
    );
    add('looks', message('wire-choice.colour-tint-soot'), message('wire-choice.retest.colour-why'));
    add('record', message('wire-choice.retest.record'), message('wire-choice.retest.record-why'));
  }
  return list;
}

type Arc = ReturnType<typeof arcOf>;

function feedWords(
  before: Arc,
  after: Arc,
  feed: number,
  from: WireAndGas,
  to: WireAndGas,
  travelMmPerMin: number,
): Phrase {
  const current = before.currentAt(feed);
  const next = current === undefined ? undefined : after.feedAt(current);
  const metal = 100 * (wireAreaMm2(to.diameterMm) / wireAreaMm2(from.diameterMm) - 1);
  const more =
    Math.abs(metal) < 0.5
      ? null
      : message('wire-choice.retest.deposit', {
          metal: amount('percent', Math.abs(metal), 0),
          sense: metal > 0 ? 'more' : 'other',
        });
  return next === undefined
    ? sentences([message('wire-choice.retest.no-setting', { feed: amount('wireFeed', feed, 1) }), more])
    : sentences([
        message('wire-choice.retest.feed-why', {
          current: amount('current', current ?? 0, 0),
          next: amount('wireFeed', next, 1),
          feed: amount('wireFeed', feed, 1),
        }),
        more,
        laidWords(feed, next, from, to, travelMmPerMin),
      ]);
}

/** Metal laid for each millimetre of seam, before and after, side by side: the jump in the bead is then expected. */
function laidWords(feed: number, next: number, from: WireAndGas, to: WireAndGas, travelMmPerMin: number): Phrase {
  const laid = (one: WireAndGas, at: number) =>
    (at * 1000 * wireAreaMm2(one.diameterMm) * fillerOf(one.filler).yield) / travelMmPerMin;
  return message('wire-choice.retest.travel-why', {
    feed: amount('metalVolume', laid(from, feed), 1),
    next: amount('plain', laid(to, next), 1),
  });
}

function trimWords(before: Arc, after: Arc, feed: number): Phrase {
  const [old, now] = [before.lineVoltsAt(feed), after.lineVoltsAt(feed)];
  if (old === undefined || now === undefined) return message('wire-choice.retest.line-why');
  const by = now - old;
  return Math.abs(by) < 0.2
    ? message('wire-choice.retest.line-same')
    : message('wire-choice.retest.line-moves', {
        by: amount('voltage', Math.abs(by), 1),
        sense: by > 0 ? 'higher' : 'other',
      });
}

function pulseWords(
  from: WireAndGas,
  to: WireAndGas,
  { alloy, size, gas }: { alloy: boolean; size: boolean; gas: boolean },
): Phrase {
  const ic = (one: WireAndGas) => transitionCurrentA(fillerOf(one.filler).family, one.diameterMm, gasOf(one.gas));
  const what = allOf([
    ...(alloy ? [message('wire-choice.alloy')] : []),
    ...(size ? [message('wire-choice.wire-size')] : []),
    ...(gas ? [message('wire-choice.gas')] : []),
  ]);
  return message('wire-choice.retest.one-drop-why', {
    what,
    from: amount('current', ic(from), 0),
    value: amount('current', ic(to), 0),
  });
}
