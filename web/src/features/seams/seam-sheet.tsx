/** The seam sheet: the joint drawn live, what is asked beside it, the computed setting with its bands, the pulse, and the dial card. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasOf, jointRule, formatWithUnit, wireSizeLabel, type Issue, type Plan } from '@fox-tempo/core';
import { planRequest } from '@fox-tempo/contract';
import { useCallback, useMemo, useState } from 'react';
import { useLoaderData, useParams } from 'react-router';
import { useStore } from 'zustand';
import { api } from '../../lib/api.ts';
import { usePlanSite } from '../../lib/plan-site.ts';
import { useSettings } from '../../lib/settings.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';
import { BesideCard, useMachineFor } from '../dial-card/index.ts';
import { JointDrawing } from '../joint-drawing/index.ts';
import { SeamSteps } from '../seam-steps/index.tsx';
import { SimulatedArc } from '../simulated/index.ts';
import { Waveform } from '../waveform/index.tsx';
import { Conflict } from './conflict.tsx';
import { createDraftStore, isEdited, type DraftStore } from './draft-store.ts';
import { Figures } from './figures.tsx';
import { GaveWayPart } from './gave-way.tsx';
import { Inputs } from './inputs.tsx';
import { Passes } from './passes.tsx';
import { ProgramFilePart } from './program-file.tsx';
import { Revisions } from './revisions.tsx';
import { StandingOfSetting } from './standing-of-setting.tsx';
import { SlowBeat } from './slow-beat.tsx';
import { Modes } from './modes.tsx';
import { planOf, settingOf, sheetOf } from './sheet.ts';
import type { Sheet } from './sheet-fields.ts';
import { SaveActs } from './save-acts.tsx';
import { useSave } from './use-save.ts';
import { useSheetKeys } from './use-sheet.ts';
import { usualGas, usualWire } from './wire-defaults.ts';

export async function loadSeamSheet({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [seam, machines] = await Promise.all([api.seam(params.id ?? '', request.signal), api.machines(request.signal)]);
  return { seam, machines };
}

export function SeamSheet() {
  const { seam, machines } = useLoaderData<Awaited<ReturnType<typeof loadSeamSheet>>>();
  const { id = '' } = useParams();
  // A sheet of another seam is another sheet: its draft, its history.
  return <LoadedSheet key={id} loaded={seam} machines={machines} />;
}

function LoadedSheet({
  loaded,
  machines,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
}) {
  const [seam, setSeam] = useState(loaded);
  const [store] = useState(() => createDraftStore(loaded.id, { version: loaded.version, sheet: sheetOf(loaded) }));
  const draft = useStore(store);
  const machine = useMachineFor(machines, seam);
  const site = usePlanSite(machine);
  const { circuitMOhm } = site;
  const outcome = useMemo(() => planOf(draft.sheet, site), [draft.sheet, site]);
  const plan = outcome.ok ? outcome.value : null;
  const setting = useMemo(() => settingOf(draft.sheet, site), [draft.sheet, site]);
  const program = setting.ok ? setting.value.program : null;

  const onStored = useCallback((stored: SeamResource) => setSeam(stored), []);
  const saving = useSave(seam.id, store, onStored);
  const edited = isEdited(draft);
  const hasTextLeft = Object.keys(draft.issues).length > 0;
  const isNamed = draft.sheet.spec.name.trim() !== '';
  const canSave =
    program !== null && !hasTextLeft && isNamed && saving.state.kind !== 'saving' && (edited || seam.revision === null);
  // A draft kept on the device may be older than what is stored now.
  const overtaken =
    saving.state.kind === 'conflict' ? saving.state.stored : edited && draft.base.version < seam.version ? seam : null;

  const save = saving.save;
  useSheetKeys({ undo: draft.undo, redo: draft.redo, save, canSave: canSave && !overtaken });

  const { spec, choice } = draft.sheet;
  const isPrintable = seam.revision !== null && !edited;
  const print = useMemo(() => ({ seamId: seam.id, isSaved: isPrintable }), [seam.id, isPrintable]);
  return (
    <>
      <PageHead
        title={spec.name || 'Seam without a name'}
        line={<SeamLine sheet={draft.sheet} partName={seam.partName} />}
      >
        <SaveActs
          saving={saving.state}
          edited={edited}
          canSave={canSave && overtaken === null}
          canUndo={draft.past.length > 0}
          canRedo={draft.future.length > 0}
          revision={seam.revision?.number ?? null}
          undo={draft.undo}
          redo={draft.redo}
          save={save}
        />
      </PageHead>
      <Box px="3" pt="1">
        <SeamSteps seamId={seam.id} />
      </Box>
      <BesideCard
        machines={machines}
        program={program}
        print={print}
        machine={machine}
        gridTemplateColumns={{ base: '1fr', lg: '296px minmax(0, 1fr)' }}
        alignItems="start"
      >
        {overtaken && (
          <Box gridColumn="1 / -1">
            <Conflict
              stored={overtaken}
              storedSheet={sheetOf(overtaken)}
              mine={draft.sheet}
              onKeepMine={() => void saving.keepMine(overtaken)}
              onTakeTheirs={() => saving.takeTheirs(overtaken)}
            />
          </Box>
        )}
        {saving.state.kind === 'failed' && (
          <Box gridColumn="1 / -1">
            <Notice level="refusal" word="Not saved." urgent>
              {saving.state.title}. {saving.state.detail} Your draft is kept on this device.{' '}
              <Action kind="quiet" minHeight="32px" onClick={() => void save()}>
                Try again
              </Action>
            </Notice>
          </Box>
        )}
        <Box display="grid" gap="3" minWidth={0}>
          <Inputs store={store} plan={plan} />
        </Box>
        <Box display="grid" gap="3" minWidth={0}>
          <Panel px="0" py="0" overflow="hidden">
            <JointDrawing
              joint={spec.joint}
              position={spec.position}
              thicknessesMm={spec.thicknessesMm}
              gapMm={spec.gapMm}
              legMm={jointRule(spec.joint).isFillet ? (plan?.legMm ?? spec.legMm ?? 3) : null}
              areaMm2={plan?.areaMm2 ?? 6}
              preparation={spec.preparation}
              places={plan?.passTable.map((pass) => pass.place)}
              gun={
                plan && {
                  ctwdMm: plan.ctwdMm,
                  arcLengthMm: plan.arcLengthMm,
                  diameterMm: choice.diameterMm,
                  tipRecessMm: plan.tipRecessMm,
                }
              }
            />
          </Panel>
          {plan && <GaveWayPart plan={plan} store={store} />}
          {outcome.ok ? <Cautions plan={outcome.value} /> : <Refusals issues={outcome.issues} store={store} />}
          {choice.tune !== null && (
            <Notice level="note" word="Tuned at the arc bench.">
              The figures below are the plan’s; the dial card and the simulated arc follow what was tuned.{' '}
              <Action
                kind="quiet"
                minHeight="32px"
                onClick={() =>
                  store.getState().edit((sheet) => ({ ...sheet, choice: { ...sheet.choice, tune: null } }), 'tune')
                }
              >
                Back to the plan
              </Action>
            </Notice>
          )}
          {plan && !setting.ok && <Refusals issues={setting.issues} store={store} />}
          {plan && <Figures plan={plan} />}
          {plan && <Passes plan={plan} />}
          {plan?.pulse && (
            <Panel
              title="Fast pulse"
              aside={
                <Box textStyle="label" color="quiet">
                  {plan.pulse.dropsPerPulse === 1
                    ? 'one drop a pulse'
                    : `${plan.pulse.dropsPerPulse.toFixed(1)} drops a pulse`}
                </Box>
              }
            >
              <Waveform pulse={plan.pulse} />
            </Panel>
          )}
          {plan && <SlowBeat plan={plan} input={planRequest(spec, choice)} />}
          {plan && <Modes plan={plan} />}
          {program && <SimulatedArc program={program} circuitMOhm={circuitMOhm ?? 15} />}
          <Panel title="Files">
            <ProgramFilePart
              seam={seam}
              onTaken={(choice) => store.getState().edit((sheet) => ({ ...sheet, choice }), 'file')}
            />
          </Panel>
          {seam.revision && <StandingOfSetting seam={seam} machines={machines} onStored={onStored} />}
          {seam.revision && (
            <Revisions
              seamId={seam.id}
              newest={seam.revision.number}
              onBringBack={(sheet) => store.getState().edit(() => sheet, 'revision')}
            />
          )}
        </Box>
      </BesideCard>
    </>
  );
}

function SeamLine({ sheet: { spec, choice }, partName }: { readonly sheet: Sheet; readonly partName: string }) {
  const units = useSettings((state) => state.units);
  const thick = spec.thicknessesMm.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + ');
  const joint = jointRule(spec.joint).name.toLowerCase();
  return (
    <>
      {partName} · {joint} {thick}
      {spec.grade === '' ? '' : `, ${spec.grade}`}, {spec.position} · {fillerOf(choice.filler).name},{' '}
      {wireSizeLabel(choice.diameterMm)}, {gasOf(choice.gas).name}
    </>
  );
}

function Cautions({ plan }: { readonly plan: Plan }) {
  if (plan.warnings.length === 0) return null;
  return (
    <Box as="section" aria-label="Hazards and cautions" display="grid" gap="1.5">
      {plan.warnings.map((warning) => (
        <Notice key={warning.code} level={warning.level}>
          {warning.message}
        </Notice>
      ))}
    </Box>
  );
}

/** Why there is no setting, and the way out where one click can take it. */
function Refusals({ issues, store }: { readonly issues: readonly Issue[]; readonly store: DraftStore }) {
  const { sheet, edit } = store.getState();
  const remedy = (issue: Issue): { label: string; apply: () => void } | null => {
    if (issue.path === 'gas') {
      const gas = usualGas(sheet.choice.filler);
      return {
        label: `Change to ${gasOf(gas).name}`,
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, gas } }), 'remedy'),
      };
    }
    if (issue.path === 'seam.preparation') {
      return {
        label: 'Cut a V of 60°, gap 2 mm',
        apply: () =>
          edit(
            (now) => ({
              ...now,
              spec: { ...now.spec, gapMm: Math.max(now.spec.gapMm, 2), preparation: { kind: 'v' } },
            }),
            'remedy',
          ),
      };
    }
    if (issue.code === 'cored-wire-only-cored') {
      return {
        label: 'Run it in the cored mode',
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, mode: 'cored' } }), 'remedy'),
      };
    }
    if (issue.path === 'filler') {
      const wire = usualWire(sheet.spec.materialGroup);
      return {
        label: `Change to ${fillerOf(wire.filler).name}, ${wireSizeLabel(wire.diameterMm)}`,
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, ...wire, wireFeedMPerMin: null } }), 'remedy'),
      };
    }
    if (issue.path === 'wireFeedMPerMin') {
      return {
        label: 'Use the plan’s feed',
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, wireFeedMPerMin: null } }), 'remedy'),
      };
    }
    if (issue.path === 'seam.travelMmPerMin') {
      return {
        label: 'Use the plan’s pace',
        apply: () => edit((now) => ({ ...now, spec: { ...now.spec, travelMmPerMin: null } }), 'remedy'),
      };
    }
    return null;
  };
  return (
    <Panel>
      <Heading as="h2" textStyle="heading" mb="2">
        No setting for this chain
      </Heading>
      <Box display="grid" gap="2">
        {issues.map((issue) => {
          const way = remedy(issue);
          return (
            <Notice key={`${issue.path} ${issue.code}`} level="refusal" urgent>
              {issue.message}
              {issue.hint !== undefined && <Box mt="1">{issue.hint}</Box>}
              {way && (
                <Action mt="2" onClick={way.apply}>
                  {way.label}
                </Action>
              )}
            </Notice>
          );
        })}
      </Box>
    </Panel>
  );
}
