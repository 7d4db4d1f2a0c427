/** The arc bench: the setting tuned by picture, chart, map, numbers and ear on one screen, with the machine's dial card always beside it. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import type { Program } from '@fox-tempo/core/setting/program';
import { modeName, type Plan } from '@fox-tempo/core/setting/plan';
import type { FeedHabit } from '@fox-tempo/core/machine/tuning';
import { wireWords } from '@fox-tempo/core/setting/wire-choice';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link, useLoaderData, useParams } from 'react-router';
import { useLastSeam } from '../../sheet/last-seam.ts';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { useSheetSession, type SheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { SheetFrame } from '../../parts/seam-frame/index.ts';
import { BeatPanel } from './beat-panel.tsx';
import { CalibratePanel } from './calibrate-panel.tsx';
import { Controls } from './controls.tsx';
import { Drawers, type Drawer } from './drawers.tsx';
import { ArcFigures } from './figures.tsx';
import { Gauges } from './gauges.tsx';
import { GhostPanel } from './ghost-panel.tsx';
import { MapInWords } from './map-in-words.tsx';
import { MapStage } from './map-stage.tsx';
import { PulsePanel } from './pulse-panel.tsx';
import { Stage } from './stage.tsx';
import { SweepPanel } from './sweep-panel.tsx';
import { useBench, type Bench as Running } from './use-bench.ts';
import { useSetting, type Setting } from './use-setting.ts';
import { useZoneMap } from './use-zone-map.ts';
import { WhatIfPanel } from './what-if-panel.tsx';

// What shows nothing new is not drawn again: a move has to reach the figures within some hundredths of a second.
const Beat = memo(BeatPanel);
const Calibrate = memo(CalibratePanel);
const Figures = memo(ArcFigures);
const Ghost = memo(GhostPanel);
const Imagined = memo(WhatIfPanel);
const Moves = memo(Controls);
const Numbers = memo(Gauges);
const OnMap = memo(MapStage);
const OnStage = memo(Stage);
const Pulse = memo(PulsePanel);
const Swept = memo(SweepPanel);
const Words = memo(MapInWords);

export function Bench() {
  const { seam, machines } = useLoaderData<SeamAndMachines>();
  const { id = '' } = useParams();
  useLastSeam('bench', id);
  return <LoadedBench key={id} loaded={seam} machines={machines} />;
}

function LoadedBench({
  loaded,
  machines,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
}) {
  const session = useSheetSession(loaded, machines);
  const setting = useSetting(session);
  const { program, plan, seam, sheet, machine, edited } = { ...setting, ...session };
  const bench = useBench(program, machine, loaded.revision?.program.gas);
  return (
    <SheetFrame
      session={session}
      gap="2"
      title={t('view.simulator.title', { spec: sheet.spec.name })}
      line={
        program
          ? `${format(wireWords(program.filler, program.diameterMm))}, ${format(modeName(program.mode))} · ${seam.revision ? t('view.seams.revision', { number: seam.revision.number }) : t('view.simulator.not-saved')}${edited ? `, ${t('view.simulator.edited')}` : ''}`
          : t('view.simulator.no-setting')
      }
    >
      {bench.arc.kind === 'failed' && (
        <Notice level="caution" word={t('view.simulator.not-simulated')} urgent>
          {bench.arc.message}{' '}
          <Action kind="quiet" minHeight="32px" onClick={bench.runAgain}>
            {t('view.simulator.run-it-again')}
          </Action>
        </Notice>
      )}
      {program && plan ? (
        <Running session={session} setting={setting} program={program} plan={plan} bench={bench} />
      ) : (
        <Notice level="note">
          {t('view.simulator.no-possible-setting')}{' '}
          <Link to={`/seams/${seam.id}`}>{t('view.simulator.see-sheet')}</Link>
        </Notice>
      )}
    </SheetFrame>
  );
}

interface RunningProps {
  readonly session: SheetSession;
  readonly setting: Setting;
  readonly program: Program;
  readonly plan: Plan;
  readonly bench: Running;
}

function Running({ session, setting, program, plan, bench }: RunningProps) {
  const { machine } = session;
  const { circuitMOhm, correction, ghost, steady, held, imagined } = bench;
  const [habit, setHabit] = useState<FeedHabit>('follow-line');
  const zoneMap = useZoneMap({
    program,
    machine,
    circuitMOhm,
    correction,
    heldBackgroundA: setting.tune.backgroundCurrentA,
  });
  // While something is imagined, picture and chart show that; the numbers keep the setting's own.
  const seen = useDeferredValue(imagined ?? steady);
  const heldLater = useDeferredValue(held?.simulation ?? null);
  const map = useMemo(
    () => <OnMap setting={setting} program={program} ghost={ghost} zoneMap={zoneMap} />,
    [setting, program, ghost, zoneMap],
  );
  // What lies below the figures follows a moment later.
  const later = useDeferredValue(setting);
  const laterProgram = later.program ?? program;
  const sweep = useMemo(
    () => (
      <Swept
        setting={later}
        machine={machine?.file}
        program={laterProgram}
        circuitMOhm={circuitMOhm}
        correction={correction}
      />
    ),
    [later, machine, laterProgram, circuitMOhm, correction],
  );
  const { hold } = bench;
  const onHold = useCallback(() => hold(laterProgram), [hold, laterProgram]);
  const onDrop = useCallback(() => hold(null), [hold]);
  const onSwap = useCallback(() => {
    if (!ghost) return;
    hold(laterProgram);
    later.replace(ghost);
  }, [hold, ghost, laterProgram, later]);

  const drawers: Drawer[] = [
    {
      id: 'dials',
      name: t('view.simulator.dials'),
      content: () => <Moves setting={setting} machine={machine} habit={habit} onHabit={setHabit} />,
    },
    {
      id: 'what-if',
      name: t('view.simulator.what-if'),
      content: () => (
        <Imagined
          program={laterProgram}
          machine={machine}
          thicknessMm={plan.thinnerMm}
          changes={bench.changes}
          otherGas={bench.otherGas}
          before={steady?.simulation.metrics ?? null}
          after={imagined}
          failed={bench.imaginedProblem}
          onToggle={bench.toggle}
          onGas={bench.setOtherGas}
        />
      ),
    },
    {
      id: 'hold',
      name: t('view.simulator.hold-and-compare'),
      content: () => (
        <Ghost program={laterProgram} ghost={ghost} machine={machine} onHold={onHold} onSwap={onSwap} onDrop={onDrop} />
      ),
    },
    ...(program.pulse
      ? [
          {
            id: 'pulse',
            name: t('view.simulator.fast-pulse'),
            content: () => <Pulse setting={later} program={laterProgram} />,
          },
        ]
      : []),
    ...(program.slowBeat
      ? [
          {
            id: 'beat',
            name: t('view.simulator.double-pulse'),
            content: () => (
              <Beat
                setting={later}
                program={laterProgram}
                plan={plan}
                machines={session.machines}
                circuitMOhm={circuitMOhm}
              />
            ),
          },
        ]
      : []),
    {
      id: 'map',
      name: t('view.simulator.map-in-words'),
      content: () => (
        <Panel>
          <Words setting={setting} program={program} machine={machine} zoneMap={zoneMap} />
        </Panel>
      ),
    },
    {
      id: 'figures',
      name: t('view.simulator.all-figures'),
      content: () =>
        steady && <Figures run={steady} ghost={held?.simulation.metrics ?? null} program={laterProgram} plan={plan} />,
    },
    {
      id: 'calibrate',
      name: t('view.simulator.calibrate'),
      content: () => (
        <Calibrate
          program={laterProgram}
          machineId={machine?.id ?? 'none'}
          applied={correction}
          onApply={bench.correctByHand}
        />
      ),
    },
  ];
  return (
    <>
      {seen ? (
        <OnStage run={seen} ghost={heldLater} isImagined={imagined !== null} map={map} sweep={sweep} />
      ) : (
        <Box height="344px" display="grid" placeItems="center" color="quiet" role="status">
          {t('view.simulator.starting')}
        </Box>
      )}
      {steady && <Numbers run={steady} ghost={held?.simulation.metrics ?? null} program={program} plan={plan} />}
      <Drawers drawers={drawers} />
    </>
  );
}
