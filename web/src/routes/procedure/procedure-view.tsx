/** The procedure of a seam on one machine: what it is and its ranges, as it is printed, beside everything that ever happened to its program. */
import { atMachine, questionOf } from '@fox-tempo/core/site';
import { Box } from '@chakra-ui/react';
import { type Revision, type SeamResource } from '@fox-tempo/contract';
import { planSeam } from '@fox-tempo/core/setting/plan';
import { procedureSheet, type ProcedureSection } from '@fox-tempo/core/evidence/procedure';
import { useState } from 'react';
import { Link } from 'react-router';
import { procedureAddress } from '../../data/api.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { useSettings } from '../../session/settings.ts';
import { spoken, t, format } from '../../lib/words.ts';
import { useEndpointList } from '../../data/queries.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { SeamPage, type SeamWork } from '../../parts/seam-frame/index.ts';
import { ProgramHistory } from './program-history.tsx';

export function ProcedureView() {
  return (
    <SeamPage
      title={({ spec }) => t('view.procedure.title', { seam: spec.name })}
      line={() => t('view.procedure.title-why')}
      withoutSetting={t('view.procedure.needs-a-setting')}
    >
      {(work) => <OnMachine {...work} />}
    </SeamPage>
  );
}

function OnMachine({ seam, machines, machine }: SeamWork) {
  const { data: revisions, isError } = useEndpointList('revisions', { params: { id: seam.id } });
  const [chosen, setChosen] = useState<string | null>(null);
  const inForce = seam.issued.find((one) => one.machineId === machine.id)?.revision ?? null;
  const number = chosen === null ? (inForce ?? seam.revision?.number) : Number(chosen);
  const revision = number === seam.revision?.number ? seam.revision : revisions?.find((one) => one.number === number);
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.4fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="3" minWidth={0}>
        <Panel
          title={t('view.procedure.revision-on-machine', { number: number ?? 0, machine: machine.file.name })}
          aside={
            <Box textStyle="label" color={number === inForce ? 'spruce' : 'quiet'} fontWeight={600}>
              {number === inForce ? t('view.procedure.in-force-here') : t('view.procedure.not-in-force')}
            </Box>
          }
        >
          <Box display="flex" gap="3" alignItems="end" flexWrap="wrap" mb="2">
            <ChoiceField
              label={t('view.procedure.revision')}
              value={String(number)}
              choices={(revisions ?? (seam.revision ? [seam.revision] : [])).map((one) => ({
                value: String(one.number),
                label:
                  one.number === inForce ? t('view.procedure.in-force', { number: one.number }) : String(one.number),
              }))}
              onChange={setChosen}
            />
            <PaperLinks seamId={seam.id} machineId={machine.id} number={number ?? 1} />
          </Box>
          {isError ? (
            <Notice level="caution">{t('view.seams.revisions-failed')}</Notice>
          ) : revision ? (
            <Sheet seam={seam} machine={machine} revision={revision} />
          ) : (
            <Box color="quiet" role="status">
              {t('view.seams.loading-the-revisions')}
            </Box>
          )}
        </Panel>
      </Box>
      <ProgramHistory seam={seam} machines={machines} revisions={revisions ?? []} />
    </Box>
  );
}

function PaperLinks({
  seamId,
  machineId,
  number,
}: {
  readonly seamId: string;
  readonly machineId: string;
  readonly number: number;
}) {
  const units = useSettings((state) => state.units);
  const reader = { language: spoken().language, units };
  return (
    <>
      {(['A4', 'LETTER'] as const).map((paper) => (
        <Box
          asChild
          key={paper}
          minHeight="44px"
          px="3"
          borderWidth="1px"
          borderColor="edge"
          borderRadius="3px"
          color="ink"
          fontSize="text"
          fontWeight={600}
          display="inline-flex"
          alignItems="center"
          _hover={{ bg: 'accentSoft' }}
        >
          <a href={procedureAddress(seamId, machineId, number, paper, reader)} target="_blank" rel="noreferrer">
            {t('view.procedure.print', { paper: paper === 'A4' ? 'A4' : t('view.dial-card.letter') })}
          </a>
        </Box>
      ))}
    </>
  );
}

/** The same rows that are printed. */
function Sheet({
  seam,
  machine,
  revision,
}: {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  readonly revision: Revision;
}) {
  const asked = questionOf(revision.spec, revision.choice, atMachine(revision.site, machine.file));
  const plan = planSeam(asked);
  const window = seam.windows.find((one) => one.machineId === machine.id && one.revision === revision.number);
  if (!plan.ok) return <Notice level="refusal">{plan.issues.map(({ message }) => format(message)).join(' ')}</Notice>;
  const sections = procedureSheet({
    seam: asked.seam,
    program: revision.program,
    plan: plan.value,
    window: window?.window,
  });
  return (
    <Box display="grid" gap="3">
      <Box color="ochre" fontWeight={600} fontSize="small">
        ◇ {t('procedure.no-qualification')}
      </Box>
      {!window && (
        <Notice level="note">
          {t('view.procedure.no-window')}{' '}
          <Link to={`/seams/${seam.id}/window`}>{t('view.procedure.test-a-window')}</Link>.
        </Notice>
      )}
      {sections.map((section) => (
        <Rows key={section.title.code} section={section} />
      ))}
      <Box fontSize="label" color="quiet">
        {t('procedure.essential-and-ranges')}
      </Box>
    </Box>
  );
}

function Rows({ section: { title, rows } }: { readonly section: ProcedureSection }) {
  const heads = [format(title), t('procedure.as-set'), t('procedure.range')];
  return (
    <Table label={format(title)}>
      <Heads names={heads} />
      <tbody>
        {rows.map(({ label, value, range, isEssential }) => (
          <tr key={label.code}>
            <Cell head color="quiet" width="34%">
              {isEssential ? '● ' : ''}
              {format(label)}
              {isEssential && <Box srOnly>, {t('view.procedure.essential')}</Box>}
            </Cell>
            <Cell>{format(value)}</Cell>
            <Cell whiteSpace="nowrap" width="26%">
              {range === null ? '' : format(range)}
            </Cell>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
