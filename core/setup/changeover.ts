/**
 * From what is on the machine to what the next seam needs: only the differences, the most often forgotten first, each with a safe way of
 * doing it and its minutes. On a machine with several feeders the one that needs least is taken.
 */
import { own } from '../record/index.ts';
import { dialsToSet } from './dials-to-set.ts';
import { amount, hazard, joined, type Phrase, say } from '../said/index.ts';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '../consumables/index.ts';
import { type Feeder, type Machine, displayed, toldDials, cardOf } from '../machine/index.ts';
import { rollOf } from './gun-troubles.ts';
import type { Warning } from '../outcome/index.ts';
import { stepKinds, usualMinutes, type StepKind } from './step-kinds.ts';
import { stepCautions } from './setup-cautions.ts';
import { neededSetup, processWords, type FeederState, type MachineState, type NeededSetup } from './state.ts';
import type { Program } from '../machine/index.ts';

export interface SetupStep {
  readonly kind: StepKind;
  readonly title: Phrase;
  readonly from: Phrase;
  readonly to: Phrase;
  /** What goes wrong when it is forgotten. */
  readonly why: Phrase;
  /** A safe way of doing it, in order. */
  readonly how: readonly Phrase[];
  readonly minutes: number;
  readonly cautions: readonly Warning[];
}

export interface Changeover {
  readonly feederId: string;
  readonly feederLabel: string;
  readonly steps: readonly SetupStep[];
  readonly minutes: number;
  readonly needed: NeededSetup;
}

export function changeover(
  machine: Machine,
  state: MachineState,
  program: Program,
  ownMinutes: Partial<Record<StepKind, number>> = {},
): Changeover {
  const minutesOf = (kind: StepKind) => ownMinutes[kind] ?? usualMinutes[kind];
  const ways = machine.feeders.map((feeder) => {
    const needed = neededSetup(program, feeder.paper?.tipRule);
    const steps = [...stepsFor(machine, state, needed, feeder), ...dialSteps(machine, state, program)].map((step) => ({
      ...step,
      minutes: minutesOf(step.kind),
      cautions: stepCautions(step.kind, own(state.feeders, feeder.id), needed),
    }));
    return {
      feederId: feeder.id,
      feederLabel: feeder.label,
      steps,
      minutes: steps.reduce((sum, step) => sum + step.minutes, 0),
      needed,
    };
  });
  const least = ways.reduce<Changeover | undefined>(
    (best, way) => (best && best.minutes <= way.minutes ? best : way),
    undefined,
  );
  return least ?? { feederId: '', feederLabel: '', steps: [], minutes: 0, needed: neededSetup(program) };
}

/** How a machine stands once a program was set up on it. */
export function setUpFor(machine: Machine, state: MachineState, program: Program): MachineState {
  const { feederId, needed } = changeover(machine, state, program);
  const { process, polarity, ctwdMm: _ctwdMm, ...feeder } = needed;
  return {
    process,
    polarity,
    feederId,
    feeders: { ...state.feeders, [feederId]: feeder },
    dials: {
      ...state.dials,
      ...Object.fromEntries(cardOf(machine, program).dials.map(({ dialId, value }) => [dialId, value])),
    },
  };
}

/** So many lines are named; more are counted. */
const mostNamed = 3;

/** The card's lines that do not stand yet, as one step: the last, since wire and gas come before them. */
function dialSteps(machine: Machine, state: MachineState, program: Program): BareStep[] {
  const left = dialsToSet(cardOf(machine, program), state.dials);
  if (left.length === 0) return [];
  const scaleOf = (id: string) => toldDials(machine).find((dial) => dial.id === id)?.scale;
  const nowOf = (id: string): Phrase => {
    const value = own(state.dials, id);
    const scale = scaleOf(id);
    return value === undefined || !scale ? say('setup.not-known') : displayed(scale, value);
  };
  const named = (value: (dial: (typeof left)[number]) => Phrase) => {
    const lines = left.slice(0, mostNamed).map((dial) => joined([dial.label, value(dial)], ' '));
    return left.length > mostNamed
      ? say('setup.dials-and-more', { lines: joined(lines, ', '), more: left.length - mostNamed })
      : joined(lines, ', ');
  };
  return [
    {
      kind: 'dials',
      title: say('setup.set-the-dials', { count: left.length }),
      from: named(({ dialId }) => nowOf(dialId)),
      to: named(({ display, unit }) => joined(unit === '' ? [display] : [display, unit], ' ')),
      why: say('setup.dials-of-the-last-seam'),
      how: [say('setup.number-first-then-the-rest'), say('setup.tick-them-at-the-machine')],
    },
  ];
}

type BareStep = Omit<SetupStep, 'minutes' | 'cautions'>;

function stepsFor(machine: Machine, state: MachineState, needed: NeededSetup, gun: Feeder): BareStep[] {
  const feederId = gun.id;
  const feeder = own(state.feeders, feederId);
  const steps: BareStep[] = [];
  if (state.polarity !== needed.polarity) steps.push(polarityStep(state, needed));
  if (state.process !== needed.process) steps.push(processStep(state, needed));
  if (state.feederId !== feederId) steps.push(feederStep(machine, state, feederId));
  const alloyChanges = !feeder || fillerOf(feeder.filler).family !== fillerOf(needed.filler).family;
  const wireChanges = !feeder || !sameWire(feeder, needed);
  if (!feeder || feeder.gas !== needed.gas) steps.push(gasStep(feeder, needed, gun));
  if (needed.gas !== 'none' && (!feeder || Math.abs(feeder.flowLPerMin - needed.flowLPerMin) > 1)) {
    steps.push(flowStep(feeder, needed));
  }
  if (!feeder || feeder.groove !== needed.groove || Math.abs(feeder.rollMm - needed.rollMm) > 0.05) {
    steps.push(rollStep(feeder, needed, gun));
  }
  if (!feeder || feeder.liner !== needed.liner) steps.push(linerStep(feeder, needed));
  if (wireChanges) steps.push(wireStep(feeder, needed));
  if (!feeder || Math.abs(feeder.tipMm - needed.tipMm) > 0.05) steps.push(tipStep(feeder, needed));
  if (!feeder || Math.abs(feeder.recessMm - needed.recessMm) >= 1) steps.push(recessStep(feeder, needed));
  if (wireChanges || steps.some((step) => step.kind === 'rolls')) steps.push(tensionStep(needed, gun));
  if (alloyChanges) steps.push(cleanStep(needed));
  return steps.sort((a, b) => stepKinds.indexOf(a.kind) - stepKinds.indexOf(b.kind));
}

const poles = {
  'electrode-positive': say('setup.wire-on-plus'),
  'electrode-negative': say('setup.wire-on-minus'),
} as const;

function polarityStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'polarity',
    title: say('setup.swap-the-pole-leads'),
    from: poles[state.polarity],
    to: poles[needed.polarity],
    why: say('setup.on-the-wrong-pole-the'),
    how: [
      hazard('setup.switch-the-source-off-at'),
      say('setup.swap-gun-and-return-lead', { polarity: poles[needed.polarity] }),
      say('setup.turn-both-plugs-home-a'),
    ],
  };
}

function processStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'process',
    title: say('setup.choose-the-process'),
    from: processWords[state.process],
    to: processWords[needed.process],
    why: say('setup.the-source-still-behaves-as'),
    how: [
      hazard('setup.take-the-other-gun-or'),
      say('setup.choose-the-process-on-the'),
      say('setup.check-that-the-trigger-plug'),
    ],
  };
}

function feederStep(machine: Machine, state: MachineState, feederId: string): BareStep {
  const label = (id: string) => {
    const feeder = machine.feeders.find((one) => one.id === id);
    return feeder ? joined([feeder.label, feeder.gun], ', ') : id;
  };
  return {
    kind: 'feeder',
    title: say('setup.switch-to-the-other-feeder'),
    from: label(state.feederId),
    to: label(feederId),
    why: hazard('setup.the-wrong-gun-stays-live'),
    how: [hazard('setup.hang-up-the-gun-that'), say('setup.switch-the-feeder-on-the')],
  };
}

export function gasStep(feeder: FeederState | undefined, needed: NeededSetup, { paper }: Feeder): BareStep {
  const name = (code: string) => gasName(code);
  const fitting = paper?.fittings?.find(({ gas }) => gas === needed.gas)?.fitting;
  return {
    kind: 'gas',
    title: needed.gas === 'none' ? say('setup.shut-the-gas') : say('setup.change-the-gas'),
    from: feeder ? name(feeder.gas) : nothingKnown,
    to: name(needed.gas),
    why: say('setup.the-wrong-gas-looks-like'),
    how:
      needed.gas === 'none'
        ? [hazard('setup.close-the-cylinder-valve'), say('setup.let-the-hose-run-empty')]
        : [
            hazard('setup.close-the-cylinder-valve-empty'),
            hazard('setup.cap-the-old-cylinder-chain'),
            fitting === undefined
              ? say('setup.fit-the-regulator-of-this')
              : hazard('setup.fit-by-its-fitting', { fitting }),
            hazard('setup.open-slowly-try-every-joint'),
          ],
  };
}

export function flowStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'flow',
    title: say('setup.set-the-flow'),
    from: feeder ? joined([amount('gasFlow', feeder.flowLPerMin)]) : nothingKnown,
    to: joined([amount('gasFlow', needed.flowLPerMin)]),
    why: say('setup.too-little-lets-air-in'),
    how: [say('setup.gas-test-key-on-current'), say('setup.measure-at-the-nozzle-with')],
  };
}

const nothingKnown = say('setup.nothing-known');
const linerWords = { steel: say('setup.steel-liner'), polymer: say('setup.polymer-liner') } as const;
const grooveWords = {
  V: say('setup.v-groove-smooth'),
  U: say('setup.u-groove-smooth'),
  knurled: say('setup.knurled'),
} as const;

function rollStep(feeder: FeederState | undefined, needed: NeededSetup, gun: Feeder): BareStep {
  const colour = rollOf(gun, needed.groove, needed.rollMm);
  const roll = [grooveWords[needed.groove], amount('plain', needed.rollMm, 1)] as const;
  return {
    kind: 'rolls',
    title: say('setup.change-the-drive-rolls'),
    from: feeder ? joined([grooveWords[feeder.groove], amount('plain', feeder.rollMm, 1)], ', ') : nothingKnown,
    to: colour === undefined ? joined(roll, ', ') : joined([...roll, colour], ', '),
    why: say('setup.a-wrong-groove-shaves-or'),
    how: [
      hazard('setup.source-off-lift-the-pressure'),
      say('setup.change-all-rolls-of-the'),
      hazard('setup.blow-nothing-out-with-air'),
    ],
  };
}

function linerStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'liner',
    title: say('setup.change-the-liner'),
    from: feeder ? linerWords[feeder.liner] : nothingKnown,
    to: linerWords[needed.liner],
    why: needed.liner === 'polymer' ? say('setup.a-steel-liner-shaves-soft') : say('setup.a-polymer-liner-wears-out'),
    how: [
      hazard('setup.source-off-wire-wound-back'),
      say('setup.contact-tip-off-gun-laid'),
      say('setup.pull-the-old-liner-push'),
    ],
  };
}

export function wireStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const name = (code: FeederState['filler'], size: number) => joined([fillerOf(code).name, wireSizeLabel(size)], ', ');
  return {
    kind: 'wire',
    title: say('setup.change-the-wire'),
    from: feeder ? name(feeder.filler, feeder.diameterMm) : nothingKnown,
    to: name(needed.filler, needed.diameterMm),
    why: say('setup.another-alloy-in-the-seam'),
    how: [
      say('setup.read-the-spools-label-aloud'),
      hazard('setup.source-off-cut-past-any'),
      hazard('setup.contact-tip-off-gun-straight'),
    ],
  };
}

function tipStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'tip',
    title: say('setup.change-the-contact-tip'),
    from: feeder ? joined([amount('plain', feeder.tipMm, 1)]) : nothingKnown,
    to: joined([amount('plain', needed.tipMm, 1)]),
    why:
      needed.tipMm > needed.rollMm + 0.05
        ? say('setup.aluminium-swells-when-hot-and')
        : say('setup.a-wide-tip-sparks-inside'),
    how: [hazard('setup.source-off-tip-cold'), say('setup.screw-it-home-with-the')],
  };
}

function recessStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const words = (mm: number) =>
    Math.abs(mm) < 0.5
      ? 'flush'
      : mm > 0
        ? say('setup.inside', { mm: amount('shortLength', mm) })
        : say('setup.out', { mm: amount('shortLength', -mm) });
  return {
    kind: 'recess',
    title: say('setup.set-the-tips-recess'),
    from: feeder ? words(feeder.recessMm) : nothingKnown,
    to: words(needed.recessMm),
    why: needed.recessMm > 0 ? say('setup.a-flush-tip-overheats-in') : say('setup.a-recessed-tip-makes-dip'),
    how: [hazard('setup.source-off-nozzle-cold'), say('setup.choose-nozzle-or-holder-so')],
  };
}

export function tensionStep(needed: NeededSetup, { paper }: Feeder): BareStep {
  const mark = paper?.tension?.find((one) => sameWire(one, needed))?.mark;
  return {
    kind: 'tension',
    title: say('setup.set-the-pressure-arm'),
    from: say('setup.mark-of-the-last-wire'),
    to:
      mark !== undefined
        ? say('setup.mark-as-noted', { mark })
        : say('setup.the-mark-for', {
            groove: needed.groove === 'knurled' ? grooveWords.knurled : needed.groove,
            filler: fillerOf(needed.filler).name,
          }),
    why: say('setup.too-tight-crushes-soft-wire'),
    how: [
      say('setup.jog-without-current-against-a', { short50: amount('shortLength', 50) }),
      hazard('setup.never-brake-the-wire-or'),
      say('setup.write-the-mark-on-the'),
    ],
  };
}

export function cleanStep(needed: NeededSetup): BareStep {
  const isAluminium = fillerOf(needed.filler).family === 'aluminium';
  return {
    kind: 'clean',
    title: isAluminium ? say('setup.brush-and-bench-for-aluminium') : say('setup.clean-for-the-other-metal'),
    from: say('setup.dust-of-the-last-metal'),
    to: isAluminium ? say('setup.stainless-brush-kept') : say('setup.clean-bench'),
    why: isAluminium ? say('setup.oxide-and-grease-become-pores') : say('setup.dust-of-one-metal-spoils'),
    how: isAluminium
      ? [
          say('setup.degrease-first-let-it-dry'),
          hazard('setup.no-chlorinated-cleaner-anywhere-near'),
          say('setup.weld-within-the-shift'),
        ]
      : [say('setup.wipe-bench-and-clamps'), say('setup.nozzle-free-of-spatter')],
  };
}
