/** A change of alloy, size or gas is a new program: the tests it opens, limited to what it touches, with what the model says has moved. */
import { transitionCurrentA } from '../arc/index.ts';
import { type FillerCode, fillerOf, gasName, gasOf, isSameFiller, wireAreaMm2 } from '../consumables/index.ts';
import { arcOf, type Program } from '../machine/index.ts';

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
  readonly title: string;
  readonly why: string;
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
  const add = (id: Retest['id'], title: string, why: string) => list.push({ id, title, why });
  const before = arcOf({ ...from, mode }, ctwdMm, 0);
  const after = arcOf({ ...to, mode }, ctwdMm, 0);
  if (alloy || size)
    add('feed', 'Feed for the same current', feedWords(before, after, wireFeedMPerMin, from, to, travelMmPerMin));
  add('trim', 'Arc length: first crackle and margin', trimWords(before, after, wireFeedMPerMin));
  if (mode === 'pulse' || mode === 'double-pulse') {
    add('pulse', 'Fast pulse: one drop in each', pulseWords(from, to, { alloy, size, gas }));
    add('lowest-feed', 'Slowest feed that still pulses cleanly', 'The window’s lower end moves with wire and gas.');
  }
  if (alloy || size) {
    add('starts-and-stops', 'Run-in, start level, burn-back', 'Another wire lights, buckles and burns back otherwise.');
    add(
      'wire-path',
      'Rolls, pressure, liner, tip',
      alloy ? 'Stiffness and swelling differ.' : 'Groove and tip are made for one size.',
    );
  }
  if (gas) {
    add(
      'flow',
      'Flow at the nozzle',
      `${gasName(to.gas)} is not ${gasName(from.gas)}: the meter reads one gas only, and light gas needs more.`,
    );
    add('penetration', 'Cut one open, look at the back', 'The gas shapes the penetration.');
  }
  if (alloy) {
    add(
      'strength',
      'Strength and cracking of the joint',
      `${fillerOf(to.filler).name} instead of ${fillerOf(from.filler).name}: ask the procedure.`,
    );
    add('looks', 'Colour, tint, soot', 'Beside the old seam it may show.');
    add('record', 'Note which seam got which wire', 'A later crack is traced by it.');
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
): string {
  const current = before.currentAt(feed);
  const next = current === undefined ? undefined : after.feedAt(current);
  const metal = 100 * (wireAreaMm2(to.diameterMm) / wireAreaMm2(from.diameterMm) - 1);
  const more =
    Math.abs(metal) < 0.5
      ? ''
      : ` Each metre carries ${Math.abs(metal).toFixed(0)} % ${metal > 0 ? 'more' : 'less'} metal.`;
  return next === undefined
    ? `At ${feed.toFixed(1)} m/min the new wire has no steady setting in this mode.${more}`
    : `${(current ?? 0).toFixed(0)} A takes ${next.toFixed(1)} m/min instead of ${feed.toFixed(1)}.${more}${laidWords(feed, next, from, to, travelMmPerMin)}`;
}

/** Metal laid for each millimetre of seam, before and after, side by side: the jump in the bead is then expected. */
function laidWords(feed: number, next: number, from: WireAndGas, to: WireAndGas, travelMmPerMin: number): string {
  const laid = (one: WireAndGas, at: number) =>
    (at * 1000 * wireAreaMm2(one.diameterMm) * fillerOf(one.filler).yield) / travelMmPerMin;
  return ` Laid at the same pace: ${laid(from, feed).toFixed(1)} mm³ a mm before, ${laid(to, next).toFixed(1)} now.`;
}

function trimWords(before: Arc, after: Arc, feed: number): string {
  const [old, now] = [before.lineVoltsAt(feed), after.lineVoltsAt(feed)];
  if (old === undefined || now === undefined) return 'The line of the new pair lies elsewhere.';
  const by = now - old;
  return Math.abs(by) < 0.2
    ? 'The line’s volts hardly move; listen all the same.'
    : `At this feed the line lies ${Math.abs(by).toFixed(1)} V ${by > 0 ? 'higher' : 'lower'}: the same volts would make a ${by > 0 ? 'shorter' : 'longer'} arc.`;
}

function pulseWords(
  from: WireAndGas,
  to: WireAndGas,
  { alloy, size, gas }: { alloy: boolean; size: boolean; gas: boolean },
): string {
  const ic = (one: WireAndGas) => transitionCurrentA(fillerOf(one.filler).family, one.diameterMm, gasOf(one.gas));
  const what = [alloy && 'alloy', size && 'size', gas && 'gas'].filter(Boolean).join(' and ');
  return `The ${what} moves what detaches a drop: transition ${ic(from).toFixed(0)} A before, ${ic(to).toFixed(0)} A now.`;
}
