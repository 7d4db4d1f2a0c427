/** Heat in the part: seams of one setting on one part, its warmth at any moment, the level each stretch leaves, waits under a ceiling, and the order that waits least. */
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { inOrder, readingAgainst, type OrderedSoak, type PartShape } from '@fox-tempo/core/weld/soak';
import { useMemo } from 'react';
import { useLoaderData, useParams } from 'react-router';
import { t } from '../../lib/words.ts';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { useSheetSession, type SheetSession } from '../../sheet/session.ts';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { SeamHead } from '../../parts/seam-frame/index.ts';
import { Inputs } from './inputs.tsx';
import { inputOf, readingPlace, seamCount, shapeOf, troubleWith, usualLayout, type Layout } from './layout.ts';
import { Moment } from './moment.tsx';
import { Order } from './order.tsx';
import { SeamRows } from './seam-rows.tsx';
import { Thermometer } from './thermometer.tsx';
import { Main } from '../../ui/main.tsx';

export function Heat() {
  const { id = '' } = useParams();
  return <HeatOf key={id} />;
}

function HeatOf() {
  const { seam, machines } = useLoaderData<SeamAndMachines>();
  const open = useSheetSession(seam, machines);
  return (
    <Box>
      <SeamHead seam={seam} title={t('view.heat.title', { seam: seam.spec.name })} line={t('view.heat.title-why')} />
      <Main>
        {open.plan ? <Planned open={open} plan={open.plan} /> : <Notice level="note">{t('view.heat.no-plan')}</Notice>}
      </Main>
    </Box>
  );
}

function Planned({ open, plan }: { readonly open: SheetSession; readonly plan: Plan }) {
  const { seam } = open;
  const { spec } = open.sheet;
  const [layout, setLayout] = useKeptForm<Layout>(`heat/${seam.id}`, usualLayout(spec.lengthMm));
  const set = (change: Partial<Layout>) => setLayout({ ...layout, ...change });
  const trouble = troubleWith(layout, spec);
  const shape = useMemo(() => shapeOf(layout, spec), [layout, spec]);
  const input = useMemo(() => inputOf(layout, spec, plan, 1), [layout, spec, plan]);
  const order = useMemo(
    () =>
      layout.order?.length === seamCount(layout)
        ? layout.order
        : Array.from({ length: seamCount(layout) }, (_, at) => at),
    [layout],
  );
  const uncorrected = useMemo(() => (trouble === null ? inOrder(input, order) : null), [input, order, trouble]);
  const verdict = useMemo(
    () => (uncorrected ? verdictOn(layout, shape, uncorrected) : null),
    [uncorrected, layout, shape],
  );
  const factor = verdict?.says === 'factor' ? verdict.factor : 1;
  const found = useMemo(
    () => (uncorrected === null || factor === 1 ? uncorrected : inOrder(inputOf(layout, spec, plan, factor), order)),
    [uncorrected, factor, layout, spec, plan, order],
  );
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '360px minmax(0, 1fr)' }} alignItems="start">
      <Box display="grid" gap="3" minWidth={0}>
        <Inputs seam={seam} layout={layout} set={set} trouble={trouble} />
        <Thermometer seam={seam} layout={layout} set={set} verdict={verdict} />
      </Box>
      <Box display="grid" gap="3" minWidth={0}>
        {!found && <Box color="quiet">{t('view.heat.no-picture')}</Box>}
        {found && (
          <>
            <Moment key={`${layout.kind} ${seamCount(layout)}`} layout={layout} shape={shape} found={found} />
            <SeamRows open={open} found={found} plan={plan} />
            <Order input={input} layout={layout} found={found} onOrder={(next) => set({ order: next })} />
          </>
        )}
      </Box>
    </Box>
  );
}

function verdictOn(layout: Layout, shape: PartShape, { soaked, endsAtS }: OrderedSoak) {
  const { reading } = layout;
  if (!reading) return null;
  const { atS, tempC } = reading;
  return readingAgainst(
    soaked,
    layout.ambientC,
    { atMm: readingPlace(reading, shape), atS, tempC },
    Math.max(endsAtS, atS) + 60,
  );
}
