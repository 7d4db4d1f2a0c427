/** A score said on one machine: its trigger mode, its words for each part, what it runs by itself, and the sequence as it would really run there. */
import { message, amount, joined, type Phrase, signed } from '../../base/messages/index.ts';
import {
  habitOf,
  triggerModeFor,
  type DialQuantity,
  type Machine,
  type TriggerMode,
} from '../../machine/description/index.ts';
import { type DialSetting, type NotCarried, type Translation } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import {
  schoolFacts,
  usualHabit,
  type SequenceNumber,
  type TriggerHabit,
  type TriggerSequence,
} from '../sequence/index.ts';

export type Part =
  | 'gas before'
  | 'run-in'
  | 'start level'
  | 'start trim'
  | 'start time'
  | 'slope to main'
  | 'second level'
  | 'second trim'
  | 'slope to end'
  | 'end level'
  | 'end trim'
  | 'end time'
  | 'burn-back'
  | 'end pulse'
  | 'gas after'
  | 'spot time'
  | 'stitch time'
  | 'pause';

export interface PartOnMachine {
  readonly part: Part;
  /** The machine's own word with where it is; null without a dial. */
  readonly label: string | null;
  readonly where: string | null;
  readonly said: Phrase;
  /** Set on a dial, timed by the hand, run by the machine as it likes, or not to be had. */
  readonly how: 'dial' | 'hand' | 'fixed' | 'not-here';
}

export interface SequenceOnMachine {
  readonly mode: TriggerMode | null;
  readonly sameSchool: boolean;
  /** What the hand does in that mode. */
  readonly hand: Phrase;
  readonly habit: TriggerHabit;
  readonly parts: readonly PartOnMachine[];
  /** What this machine cannot do of the score, with the nearest it can. */
  readonly lost: readonly NotCarried[];
  /** The program with its sequence as this machine would run it. */
  readonly asRun: Program;
}

interface PartRule {
  readonly part: Part;
  readonly quantity: DialQuantity;
  readonly field: SequenceNumber;
  readonly wanted: (sequence: TriggerSequence) => Phrase;
  /** What stands in the sequence where the machine cannot do it; null keeps the program's own figure as the machine's unknown one. */
  readonly without: number | null;
  /** A level: the dial's feed against main, in percent. */
  readonly isLevel?: true;
}

const seconds = (field: SequenceNumber) => (sequence: TriggerSequence) =>
  sequence[field] === 0 ? message('trigger.none') : joined([amount('phaseTime', sequence[field], 1)]);
const percent = (field: SequenceNumber) => (sequence: TriggerSequence) =>
  joined([amount('percent', sequence[field], 0)]);
const millimetres = (field: SequenceNumber) => (sequence: TriggerSequence) =>
  joined([signed('shortLength', sequence[field], 1)]);

const rules: readonly PartRule[] = [
  { part: 'gas before', quantity: 'preGasS', field: 'preGasS', wanted: seconds('preGasS'), without: null },
  {
    part: 'run-in',
    quantity: 'runInFeedMPerMin',
    field: 'runInPercent',
    wanted: percent('runInPercent'),
    without: null,
    isLevel: true,
  },
  {
    part: 'start level',
    quantity: 'startFeedMPerMin',
    field: 'startPercent',
    wanted: percent('startPercent'),
    without: 100,
    isLevel: true,
  },
  { part: 'start trim', quantity: 'startTrimMm', field: 'startTrimMm', wanted: millimetres('startTrimMm'), without: 0 },
  { part: 'start time', quantity: 'startS', field: 'startS', wanted: seconds('startS'), without: null },
  { part: 'slope to main', quantity: 'slopeInS', field: 'slopeInS', wanted: seconds('slopeInS'), without: 0 },
  {
    part: 'second level',
    quantity: 'secondFeedMPerMin',
    field: 'secondPercent',
    wanted: percent('secondPercent'),
    without: 100,
    isLevel: true,
  },
  {
    part: 'second trim',
    quantity: 'secondTrimMm',
    field: 'secondTrimMm',
    wanted: millimetres('secondTrimMm'),
    without: 0,
  },
  { part: 'slope to end', quantity: 'slopeOutS', field: 'slopeOutS', wanted: seconds('slopeOutS'), without: 0 },
  {
    part: 'end level',
    quantity: 'endFeedMPerMin',
    field: 'endPercent',
    wanted: percent('endPercent'),
    without: 100,
    isLevel: true,
  },
  { part: 'end trim', quantity: 'endTrimMm', field: 'endTrimMm', wanted: millimetres('endTrimMm'), without: 0 },
  { part: 'end time', quantity: 'endS', field: 'endS', wanted: seconds('endS'), without: null },
  { part: 'spot time', quantity: 'spotS', field: 'spotS', wanted: seconds('spotS'), without: null },
  { part: 'stitch time', quantity: 'stitchOnS', field: 'stitchOnS', wanted: seconds('stitchOnS'), without: null },
  { part: 'pause', quantity: 'stitchOffS', field: 'stitchOffS', wanted: seconds('stitchOffS'), without: null },
  {
    part: 'burn-back',
    quantity: 'burnBackMs',
    field: 'burnBackMs',
    wanted: (s) => joined([amount('pulseTime', s.burnBackMs, 0)]),
    without: null,
  },
  { part: 'gas after', quantity: 'postGasS', field: 'postGasS', wanted: seconds('postGasS'), without: null },
];

/** `translation` is the program's on this machine. */
export function sequenceOnMachine(machine: Machine, program: Program, translation: Translation): SequenceOnMachine {
  const found = triggerModeFor(machine, program.sequence.trigger);
  const school = found?.mode.school ?? program.sequence.trigger;
  const fixed = found?.mode.fixed ?? {};
  const wished = program.sequence;
  const run: { -readonly [K in keyof TriggerSequence]: TriggerSequence[K] } = { ...wished, trigger: school };
  const parts: PartOnMachine[] = [];
  for (const rule of rules) {
    if (!isWanted(rule, wished)) continue;
    const dial = translation.dials.find(({ quantity }) => quantity === rule.quantity);
    const own = fixed[rule.field];
    if (dial) {
      run[rule.field] = reachedOf(rule, dial, program) ?? wished[rule.field];
      parts.push({
        part: rule.part,
        label: dial.label,
        where: dial.where,
        said: `${dial.display}${dial.unit ? ` ${dial.unit}` : ''}`,
        how: 'dial',
      });
    } else if (own !== undefined) {
      run[rule.field] = own;
      parts.push({
        part: rule.part,
        label: null,
        where: null,
        said: message('trigger.fixed', { own: rule.wanted({ ...wished, [rule.field]: own }) }),
        how: 'fixed',
      });
    } else if (isByHand(rule.part, school)) {
      parts.push({
        part: rule.part,
        label: null,
        where: null,
        said: message('trigger.by-hand', { wished: rule.wanted(wished) }),
        how: 'hand',
      });
    } else {
      if (rule.without !== null) run[rule.field] = rule.without;
      parts.push({
        part: rule.part,
        label: null,
        where: null,
        said: rule.without === null ? message('trigger.line.as-the-machine-does') : message('trigger.not-here'),
        how: rule.without === null ? 'fixed' : 'not-here',
      });
    }
  }
  if (wished.endPulse) {
    run.endPulse = false;
    parts.push({
      part: 'end pulse',
      label: null,
      where: null,
      said: message('trigger.not-described-here'),
      how: 'not-here',
    });
  }
  if (!schoolFacts[school].second) run.tapsAtMm = [];
  const sequenceQuantities = new Set<string>([...rules.map(({ quantity }) => quantity), 'trigger']);
  return {
    mode: found?.mode ?? null,
    sameSchool: found?.same ?? false,
    hand: schoolFacts[school].hand,
    habit: found ? habitOf(found.mode) : usualHabit,
    parts,
    lost: [
      ...translation.notCarried.filter(
        ({ quantity }) =>
          sequenceQuantities.has(quantity) && !(quantity === 'secondFeedMPerMin' && !schoolFacts[school].second),
      ),
      ...tapsLost(wished, school),
      ...heldTimesLost(wished, school, fixed),
    ],
    asRun: { ...program, sequence: run },
  };
}

/** Parts the score's own trigger does not use are not spoken of. */
function isWanted({ part, field }: PartRule, sequence: TriggerSequence): boolean {
  const { ends, second } = schoolFacts[sequence.trigger];
  if (part.startsWith('start') || part.startsWith('end') || part.startsWith('slope')) {
    return ends !== 'none' && (!part.endsWith('trim') || sequence[field] !== 0);
  }
  if (part.startsWith('second'))
    return second && sequence.tapsAtMm.length > 0 && (part === 'second level' || sequence[field] !== 0);
  if (part === 'spot time') return sequence.trigger === 'spot';
  if (part === 'stitch time' || part === 'pause') return sequence.trigger === 'stitch';
  return true;
}

function isByHand(part: Part, school: TriggerSequence['trigger']): boolean {
  if (part === 'start time' || part === 'end time') return schoolFacts[school].ends === 'held';
  return (
    (part === 'spot time' || part === 'stitch time' || part === 'pause') && (school === 'hold' || school === 'latch')
  );
}

function reachedOf(rule: PartRule, dial: DialSetting, program: Program): number | undefined {
  const { reachedQuantity, wishedQuantity } = dial;
  if (reachedQuantity === undefined || wishedQuantity === undefined) return undefined;
  // What the dial misses, on the figure it was asked for: levels as percent, trims beside the program's own.
  if (rule.isLevel)
    return wishedQuantity === 0 ? undefined : (program.sequence[rule.field] * reachedQuantity) / wishedQuantity;
  return program.sequence[rule.field] + (reachedQuantity - wishedQuantity);
}

function tapsLost(
  { trigger, tapsAtMm, secondPercent }: TriggerSequence,
  school: TriggerSequence['trigger'],
): NotCarried[] {
  if (!schoolFacts[trigger].second || tapsAtMm.length === 0 || schoolFacts[school].second) return [];
  return [
    {
      quantity: 'secondFeedMPerMin',
      what: message('trigger.line.tap', {
        second: amount('percent', secondPercent, 0),
        mm: tapsAtMm.map((mm) => amount('length', mm, 0)),
      }),
      nearest: message('trigger.line.no-second-level'),
    },
  ];
}

/** A start or crater that the hand would hold, on a machine that times it by itself or has none. */
function heldTimesLost(
  { trigger, startS, endS, endPercent }: TriggerSequence,
  school: TriggerSequence['trigger'],
  fixed: NonNullable<TriggerMode['fixed']>,
): NotCarried[] {
  if (schoolFacts[trigger].ends !== 'held') return [];
  const timed = (quantity: 'startS' | 'endS', name: string, wanted: number): NotCarried[] => {
    const own = fixed[quantity];
    if (own === undefined || Math.abs(own - wanted) < 0.1) return [];
    return [
      {
        quantity,
        what: message('trigger.held', { name, wanted: amount('phaseTime', wanted, 1) }),
        nearest: message('trigger.line.timed-by-machine', { own: amount('phaseTime', own, 1) }),
      },
    ];
  };
  if (schoolFacts[school].ends === 'timed')
    return [...timed('startS', 'start', startS), ...timed('endS', 'crater', endS)];
  if (schoolFacts[school].ends !== 'none' || endS <= 0) return [];
  return [
    {
      quantity: 'endS',
      what: message('trigger.line.crater', {
        level: amount('phaseTime', endS, 1),
        time: amount('percent', endPercent, 0),
      }),
      nearest: message('trigger.line.crater-presses'),
    },
  ];
}
