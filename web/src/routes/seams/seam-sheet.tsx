/** The seam sheet: the joint drawn live, what is asked beside it, the computed setting with its bands, the pulse, and the dial card. */
import { questionOf } from '@fox-tempo/core/site';
import { amount, inSentence } from '@fox-tempo/core/base/messages';
import { t, format, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { jointRule } from '@fox-tempo/core/setting/plan';
import { useMemo } from 'react';
import { useLoaderData, useParams } from 'react-router';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { JointDrawing } from '../../parts/joint-drawing/index.ts';
import { SimulatedArc } from '../../parts/simulated/index.ts';
import { HistoryLine, OwnWelds } from '../../parts/own-welds/index.ts';
import { Waveform } from '../../parts/waveform/index.tsx';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { useSheetSession } from '../../sheet/session.ts';
import { SheetFrame } from '../../parts/seam-frame/index.ts';
import { Cautions } from './cautions.tsx';
import { Figures } from './figures.tsx';
import { Refusals } from './refusals.tsx';
import { GaveWayPart } from './gave-way.tsx';
import { Inputs } from './inputs.tsx';
import { Passes } from './passes.tsx';
import { ProgramFilePart } from './program-file.tsx';
import { Revisions } from './revisions.tsx';
import { StandingOfSetting } from './standing-of-setting.tsx';
import { SlowBeat } from './slow-beat.tsx';
import { Modes } from './modes.tsx';
import { planOf } from '../../sheet/sheet.ts';
import type { Sheet } from '../../sheet/sheet-fields.ts';

export function SeamSheet() {
  const { seam, machines, retired } = useLoaderData<SeamAndMachines>();
  const { id = '' } = useParams();
  // A sheet of another seam is another sheet: its draft, its history.
  return <LoadedSheet key={id} loaded={seam} machines={machines} retired={retired} />;
}

function LoadedSheet({
  loaded,
  machines,
  retired,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly retired: readonly MachineResource[];
}) {
  const session = useSheetSession(loaded, machines);
  const { seam, store, site, sheet } = session;
  const { spec, choice } = sheet;
  // The figures are those of what is asked now, also where what was tuned cannot be had.
  const outcome = useMemo(() => planOf(sheet, site), [sheet, site]);
  const plan = outcome.ok ? outcome.value : null;
  const program = session.issues.length === 0 ? session.program : null;
  const line = useSeamLine(sheet);
  return (
    <SheetFrame
      session={session}
      title={spec.name || t('view.seams.unnamed')}
      line={line}
      refusals="own"
      gridTemplateColumns={{ base: '1fr', lg: '296px minmax(0, 1fr)' }}
      alignItems="start"
    >
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
          <Notice level="note" word={t('view.seams.tuned')}>
            {t('view.seams.tuned-why')}{' '}
            <Action
              kind="quiet"
              minHeight="32px"
              onClick={() =>
                store.getState().edit((sheet) => ({ ...sheet, choice: { ...sheet.choice, tune: null } }), 'tune')
              }
            >
              {t('view.seams.back-to-plan')}
            </Action>
          </Notice>
        )}
        {plan && session.issues.length > 0 && <Refusals issues={session.issues} store={store} />}
        {plan && <Figures plan={plan} />}
        {plan && (
          <OwnWelds
            seamId={seam.id}
            machineId={session.machine?.id}
            choice={choice}
            plan={plan}
            isNew={seam.revision === null}
            onChoice={(change) =>
              store.getState().edit((sheet) => ({ ...sheet, choice: { ...sheet.choice, ...change } }), 'own welds')
            }
          />
        )}
        {seam.revision && <HistoryLine seamId={seam.id} />}
        {plan && <Passes plan={plan} />}
        {plan?.pulse && (
          <Panel
            title={t('view.simulator.fast-pulse')}
            aside={
              <Box textStyle="label" color="quiet">
                {plan.pulse.dropsPerPulse === 1
                  ? t('view.seams.one-drop')
                  : t('view.seams.drops-a-pulse', { dropsPerPulse: amount('plain', plan.pulse.dropsPerPulse, 1) })}
              </Box>
            }
          >
            <Waveform pulse={plan.pulse} />
          </Panel>
        )}
        {plan && <SlowBeat plan={plan} input={questionOf(spec, choice, site)} />}
        {plan && <Modes plan={plan} />}
        {program && <SimulatedArc program={program} circuitMOhm={site.circuitMOhm} />}
        <Panel title={t('view.seams.files')}>
          <ProgramFilePart
            seam={seam}
            onTaken={(choice) => store.getState().edit((sheet) => ({ ...sheet, choice }), 'file')}
          />
        </Panel>
        {seam.revision && (
          <StandingOfSetting seam={seam} machines={[...machines, ...retired]} onStored={session.onStored} />
        )}
        {seam.revision && (
          <Revisions seamId={seam.id} onBringBack={(sheet) => store.getState().edit(() => sheet, 'revision')} />
        )}
      </Box>
    </SheetFrame>
  );
}

function useSeamLine({ spec, choice }: Sheet): string {
  const units = useSettings((state) => state.units);
  const thick = spec.thicknessesMm.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + ');
  const grade = spec.grade === '' ? '' : `, ${spec.grade}`;
  const wire = `${format(fillerOf(choice.filler).name)}, ${format(wireSizeLabel(choice.diameterMm))}, ${format(gasName(choice.gas))}`;
  return `${format(inSentence(jointRule(spec.joint).name))} ${thick}${grade}, ${spec.position} · ${wire}`;
}
