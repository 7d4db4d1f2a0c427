/** The usual change of a bottle or a spool for another of the same kind: nothing of the seam changes, and it is walked with its cautions all the same. */
import { own } from '../../base/record/index.ts';
import { fillerOf, gasName, wireSizeLabel, type FillerCode, sameWire } from '../../metal/consumables/index.ts';
import type { Machine } from '../description/index.ts';
import { joined, message } from '../../base/messages/index.ts';
import { cleanStep, flowStep, gasStep, tensionStep, wireStep, type SetupStep } from './changeover.ts';
import { stepCautions } from './setup-cautions.ts';
import type { FeederState, MachineState, NeededSetup } from './state.ts';
import { usualMinutes, type StepKind } from './step-kinds.ts';

export type Refilled =
  | { readonly what: 'bottle'; readonly gas: string }
  | { readonly what: 'spool'; readonly filler: FillerCode; readonly diameterMm: number };

/** `state` null: nobody entered how the machine stands. Own minutes replace the usual ones. */
export function refillSteps(
  machine: Machine,
  state: MachineState | null,
  refilled: Refilled,
  ownMinutes: Partial<Record<StepKind, number>> = {},
): SetupStep[] {
  const id = Object.keys(state?.feeders ?? {}).find((one) => takes(own(state?.feeders, one), refilled));
  const feeder = id === undefined ? undefined : own(state?.feeders, id);
  const gun = machine.feeders.find((one) => one.id === id) ?? machine.feeders[0];
  if (!gun) return [];
  const needed = sameAgain(feeder, state, refilled);
  const steps =
    refilled.what === 'bottle'
      ? [
          {
            ...gasStep(feeder, needed, gun),
            title: message('setup.change-the-bottle'),
            from: message('setup.the-empty-bottle'),
            to: message('setup.gas.full-one', { gas: gasName(refilled.gas) }),
            why: message('setup.label-not-colour'),
          },
          ...(feeder ? [{ ...flowStep(feeder, needed), from: message('setup.gas.as-old') }] : []),
        ]
      : [
          {
            ...wireStep(feeder, needed),
            title: message('setup.change-the-spool'),
            from: message('setup.the-old-spool'),
            to: joined([fillerOf(refilled.filler).name, wireSizeLabel(refilled.diameterMm)], ', '),
          },
          ...(feeder ? [tensionStep(needed, gun)] : []),
          ...(fillerOf(refilled.filler).family === 'aluminium'
            ? [
                {
                  ...cleanStep(needed),
                  title: message('setup.wire.keep-dry'),
                  from: message('setup.an-opened-spool'),
                  to: message('setup.bagged-and-dry'),
                  why: message('setup.wire.keep-dry-why'),
                  how: [message('setup.wire.bag'), message('setup.wire.warm-up')],
                },
              ]
            : []),
        ];
  return steps.map((step) => ({
    ...step,
    minutes: ownMinutes[step.kind] ?? usualMinutes[step.kind],
    // Nothing is brushed here: a spool goes into its bag.
    cautions: step.kind === 'clean' ? [] : stepCautions(step.kind, feeder, needed),
  }));
}

function takes(feeder: FeederState | undefined, refilled: Refilled): boolean {
  return (
    feeder !== undefined && (refilled.what === 'bottle' ? feeder.gas === refilled.gas : sameWire(feeder, refilled))
  );
}

/** What stands there is what is needed; of a feeder that nobody entered only what is refilled is known. */
function sameAgain(feeder: FeederState | undefined, state: MachineState | null, refilled: Refilled): NeededSetup {
  const unknown: FeederState = {
    filler: refilled.what === 'spool' ? refilled.filler : 'steel-solid',
    diameterMm: refilled.what === 'spool' ? refilled.diameterMm : 1,
    gas: refilled.what === 'bottle' ? refilled.gas : 'none',
    groove: 'V',
    rollMm: 1,
    liner: 'steel',
    tipMm: 1,
    recessMm: 0,
    flowLPerMin: 0,
  };
  return {
    ...(feeder ?? unknown),
    process: state?.process ?? 'gas-metal',
    polarity: state?.polarity ?? 'electrode-positive',
    ctwdMm: 0,
  };
}
