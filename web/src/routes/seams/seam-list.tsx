/** All seams by part, each with its joint drawn small and its setting in a line. */
import { siteOfSeam, useShopSite } from '../../sheet/plan-site.ts';
import { inSentence } from '@fox-tempo/core/base/messages';
import { t, format, formatWithUnit } from '../../lib/words.ts';
import { Box, chakra, Heading } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { jointRule, positionName } from '@fox-tempo/core/setting/plan';
import { useState, type ReactNode } from 'react';
import { Link, useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { useMay } from '../../session/session.ts';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { inputLook } from '../../ui/field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { JointDrawing } from '../../parts/joint-drawing/index.ts';
import { NewSeam } from './new-seam.tsx';
import { SeamActs } from './seam-acts.tsx';
import { planOf, sheetOf } from '../../sheet/sheet.ts';

export async function loadSeamList({ request }: { request: Request }) {
  const [seams, parts] = await Promise.all([api.seams(request.signal), api.parts(request.signal)]);
  return { seams, parts };
}

export function SeamList() {
  const { seams, parts } = useLoaderData<Awaited<ReturnType<typeof loadSeamList>>>();
  const [asked] = useSearchParams();
  const [adding, setAdding] = useState(asked.has('new'));
  const [wanted, setWanted] = useState(asked.get('part') ?? '');
  const [opened, setOpened] = useState<string | null>(null);
  const mayAdd = useMay('addSeam');
  const shown = seams.filter((seam) => isWanted(seam, wanted));
  const groups = parts
    .map((part) => ({ part, seams: shown.filter((seam) => seam.partId === part.id) }))
    .filter((group) => group.seams.length > 0);
  return (
    <Page
      title={t('view.app.seams')}
      line={t('view.seams.seams-on-parts', { seams: seams.length, groups: groups.length })}
      acts={
        <>
          <Box width="220px">
            <chakra.input
              {...inputLook}
              type="search"
              aria-label={t('view.seams.search-the-seams')}
              placeholder={t('view.seams.search')}
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
            />
          </Box>
          <Action kind="main" disabled={!mayAdd} onClick={() => setAdding(true)} aria-expanded={adding}>
            {t('view.palette.describe-a-seam')}
          </Action>
        </>
      }
    >
      {adding && <NewSeam parts={parts} onClose={() => setAdding(false)} />}
      {seams.length > 0 && shown.length === 0 && <Notice level="note">{t('view.seams.no-match', { wanted })}</Notice>}
      {seams.length === 0 && !adding && <Notice level="note">{t('view.seams.none')}</Notice>}
      {groups.map(({ part, seams: own }) => (
        <Panel
          key={part.id}
          title={part.name}
          aside={
            <Box textStyle="label" color="quiet">
              {part.about}
            </Box>
          }
        >
          <Box as="ul" listStyleType="none">
            {own.map((seam) => (
              <SeamRow
                key={seam.id}
                seam={seam}
                opened={opened === seam.id}
                onToggle={() => setOpened(opened === seam.id ? null : seam.id)}
              >
                <SeamActs seam={seam} parts={parts} onClose={() => setOpened(null)} />
              </SeamRow>
            ))}
          </Box>
        </Panel>
      ))}
    </Page>
  );
}

function isWanted({ spec, partName, revision }: SeamResource, wanted: string): boolean {
  const words = wanted.trim().toLowerCase().split(/\s+/);
  const wire = revision ? fillerOf(revision.program.filler).name : '';
  const text =
    `${spec.name} ${partName} ${spec.grade} ${spec.materialGroup} ${spec.joint} ${spec.position} ${format(wire)}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

/** Off the list, and back with one touch. */
function SeamRow({
  seam,
  opened,
  onToggle,
  children,
}: {
  readonly seam: SeamResource;
  readonly opened: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}) {
  const units = useSettings((state) => state.units);
  const { spec, revision } = seam;
  const shop = useShopSite();
  const outcome = planOf(sheetOf(seam), siteOfSeam(seam, shop));
  const plan = outcome.ok ? outcome.value : null;
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
      <Box display="flex" alignItems="center" gap="1">
        <Box
          asChild
          flex="1"
          minWidth={0}
          display="grid"
          gridTemplateColumns={{ base: '96px 1fr', md: '96px minmax(0, 1.3fr) minmax(0, 1fr) 110px' }}
          alignItems="center"
          columnGap="4"
          minHeight="64px"
          py="1"
          color="ink"
          _hover={{ bg: 'accentSoft' }}
        >
          <Link to={`/seams/${seam.id}`}>
            <Box borderRadius="3px" overflow="hidden" aria-hidden="true">
              <JointDrawing
                small
                width={96}
                height={56}
                gun={null}
                joint={spec.joint}
                position={spec.position}
                thicknessesMm={spec.thicknessesMm}
                gapMm={spec.gapMm}
                legMm={plan?.legMm ?? null}
                areaMm2={plan?.areaMm2 ?? 6}
              />
            </Box>
            <Box minWidth={0}>
              <Heading as="h3" fontSize="body" fontWeight={600}>
                {spec.name}
              </Heading>
              <Box fontSize="small" color="quiet">
                {format(inSentence(jointRule(spec.joint).name))}{' '}
                {spec.thicknessesMm.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + ')},{' '}
                {format(positionName(spec.position, spec.joint))}
              </Box>
            </Box>
            <Box fontSize="small" minWidth={0} display={{ base: 'none', md: 'block' }}>
              {revision ? (
                <>
                  {format(fillerOf(revision.program.filler).name)}, {format(wireSizeLabel(revision.program.diameterMm))}
                  <Box color="quiet">{format(gasOf(revision.program.gas).name)}</Box>
                </>
              ) : (
                <Box color="ochre" fontWeight={600}>
                  {t('view.seams.no-setting')}
                </Box>
              )}
            </Box>
            <Box textAlign="end" display={{ base: 'none', md: 'block' }}>
              {revision && (
                <>
                  <Box textStyle="figure">{formatWithUnit(revision.program.wireFeedMPerMin, 'wireFeed', units)}</Box>
                  <Box textStyle="label" color="quiet">
                    {t('view.seams.revision', { number: revision.number })}
                  </Box>
                </>
              )}
            </Box>
          </Link>
        </Box>
        <Action
          kind="quiet"
          aria-label={t('view.seams.more-acts', { spec: spec.name })}
          aria-expanded={opened}
          onClick={onToggle}
        >
          ⋯
        </Action>
      </Box>
      {opened && children}
    </Box>
  );
}
