/**
 * From what is on the machine to what the next seam needs: only the differences, the most often forgotten first, each with a safe way of
 * doing it and its minutes. On a machine with several feeders the one that needs least is taken.
 */
import { own } from '../../base/record/index.ts';
import { dialsToSet } from './dials-to-set.ts';
import { amount, hazard, joined, type Phrase, message } from '../../base/messages/index.ts';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '../../metal/consumables/index.ts';
import { type Feeder, type Machine, displayed, toldDials } from '../description/index.ts';
import { cardOf } from '../dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { rollOf } from './gun-troubles.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { stepKinds, usualMinutes, type StepKind } from './step-kinds.ts';
import { stepCautions } from './setup-cautions.ts';
import { neededSetup, processWords, type FeederState, type MachineState, type NeededSetup } from './state.ts';

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
    return value === undefined || !scale ? message('setup.not-known') : displayed(scale, value);
  };
  const named = (value: (dial: (typeof left)[number]) => Phrase) => {
    const lines = left.slice(0, mostNamed).map((dial) => joined([dial.label, value(dial)], ' '));
    return left.length > mostNamed
      ? message('setup.dials.more', { lines: joined(lines, ', '), more: left.length - mostNamed })
      : joined(lines, ', ');
  };
  return [
    {
      kind: 'dials',
      title: message('setup.set-the-dials', { count: left.length }),
      from: named(({ dialId }) => nowOf(dialId)),
      to: named(({ display, unit }) => joined(unit === '' ? [display] : [display, unit], ' ')),
      why: message('setup.dials.why'),
      how: [message('setup.dials.number-first'), message('setup.dials.tick')],
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
  'electrode-positive': message('setup.wire-on-plus'),
  'electrode-negative': message('setup.wire-on-minus'),
} as const;

function polarityStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'polarity',
    title: message('setup.polarity.title'),
    from: poles[state.polarity],
    to: poles[needed.polarity],
    why: message('setup.polarity.why'),
    how: [
      hazard('setup.polarity.source-off'),
      message('setup.polarity.swap', { polarity: poles[needed.polarity] }),
      message('setup.polarity.plugs'),
    ],
  };
}

function processStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'process',
    title: message('setup.choose-the-process'),
    from: processWords[state.process],
    to: processWords[needed.process],
    why: message('setup.process.why'),
    how: [hazard('setup.process.other-gun'), message('setup.process.choose'), message('setup.process.trigger-plug')],
  };
}

function feederStep(machine: Machine, state: MachineState, feederId: string): BareStep {
  const label = (id: string) => {
    const feeder = machine.feeders.find((one) => one.id === id);
    return feeder ? joined([feeder.label, feeder.gun], ', ') : id;
  };
  return {
    kind: 'feeder',
    title: message('setup.feeder.title'),
    from: label(state.feederId),
    to: label(feederId),
    why: hazard('setup.feeder.why'),
    how: [hazard('setup.feeder.hang-gun'), message('setup.feeder.switch')],
  };
}

export function gasStep(feeder: FeederState | undefined, needed: NeededSetup, { paper }: Feeder): BareStep {
  const name = (code: string) => gasName(code);
  const fitting = paper?.fittings?.find(({ gas }) => gas === needed.gas)?.fitting;
  return {
    kind: 'gas',
    title: needed.gas === 'none' ? message('setup.shut-the-gas') : message('setup.change-the-gas'),
    from: feeder ? name(feeder.gas) : nothingKnown,
    to: name(needed.gas),
    why: message('setup.gas.why'),
    how:
      needed.gas === 'none'
        ? [hazard('setup.gas.close-valve'), message('setup.gas.empty-hose')]
        : [
            hazard('setup.gas.close-and-empty'),
            hazard('setup.gas.new-cylinder'),
            fitting === undefined ? message('setup.gas.regulator') : hazard('setup.gas.regulator-noted', { fitting }),
            hazard('setup.gas.open-and-test'),
          ],
  };
}

export function flowStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'flow',
    title: message('setup.set-the-flow'),
    from: feeder ? joined([amount('gasFlow', feeder.flowLPerMin)]) : nothingKnown,
    to: joined([amount('gasFlow', needed.flowLPerMin)]),
    why: message('setup.flow.why'),
    how: [message('setup.flow.gas-test'), message('setup.flow.measure')],
  };
}

const nothingKnown = message('setup.nothing-known');
const linerWords = { steel: message('setup.steel-liner'), polymer: message('setup.polymer-liner') } as const;
const grooveWords = {
  V: message('setup.v-groove-smooth'),
  U: message('setup.u-groove-smooth'),
  knurled: message('setup.knurled'),
} as const;

function rollStep(feeder: FeederState | undefined, needed: NeededSetup, gun: Feeder): BareStep {
  const colour = rollOf(gun, needed.groove, needed.rollMm);
  const roll = [grooveWords[needed.groove], amount('plain', needed.rollMm, 1)] as const;
  return {
    kind: 'rolls',
    title: message('setup.rolls.title'),
    from: feeder ? joined([grooveWords[feeder.groove], amount('plain', feeder.rollMm, 1)], ', ') : nothingKnown,
    to: colour === undefined ? joined(roll, ', ') : joined([...roll, colour], ', '),
    why: message('setup.rolls.why'),
    how: [hazard('setup.rolls.source-off'), message('setup.rolls.change-all'), hazard('setup.rolls.wipe')],
  };
}

function linerStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'liner',
    title: message('setup.change-the-liner'),
    from: feeder ? linerWords[feeder.liner] : nothingKnown,
    to: linerWords[needed.liner],
    why: needed.liner === 'polymer' ? message('setup.liner.why-steel') : message('setup.liner.why-polymer'),
    how: [hazard('setup.liner.source-off'), message('setup.liner.tip-off'), message('setup.liner.pull-and-push')],
  };
}

export function wireStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const name = (code: FeederState['filler'], size: number) => joined([fillerOf(code).name, wireSizeLabel(size)], ', ');
  return {
    kind: 'wire',
    title: message('setup.change-the-wire'),
    from: feeder ? name(feeder.filler, feeder.diameterMm) : nothingKnown,
    to: name(needed.filler, needed.diameterMm),
    why: message('setup.wire.why-alloy'),
    how: [message('setup.wire.read-label'), hazard('setup.wire.source-off'), hazard('setup.wire.thread')],
  };
}

function tipStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'tip',
    title: message('setup.tip.title'),
    from: feeder ? joined([amount('plain', feeder.tipMm, 1)]) : nothingKnown,
    to: joined([amount('plain', needed.tipMm, 1)]),
    why: needed.tipMm > needed.rollMm + 0.05 ? message('setup.tip.why-aluminium') : message('setup.tip.why-wide'),
    how: [hazard('setup.tip.source-off'), message('setup.tip.tighten')],
  };
}

function recessStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const words = (mm: number) =>
    Math.abs(mm) < 0.5
      ? 'flush'
      : mm > 0
        ? message('setup.inside', { mm: amount('shortLength', mm) })
        : message('setup.out', { mm: amount('shortLength', -mm) });
  return {
    kind: 'recess',
    title: message('setup.recess.title'),
    from: feeder ? words(feeder.recessMm) : nothingKnown,
    to: words(needed.recessMm),
    why: needed.recessMm > 0 ? message('setup.recess.why-flush') : message('setup.recess.why-recessed'),
    how: [hazard('setup.recess.source-off'), message('setup.recess.fit')],
  };
}

export function tensionStep(needed: NeededSetup, { paper }: Feeder): BareStep {
  const mark = paper?.tension?.find((one) => sameWire(one, needed))?.mark;
  return {
    kind: 'tension',
    title: message('setup.pressure.title'),
    from: message('setup.pressure.mark-last'),
    to:
      mark !== undefined
        ? message('setup.mark-as-noted', { mark })
        : message('setup.pressure.mark', {
            groove: needed.groove === 'knurled' ? grooveWords.knurled : needed.groove,
            filler: fillerOf(needed.filler).name,
          }),
    why: message('setup.pressure.why'),
    how: [
      message('setup.pressure.test', { distance: amount('shortLength', 50) }),
      hazard('setup.pressure.never-brake'),
      message('setup.pressure.note'),
    ],
  };
}

export function cleanStep(needed: NeededSetup): BareStep {
  const isAluminium = fillerOf(needed.filler).family === 'aluminium';
  return {
    kind: 'clean',
    title: isAluminium ? message('setup.cleaning.aluminium') : message('setup.cleaning.title'),
    from: message('setup.cleaning.last-dust'),
    to: isAluminium ? message('setup.stainless-brush-kept') : message('setup.cleaning.clean'),
    why: isAluminium ? message('setup.cleaning.why-aluminium') : message('setup.cleaning.why-other'),
    how: isAluminium
      ? [message('setup.cleaning.degrease'), hazard('setup.cleaning.no-chlorine'), message('setup.cleaning.weld-soon')]
      : [message('setup.cleaning.bench'), message('setup.cleaning.nozzle')],
  };
}
