/** The score of a seam: the whole weld on one time axis and in millimetres, its phases in numbers, played by the trigger, said on machines. */
import { usePlanSite } from '../../lib/plan-site.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { sequenceOnMachine, startLag, translate, wireWords, type Phase, type TriggerSequence } from '@fox-tempo/core';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, redirect, useLoaderData, useNavigate, useParams } from 'react-router';
import { api } from '../../lib/api.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';
import { BesideCard, useMachineFor } from '../dial-card/index.ts';
import { SeamSteps } from '../seam-steps/index.tsx';
import { SaveActs, useSheet, useSheetKeys } from '../seams/index.ts';
import { Checks } from './checks.tsx';
import { Drawn } from './drawn.tsx';
import { EndsPart } from './ends-part.tsx';
import { FilePart } from './file-part.tsx';
import type { LevelUnit } from './levels.ts';
import { LiveStaves } from './live-staves.tsx';
import { MachinesPart } from './machines-part.tsx';
import { PhaseStrip } from './phase-strip.tsx';
import { PhaseTable } from './phase-table.tsx';
import { Play, usePlaying } from './play.tsx';
import { Staves } from './staves.tsx';
import { TacksPart } from './tacks-part.tsx';
import { useFound } from './use-found.ts';
import { useScore } from './use-score.ts';
import { useSession } from './use-session.ts';

const lastKey = 'fox-tempo/last-score';

export async function loadScore({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [seam, machines] = await Promise.all([api.seam(params.id ?? '', request.signal), api.machines(request.signal)]);
  return { seam, machines: machines.filter((machine) => !machine.retired) };
}

/** To the seam whose score was last open here, else to the first that has a setting. */
export async function loadAnyScore({ request }: { request: Request }): Promise<Response> {
  const seams = await api.seams(request.signal);
  const last = localStorage.getItem(lastKey);
  const seam = seams.find((one) => one.id === last) ?? seams.find((one) => one.revision) ?? seams[0];
  return redirect(seam ? `/score/${seam.id}` : '/seams');
}

export function ScoreView() {
  const { seam, machines } = useLoaderData<Awaited<ReturnType<typeof loadScore>>>();
  const { id = '' } = useParams();
  useEffect(() => {
    localStorage.setItem(lastKey, id);
  }, [id]);
  return <LoadedScore key={id} loaded={seam} machines={machines} />;
}

const parts = [
  { id: 'play', name: 'Phases and play' },
  { id: 'machines', name: 'On two machines' },
  { id: 'ends', name: 'Start and stop' },
  { id: 'tacks', name: 'Tacks and stitches' },
] as const;
type Part = (typeof parts)[number]['id'];

function LoadedScore({
  loaded,
  machines,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
}) {
  const machine = useMachineFor(machines, loaded);
  const open = useSheet(loaded, usePlanSite(machine));
  const score = useScore(open, machine);
  const { seam, edited, saving } = open;
  const { whole, issues } = score;
  const canSave =
    (edited || seam.revision === null) &&
    whole !== null &&
    open.issues.length === 0 &&
    issues.length === 0 &&
    saving.kind !== 'saving';
  useSheetKeys({ undo: open.undo, redo: open.redo, save: open.save, canSave });
  const later = useDeferredValue(open.program);
  const isSaved = seam.revision !== null && !edited;
  const print = useMemo(() => ({ seamId: seam.id, isSaved }), [seam.id, isSaved]);
  const program = open.program;
  return (
    <>
      <PageHead
        title={`${open.sheet.spec.name}: the score`}
        line={
          program
            ? `${seam.partName} · ${open.sheet.spec.lengthMm} mm at ${program.travelMmPerMin.toFixed(0)} mm/min · ${wireWords(program.filler, program.diameterMm)}, ${program.mode.replace('-', ' ')}`
            : seam.partName
        }
      >
        <SaveActs
          saving={saving}
          edited={edited}
          canSave={canSave}
          canUndo={open.canUndo}
          canRedo={open.canRedo}
          revision={seam.revision?.number ?? null}
          undo={open.undo}
          redo={open.redo}
          save={open.save}
        />
      </PageHead>
      <Box px="3" pt="1">
        <SeamSteps seamId={seam.id} />
      </Box>
      <BesideCard
        machines={machines}
        program={later}
        print={print}
        machine={machine}
        onPointerUp={open.settle}
        onBlur={open.settle}
      >
        {saving.kind === 'failed' && (
          <Notice level="refusal" word="Not saved." urgent>
            {saving.title}. {saving.detail} The draft is kept on this device.
          </Notice>
        )}
        {saving.kind === 'conflict' && (
          <Notice level="caution" word="Somebody saved in between." urgent>
            {saving.stored.changedBy} saved version {saving.stored.version}.{' '}
            <Link to={`/seams/${seam.id}`}>The sheet shows both</Link>; choose there which stands.
          </Notice>
        )}
        {[...open.issues, ...issues].map((issue) => (
          <Notice key={`${issue.path}${issue.code}`} level="refusal" word="Not to be had." urgent>
            {issue.message} {issue.hint ?? ''} The last score that works is shown; undo, or change it back.
          </Notice>
        ))}
        {whole ? (
          <Open open={open} score={score} whole={whole} machine={machine} machines={machines} />
        ) : (
          <Notice level="note">
            This seam has no setting yet, so there is nothing to start and stop.{' '}
            <Link to={`/seams/${seam.id}`}>Look at its sheet</Link> first.
          </Notice>
        )}
      </BesideCard>
    </>
  );
}

function Open({
  open,
  score,
  whole,
  machine,
  machines,
}: {
  readonly open: ReturnType<typeof useSheet>;
  readonly score: ReturnType<typeof useScore>;
  readonly whole: NonNullable<ReturnType<typeof useScore>['whole']>;
  readonly machine: MachineResource | undefined;
  readonly machines: readonly MachineResource[];
}) {
  const { id = '', part: asked } = useParams();
  const part: Part = parts.find((one) => one.id === asked)?.id ?? 'play';
  const navigate = useNavigate();
  const [selected, select] = useState<Phase>('start');
  const [{ unit }, keepUnit] = useKeptForm<{ unit: LevelUnit }>('score-levels', { unit: 'percent' });
  const [pair, setPair] = useState<readonly [string, string]>(() => firstPair(machines, machine));
  const [sound, setSound] = useState(false);
  const session = useSession(whole, machine?.file.circuitMOhm ?? 15);
  usePlaying(part === 'play' ? session : null, sound);
  const there = useMemo(
    () =>
      machine && machine.file.dials.length > 0
        ? sequenceOnMachine(machine.file, whole.program, translate(machine.file, whole.program))
        : null,
    [machine, whole.program],
  );
  const standing = machine?.standing?.dials;
  const lag = machine && standing ? startLag(machine.file, standing, whole.program) : null;
  const onEdit = useCallback((change: Partial<TriggerSequence>, field: string) => score.edit(change, field), [score]);
  const onFound = useFound();
  const hasDial = (quantity: string) =>
    there !== null &&
    machine?.file.dials.some(({ scale }) => 'quantity' in scale && scale.quantity === quantity) === true;
  return (
    <>
      <Panel px="3" py="2">
        <Drawn session={session} isPlaying={part === 'play'}>
          {(isLive) =>
            isLive ? (
              <LiveStaves whole={whole} session={session} unit={unit} />
            ) : (
              <Staves
                whole={whole}
                unit={unit}
                selected={selected}
                onSelect={select}
                onEdit={onEdit}
                onSettle={open.settle}
              />
            )
          }
        </Drawn>
      </Panel>
      <Box as="nav" aria-label="Parts of the score" display="flex" flexWrap="wrap" gap="1">
        {parts.map(({ id: to, name }) => (
          <Action
            key={to}
            kind="quiet"
            aria-current={to === part ? 'page' : undefined}
            borderBottomWidth="3px"
            borderBottomColor={to === part ? 'accent' : 'line'}
            bg={to === part ? 'accentSoft' : 'transparent'}
            onClick={() =>
              void navigate(to === 'play' ? `/score/${id}` : `/score/${id}/${to}`, { preventScrollReset: true })
            }
          >
            {name}
          </Action>
        ))}
        <Box flex="1" />
        <FilePart name={open.sheet.spec.name} score={score} whole={whole} />
      </Box>
      {part === 'play' && (
        <Box
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.6fr) minmax(316px, 1fr)' }}
          alignItems="start"
        >
          <Box display="grid" gap="3" minWidth={0}>
            <Panel px="4" py="2">
              <PhaseStrip
                seamId={open.seam.id}
                score={score}
                whole={whole}
                selected={selected}
                unit={unit}
                hasTrims={{
                  start: hasDial('startTrimMm'),
                  end: hasDial('endTrimMm'),
                  second: hasDial('secondTrimMm'),
                  machine: machine?.file.name ?? 'this machine',
                }}
                onSelect={select}
                onUnit={(next) => keepUnit({ unit: next })}
              />
            </Panel>
            <PhaseTable
              whole={whole}
              there={there}
              machine={machine?.file.name ?? null}
              selected={selected}
              onSelect={select}
            />
          </Box>
          <Box display="grid" gap="3" minWidth={0} order={{ base: -1, lg: 0 }}>
            <Play whole={whole} session={session} sound={sound} onSound={setSound} />
            <Checks whole={whole} lag={lag} onSelect={select} />
          </Box>
        </Box>
      )}
      {part === 'machines' && (
        <MachinesPart machines={machines} whole={whole} pair={pair} onPair={setPair} onFound={onFound} />
      )}
      {part === 'ends' && <EndsPart seamId={open.seam.id} score={score} whole={whole} machine={machine} />}
      {part === 'tacks' && <TacksPart seamId={open.seam.id} score={score} whole={whole} machine={machine} />}
    </>
  );
}

function firstPair(
  machines: readonly MachineResource[],
  machine: MachineResource | undefined,
): readonly [string, string] {
  const described = machines.filter(({ file }) => file.dials.length > 0).map(({ id }) => id);
  const first = machine && described.includes(machine.id) ? machine.id : (described[0] ?? '');
  return [first, described.find((id) => id !== first) ?? first];
}
