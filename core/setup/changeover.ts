/**
 * From what is on the machine to what the next seam needs: only the differences, the most often forgotten first, each with a safe way of
 * doing it and its minutes. On a machine with several feeders the one that needs least is taken.
 */
import { fillerOf, gasName, wireSizeLabel } from '../consumables/index.ts';
import type { Machine } from '../machine/index.ts';
import { sameWire } from '../machine/index.ts';
import type { Warning } from '../outcome/index.ts';
import { stepKinds, usualMinutes, type StepKind } from './step-kinds.ts';
import { stepCautions } from './setup-cautions.ts';
import { neededSetup, processWords, type FeederState, type MachineState, type NeededSetup } from './state.ts';
import type { Program } from '../machine/index.ts';

export interface SetupStep {
  readonly kind: StepKind;
  readonly title: string;
  readonly from: string;
  readonly to: string;
  /** What goes wrong when it is forgotten. */
  readonly why: string;
  /** A safe way of doing it, in order. */
  readonly how: readonly string[];
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
  const needed = neededSetup(program);
  const minutesOf = (kind: StepKind) => ownMinutes[kind] ?? usualMinutes[kind];
  const ways = machine.feeders.map((feeder) => {
    const steps = stepsFor(machine, state, needed, feeder.id).map((step) => ({
      ...step,
      minutes: minutesOf(step.kind),
      cautions: stepCautions(step.kind, state.feeders[feeder.id], needed),
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
  return least ?? { feederId: '', feederLabel: '', steps: [], minutes: 0, needed };
}

type BareStep = Omit<SetupStep, 'minutes' | 'cautions'>;

function stepsFor(machine: Machine, state: MachineState, needed: NeededSetup, feederId: string): BareStep[] {
  const feeder = state.feeders[feederId];
  const steps: BareStep[] = [];
  if (state.polarity !== needed.polarity) steps.push(polarityStep(state, needed));
  if (state.process !== needed.process) steps.push(processStep(state, needed));
  if (state.feederId !== feederId) steps.push(feederStep(machine, state, feederId));
  const alloyChanges = !feeder || fillerOf(feeder.filler).family !== fillerOf(needed.filler).family;
  const wireChanges = !feeder || !sameWire(feeder, needed);
  if (!feeder || feeder.gas !== needed.gas) steps.push(gasStep(feeder, needed));
  if (needed.gas !== 'none' && (!feeder || Math.abs(feeder.flowLPerMin - needed.flowLPerMin) > 1)) {
    steps.push(flowStep(feeder, needed));
  }
  if (!feeder || feeder.groove !== needed.groove || Math.abs(feeder.rollMm - needed.rollMm) > 0.05) {
    steps.push(rollStep(feeder, needed));
  }
  if (!feeder || feeder.liner !== needed.liner) steps.push(linerStep(feeder, needed));
  if (wireChanges) steps.push(wireStep(feeder, needed));
  if (!feeder || Math.abs(feeder.tipMm - needed.tipMm) > 0.05) steps.push(tipStep(feeder, needed));
  if (!feeder || Math.abs(feeder.recessMm - needed.recessMm) >= 1) steps.push(recessStep(feeder, needed));
  if (wireChanges || steps.some((step) => step.kind === 'rolls')) steps.push(tensionStep(needed));
  if (alloyChanges) steps.push(cleanStep(needed));
  return steps.sort((a, b) => stepKinds.indexOf(a.kind) - stepKinds.indexOf(b.kind));
}

const poles = {
  'electrode-positive': 'wire on plus',
  'electrode-negative': 'wire on minus',
} as const;

function polarityStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'polarity',
    title: 'Swap the pole leads',
    from: poles[state.polarity],
    to: poles[needed.polarity],
    why: 'On the wrong pole the arc spits, hardly melts in and no dial mends it.',
    how: [
      'Switch the source off at the wall and wait until its fan stops.',
      `Swap gun and return lead at the terminals: ${poles[needed.polarity]}.`,
      'Turn both plugs home; a loose one burns.',
    ],
  };
}

function processStep(state: MachineState, needed: NeededSetup): BareStep {
  return {
    kind: 'process',
    title: 'Choose the process',
    from: processWords[state.process],
    to: processWords[needed.process],
    why: 'The source still behaves as for the other process.',
    how: [
      'Take the other gun or electrode holder off its terminal and hang it insulated.',
      'Choose the process on the source.',
      'Check that the trigger plug is the one of this gun.',
    ],
  };
}

function feederStep(machine: Machine, state: MachineState, feederId: string): BareStep {
  const label = (id: string) => {
    const feeder = machine.feeders.find((one) => one.id === id);
    return feeder ? `${feeder.label}, ${feeder.gun}` : id;
  };
  return {
    kind: 'feeder',
    title: 'Switch to the other feeder',
    from: label(state.feederId),
    to: label(feederId),
    why: 'The wrong gun stays live and the right one does nothing.',
    how: ['Hang up the gun that is not used, its wire end clear of metal.', 'Switch the feeder on the source.'],
  };
}

function gasStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const name = (code: string) => gasName(code);
  return {
    kind: 'gas',
    title: needed.gas === 'none' ? 'Shut the gas' : 'Change the gas',
    from: feeder ? name(feeder.gas) : 'nothing known',
    to: name(needed.gas),
    why: 'The wrong gas looks like a bad setting: no pulse, pores, black bead.',
    how:
      needed.gas === 'none'
        ? ['Close the cylinder valve.', 'Let the hose run empty with the gas test key.']
        : [
            'Close the cylinder valve, empty the hose with the gas test key.',
            'Cap the old cylinder, chain the new one. Crack its valve for a moment, standing aside; no oil or grease.',
            'Fit the regulator of this gas, seal ring in place, second spanner on the hose.',
            'Open slowly, try every joint with leak spray, flush ten seconds.',
          ],
  };
}

function flowStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'flow',
    title: 'Set the flow',
    from: feeder ? `${feeder.flowLPerMin} L/min` : 'nothing known',
    to: `${needed.flowLPerMin} L/min`,
    why: 'Too little lets air in; too much draws it in.',
    how: ['Gas test key on, current off.', 'Measure at the nozzle with the cup; read the middle of the ball.'],
  };
}

const grooveWords = { V: 'V groove, smooth', U: 'U groove, smooth', knurled: 'knurled' } as const;

function rollStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'rolls',
    title: 'Change the drive rolls',
    from: feeder ? `${grooveWords[feeder.groove]}, ${feeder.rollMm.toFixed(1)}` : 'nothing known',
    to: `${grooveWords[needed.groove]}, ${needed.rollMm.toFixed(1)}`,
    why: 'A wrong groove shaves or slips the wire; in pulse every stutter shows.',
    how: [
      'Source off. Lift the pressure arm, fingers clear of the gears.',
      'Change all rolls of the set; the stamp that faces you is the groove in use on most drives: look.',
      'Blow nothing out with air towards your face; wipe.',
    ],
  };
}

function linerStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'liner',
    title: 'Change the liner',
    from: feeder ? `${feeder.liner} liner` : 'nothing known',
    to: `${needed.liner} liner`,
    why:
      needed.liner === 'polymer'
        ? 'A steel liner shaves soft wire until it jams.'
        : 'A polymer liner wears out quickly under hard wire.',
    how: [
      'Source off, wire wound back and held: a loose spool unwinds.',
      'Contact tip off, gun laid straight.',
      'Pull the old liner, push the new one, seal ring at the socket, cut it square to length.',
    ],
  };
}

function wireStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const name = (code: FeederState['filler'], size: number) => `${fillerOf(code).name}, ${wireSizeLabel(size)}`;
  return {
    kind: 'wire',
    title: 'Change the wire',
    from: feeder ? name(feeder.filler, feeder.diameterMm) : 'nothing known',
    to: name(needed.filler, needed.diameterMm),
    why: 'Another alloy in the seam is seen only when it cracks. Note which seam got which wire.',
    how: [
      'Read the spool’s label aloud: class and size.',
      'Source off. Cut past any bend, file the end round, hold the wire all the time.',
      'Contact tip off, gun straight, pressure arm light. Thread by the jog key, which carries no current; wire end away from face, hands and people.',
    ],
  };
}

function tipStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  return {
    kind: 'tip',
    title: 'Change the contact tip',
    from: feeder ? feeder.tipMm.toFixed(1) : 'nothing known',
    to: needed.tipMm.toFixed(1),
    why:
      needed.tipMm > needed.rollMm + 0.05
        ? 'Aluminium swells when hot and sticks in a matched tip.'
        : 'A wide tip sparks inside and the arc wanders.',
    how: [
      'Source off, tip cold.',
      'Screw it home with the tool, not by hand: a loose tip is the first cause of an erratic arc.',
    ],
  };
}

function recessStep(feeder: FeederState | undefined, needed: NeededSetup): BareStep {
  const words = (mm: number) => (Math.abs(mm) < 0.5 ? 'flush' : mm > 0 ? `${mm} mm inside` : `${-mm} mm out`);
  return {
    kind: 'recess',
    title: 'Set the tip’s recess',
    from: feeder ? words(feeder.recessMm) : 'nothing known',
    to: words(needed.recessMm),
    why: needed.recessMm > 0 ? 'A flush tip overheats in pulse.' : 'A recessed tip makes dip reach too far.',
    how: [
      'Source off, nozzle cold.',
      'Choose nozzle or holder so that the tip ends as drawn; measure with the rule’s end.',
    ],
  };
}

function tensionStep(needed: NeededSetup): BareStep {
  return {
    kind: 'tension',
    title: 'Set the pressure arm',
    from: 'mark of the last wire',
    to: `the mark for ${needed.groove} groove and ${fillerOf(needed.filler).name.split(',')[0] ?? ''}`,
    why: 'Too tight crushes soft wire, too light slips.',
    how: [
      'Jog without current against a block of wood at 50 mm, wire end low and away from people: it should bend over, not slip.',
      'Never brake the wire or spool with thumb or glove: it pierces and may be live.',
      'Write the mark on the arm down for this wire.',
    ],
  };
}

function cleanStep(needed: NeededSetup): BareStep {
  const isAluminium = fillerOf(needed.filler).family === 'aluminium';
  return {
    kind: 'clean',
    title: isAluminium ? 'Brush and bench for aluminium' : 'Clean for the other metal',
    from: 'dust of the last metal',
    to: isAluminium ? 'stainless brush kept for aluminium, degreased joint' : 'clean bench, clean nozzle',
    why: isAluminium ? 'Oxide and grease become pores.' : 'Dust of one metal spoils the other.',
    how: isAluminium
      ? [
          'Degrease first, let it dry, then brush with the stainless brush kept for aluminium.',
          'No chlorinated cleaner anywhere near: the arc makes poison gas of it.',
          'Weld within the shift.',
        ]
      : ['Wipe bench and clamps.', 'Nozzle free of spatter.'],
  };
}
