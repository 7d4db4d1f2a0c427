/** The arc bench: the setting tuned by picture, chart, map, numbers and ear, with the machine's dial card always beside it. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import {
  correctionFor,
  simulationOf,
  wireWords,
  whatIfInput,
  type FeedHabit,
  type Program,
  type SimulationInput,
  type WhatIf,
  type WireCorrection,
} from '@fox-tempo/core';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, redirect, useLoaderData, useParams } from 'react-router';
import { api } from '../../lib/api.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { BesideCard, useMachineFor } from '../dial-card/index.ts';
import { SaveActs, useSheetKeys } from '../seams/index.ts';
import { SeamSteps } from '../seam-steps/index.tsx';
import { BeatPanel } from './beat-panel.tsx';
import { CalibratePanel } from './calibrate-panel.tsx';
import { Controls } from './controls.tsx';
import { ArcFigures } from './figures.tsx';
import { GhostPanel } from './ghost-panel.tsx';
import { MapPanel } from './map-panel.tsx';
import { PulsePanel } from './pulse-panel.tsx';
import { Picture } from './picture.tsx';
import { Refusals } from './refusals.tsx';
import { useArc } from './use-arc.ts';
import { useSetting } from './use-setting.ts';
import { WhatIfPanel } from './what-if-panel.tsx';

// What shows nothing new is not drawn again: a move has to reach the figures within some hundredths of a second.
const Figures = memo(ArcFigures);
const Beat = memo(BeatPanel);
const Calibrate = memo(CalibratePanel);
const Ghost = memo(GhostPanel);
const Map = memo(MapPanel);
const Pulse = memo(PulsePanel);
const Moves = memo(Controls);
const Seen = memo(Picture);
const Steps = memo(SeamSteps);
const Imagined = memo(WhatIfPanel);

const lastKey = 'fox-tempo/last-bench';
const defaultCircuit = 15;
/** Measured arc: some hundred drops, and a whole slow beat where there is one. */
const runS = 0.5;

export async function loadBench({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [seam, machines] = await Promise.all([api.seam(params.id ?? '', request.signal), api.machines(request.signal)]);
  return { seam, machines: machines.filter((machine) => !machine.retired) };
}

/** To the seam last tuned here, else to the first that has a setting. */
export async function loadAnyBench({ request }: { request: Request }): Promise<Response> {
  const seams = await api.seams(request.signal);
  const last = localStorage.getItem(lastKey);
  const seam = seams.find((one) => one.id === last) ?? seams.find((one) => one.revision) ?? seams[0];
  return redirect(seam ? `/bench/${seam.id}` : '/seams');
}

export function Bench() {
  const { seam, machines } = useLoaderData<Awaited<ReturnType<typeof loadBench>>>();
  const { id = '' } = useParams();
  useEffect(() => {
    localStorage.setItem(lastKey, id);
  }, [id]);
  return <LoadedBench key={id} loaded={seam} machines={machines} />;
}

function LoadedBench({
  loaded,
  machines,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
}) {
  const machine = useMachineFor(machines, loaded);
  const setting = useSetting(loaded, machine);
  const { program, plan, seam } = setting;
  const [habit, setHabit] = useState<FeedHabit>('follow-line');
  const [ghost, setGhost] = useState<Program | null>(null);
  const [changes, setChanges] = useState<ReadonlySet<WhatIf>>(new Set());
  const [otherGas, setOtherGas] = useState(loaded.revision?.program.gas === 'C1' ? 'M21-ArC-18' : 'C1');
  // undefined: as calibrated on this machine; null: the table's wire, by hand.
  const [byHand, setByHand] = useState<WireCorrection | null | undefined>(undefined);
  const recorded = machine && program ? correctionFor(machine.file, program) : undefined;
  const correction = byHand === undefined ? (recorded ?? null) : byHand;
  const [attempt, setAttempt] = useState(0);
  const circuitMOhm = machine?.file.circuitMOhm ?? defaultCircuit;

  const input = useMemo(
    () => (program ? arcInput(program, circuitMOhm, correction) : null),
    [program, circuitMOhm, correction],
  );
  const arc = useArc(input, attempt);
  const ghostInput = useMemo(
    () => (ghost ? arcInput(ghost, circuitMOhm, correction) : null),
    [ghost, circuitMOhm, correction],
  );
  const ghostArc = useArc(ghostInput, attempt);
  const changedInput = useMemo((): SimulationInput | null => {
    if (!program || changes.size === 0) return null;
    const changed = whatIfInput(program, changes, { circuitMOhm, seconds: runS, seed: 7, otherGas });
    return correction ? { ...changed, correction } : changed;
  }, [program, changes, circuitMOhm, otherGas, correction]);
  const changedArc = useArc(changedInput, attempt);

  const steady = arc.kind === 'ready' ? arc.run : arc.kind === 'failed' ? arc.before : null;
  const changed = changedInput && changedArc.kind === 'ready' ? changedArc.run : null;
  // While something is imagined, picture and chart show that; the numbers keep the setting's own.
  const seen = changed ?? steady;
  const seenLater = useDeferredValue(seen);
  const ghostRun = ghostInput && ghostArc.kind === 'ready' ? ghostArc.run : null;

  const canSave = setting.edited && setting.issues.length === 0 && setting.saving.kind !== 'saving';
  useSheetKeys({ undo: setting.undo, redo: setting.redo, save: setting.save, canSave });

  // Card and the panels below follow a moment later, so that the arc and its figures come first.
  const later = useDeferredValue(setting);
  const laterProgram = later.program;
  const isSaved = later.seam.revision !== null && !later.edited;
  const print = useMemo(() => ({ seamId: later.seam.id, isSaved }), [later.seam.id, isSaved]);
  const onToggle = useCallback(
    (change: WhatIf) =>
      setChanges((now) => {
        const next = new Set(now);
        if (!next.delete(change)) next.add(change);
        return next;
      }),
    [],
  );
  const onHold = useCallback(() => setGhost(laterProgram), [laterProgram]);
  const onSwap = useCallback(() => {
    if (!ghost) return;
    setGhost(laterProgram);
    later.replace(ghost);
  }, [ghost, laterProgram, later]);
  const onDrop = useCallback(() => setGhost(null), []);

  return (
    <>
      <PageHead
        title={`${seam.spec.name} at the arc bench`}
        line={
          program
            ? `${seam.partName} · ${wireWords(program.filler, program.diameterMm)}, ${program.mode.replace('-', ' ')} · ${seam.revision ? `revision ${seam.revision.number}` : 'not saved yet'}${setting.edited ? ', edited' : ''}`
            : seam.partName
        }
      >
        <SaveActs
          saving={setting.saving}
          edited={setting.edited}
          canSave={canSave}
          canUndo={setting.canUndo}
          canRedo={setting.canRedo}
          revision={seam.revision?.number ?? null}
          undo={setting.undo}
          redo={setting.redo}
          save={setting.save}
        />
      </PageHead>
      <Box px="3" pt="1">
        <Steps seamId={seam.id} />
      </Box>
      <BesideCard
        machines={machines}
        program={laterProgram}
        print={print}
        machine={machine}
        onPointerUp={setting.settle}
        onBlur={setting.settle}
        onKeyUp={(event) => {
          // A figure being typed is one step, however many keys it takes.
          if (!(event.target instanceof HTMLInputElement && event.target.type === 'text')) setting.settle();
        }}
      >
        <Refusals setting={setting} />
        {arc.kind === 'failed' && (
          <Notice level="caution" word="Not simulated." urgent>
            {arc.message}{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => setAttempt(attempt + 1)}>
              Run it again
            </Action>
          </Notice>
        )}
        {!program || !plan ? (
          <Notice level="note">
            This seam has no setting that could be made. <Link to={`/seams/${seam.id}`}>Look at its sheet</Link> for the
            reason.
          </Notice>
        ) : (
          <>
            {seenLater ? (
              <Seen run={seenLater} ghost={ghostRun?.simulation ?? null} isImagined={changed !== null} />
            ) : (
              <Box height="380px" display="grid" placeItems="center" color="quiet" role="status">
                Striking the simulated arc…
              </Box>
            )}
            <Moves setting={setting} machine={machine} habit={habit} onHabit={setHabit} />
            <Box
              display="grid"
              gap="3"
              gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.45fr) minmax(0, 1fr)' }}
              alignItems="start"
            >
              <Map
                setting={setting}
                program={program}
                machine={machine}
                circuitMOhm={circuitMOhm}
                correction={correction}
                ghost={ghost}
              />
              {steady && (
                <Figures
                  run={steady}
                  ghost={ghostRun?.simulation.metrics ?? null}
                  program={laterProgram ?? program}
                  plan={plan}
                />
              )}
            </Box>
            <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} alignItems="start">
              <Imagined
                program={laterProgram ?? program}
                machine={machine}
                thicknessMm={plan.thicknessMm}
                changes={changes}
                otherGas={otherGas}
                before={steady?.simulation.metrics ?? null}
                after={changed}
                failed={changedInput && changedArc.kind === 'failed' ? changedArc.message : null}
                onToggle={onToggle}
                onGas={setOtherGas}
              />
              <Ghost
                program={laterProgram ?? program}
                ghost={ghost}
                machine={machine}
                onHold={onHold}
                onSwap={onSwap}
                onDrop={onDrop}
              />
            </Box>
            <Pulse setting={later} program={laterProgram ?? program} />
            <Beat
              setting={later}
              program={laterProgram ?? program}
              plan={plan}
              machines={machines}
              circuitMOhm={circuitMOhm}
            />
            <Calibrate
              program={laterProgram ?? program}
              machineId={machine?.id ?? 'none'}
              applied={correction}
              onApply={setByHand}
            />
          </>
        )}
      </BesideCard>
    </>
  );
}

function arcInput(program: Program, circuitMOhm: number, correction: WireCorrection | null): SimulationInput {
  const seconds = program.slowBeat ? Math.min(Math.max(runS, 2 / program.slowBeat.frequencyHz), 4) : runS;
  const input = simulationOf(program, { circuitMOhm, seconds, seed: 7 });
  return correction ? { ...input, correction } : input;
}
