/** Heat in the part: seams of one setting on one plate, its warmth at any moment, the level each stretch leaves, waits under a ceiling, and the order that waits least. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { baseMetals } from '@fox-tempo/core/conduction';
import type { Plan } from '@fox-tempo/core/plan';
import { amount } from '@fox-tempo/core/said';
import { correctionBy, inOrder, type OrderedSoak, type SoakInput } from '@fox-tempo/core/soak';
import { useEffect, useMemo, useState } from 'react';
import { useLoaderData, useParams } from 'react-router';
import { t, tell } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { useSum } from '../../workers/use-sum.ts';
import { planOf, sheetOf } from '../../sheet/sheet.ts';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { SeamHead } from '../seam-frame/index.ts';
import { FieldPicture, WarmthScale } from './field-picture.tsx';

interface Layout {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly interpassC: number | null;
  readonly ambientC: number;
  /** x and y of either end, mm from the plate's corner. */
  readonly seams: readonly (readonly [number, number, number, number])[];
  /** As listed, or as found. */
  readonly order: readonly number[] | null;
  readonly reading: { readonly xMm: number; readonly yMm: number; readonly atS: number; readonly tempC: number } | null;
}

const shopC = 20;
/** Still air and a bench, on each face, W/(m² K); as the command line assumes. */
const lossWPerM2K = 12;
const mostSeams = 12;

export function Heat() {
  const { seam } = useLoaderData<SeamAndMachines>();
  const { id = '' } = useParams();
  const plan = useMemo(() => planOf(sheetOf(seam)), [seam]);
  return (
    <Box key={id}>
      <SeamHead
        seam={seam}
        title={t('view.heat.heat-in-the-part', { seam: seam.spec.name })}
        line={t('view.heat.one-setting-many-seams')}
      />
      <Box as="main" id="content" tabIndex={-1} p="3">
        {plan.ok ? <Planned seam={seam} plan={plan.value} /> : <Notice level="note">{t('view.heat.no-plan')}</Notice>}
      </Box>
    </Box>
  );
}

function usualLayout(lengthMm: number): Layout {
  const margin = 20;
  return {
    lengthMm: Math.round(lengthMm + 2 * margin),
    widthMm: 240,
    interpassC: 100,
    ambientC: shopC,
    seams: [40, 90, 150, 200].map((y) => [margin, y, Math.round(lengthMm + margin), y] as const),
    order: null,
    reading: null,
  };
}

function Planned({ seam, plan }: { readonly seam: SeamResource; readonly plan: Plan }) {
  const [layout, setLayout] = useKeptForm<Layout>(`heat/${seam.id}`, usualLayout(seam.spec.lengthMm));
  const set = (change: Partial<Layout>) => setLayout({ ...layout, ...change });
  const trouble = troubleWith(layout);
  const input = useMemo(() => inputOf(layout, seam, plan, 1), [layout, seam, plan]);
  const order = useMemo(
    () => (layout.order?.length === layout.seams.length ? layout.order : layout.seams.map((_, at) => at)),
    [layout],
  );
  const uncorrected = useMemo(() => (trouble === null ? inOrder(input, order) : null), [input, order, trouble]);
  const factor =
    uncorrected && layout.reading
      ? correctionBy(uncorrected.soaked, layout.ambientC, {
          atMm: [layout.reading.xMm, layout.reading.yMm],
          atS: layout.reading.atS,
          tempC: layout.reading.tempC,
        })
      : 1;
  const found = useMemo(
    () => (uncorrected === null || factor === 1 ? uncorrected : inOrder(inputOf(layout, seam, plan, factor), order)),
    [uncorrected, factor, layout, seam, plan, order],
  );
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '360px minmax(0, 1fr)' }} alignItems="start">
      <Box display="grid" gap="3" minWidth={0}>
        <Inputs seam={seam} layout={layout} set={set} />
        <Reading seam={seam} layout={layout} set={set} factor={factor} />
      </Box>
      <Box display="grid" gap="3" minWidth={0}>
        {trouble !== null && <Notice level="refusal">{trouble}</Notice>}
        {found && (
          <>
            <Moment key={layout.seams.length} layout={layout} found={found} />
            <Seams found={found} plan={plan} />
            <Order input={input} layout={layout} found={found} onOrder={(next) => set({ order: next })} />
          </>
        )}
      </Box>
    </Box>
  );
}

function inputOf(layout: Layout, { spec }: SeamResource, plan: Plan, factor: number): SoakInput {
  const metal = baseMetals[spec.materialGroup];
  const powerW = ((plan.heatInputKjPerMm * 1000 * plan.travelMmPerMin) / 60) * factor;
  return {
    plate: {
      lengthMm: layout.lengthMm,
      widthMm: layout.widthMm,
      thicknessMm: spec.thicknessesMm[0],
      diffusivityMm2PerS: metal.diffusivityMm2PerS,
      volumetricHeatJPerMm3K: metal.volumetricHeatJPerMm3K,
      lossWPerM2K,
    },
    seams: layout.seams.map(([x0, y0, x1, y1]) => ({
      from: [x0, y0] as const,
      to: [x1, y1] as const,
      travelMmPerMin: plan.travelMmPerMin,
      powerW,
      startAtS: 0,
    })),
    ambientC: layout.ambientC,
    meltsAtC: metal.meltsAtC,
    interpassC: layout.interpassC ?? undefined,
  };
}

function troubleWith({ lengthMm, widthMm, seams, interpassC, ambientC }: Layout): string | null {
  const off = seams.findIndex(
    ([x0, y0, x1, y1]) => [x0, x1].some((x) => x < 0 || x > lengthMm) || [y0, y1].some((y) => y < 0 || y > widthMm),
  );
  if (off !== -1)
    return t('view.heat.seam-off-the-plate', {
      at: off + 1,
      length: amount('length', lengthMm, 0),
      width: amount('length', widthMm, 0),
    });
  const still = seams.findIndex(([x0, y0, x1, y1]) => Math.hypot(x1 - x0, y1 - y0) < 5);
  if (still !== -1) return t('view.heat.seam-has-no-length', { at: still + 1 });
  if (interpassC !== null && interpassC <= ambientC + 2)
    return t('view.heat.ceiling-too-low', {
      ceiling: amount('temperature', interpassC, 0),
      ambient: amount('temperature', ambientC, 0),
    });
  return null;
}

function Inputs({
  seam,
  layout,
  set,
}: {
  readonly seam: SeamResource;
  readonly layout: Layout;
  readonly set: (change: Partial<Layout>) => void;
}) {
  const keep = `heat/${seam.id}`;
  const end = (at: number, which: 0 | 1 | 2 | 3, label: string) => (
    <ValueField
      key={`${at} ${which}`}
      label={label}
      of="length"
      value={layout.seams[at]?.[which] ?? 0}
      keep={`${keep}/${at}/${which}`}
      range={[0, 10_000]}
      step={5}
      follows
      onValue={(value) => {
        if (value === null) return;
        set({ seams: layout.seams.map((one, other) => (other === at ? withEnd(one, which, value) : one)) });
      }}
    />
  );
  return (
    <Panel title={t('view.heat.the-plate-and-its-seams')}>
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
        <ValueField
          label={t('view.heat.plate-length')}
          of="length"
          value={layout.lengthMm}
          keep={`${keep}/length`}
          range={[20, 5000]}
          step={10}
          follows
          onValue={(value) => value !== null && set({ lengthMm: value })}
        />
        <ValueField
          label={t('view.heat.plate-width')}
          of="length"
          value={layout.widthMm}
          keep={`${keep}/width`}
          range={[20, 5000]}
          step={10}
          follows
          onValue={(value) => value !== null && set({ widthMm: value })}
        />
        <ValueField
          label={t('view.heat.no-seam-starts-above')}
          of="temperature"
          value={layout.interpassC}
          keep={`${keep}/interpass`}
          range={[25, 400]}
          step={10}
          optional
          follows
          onValue={(interpassC) => set({ interpassC })}
        />
        <ValueField
          label={t('view.heat.shop')}
          of="temperature"
          value={layout.ambientC}
          keep={`${keep}/ambient`}
          range={[-20, 45]}
          step={1}
          follows
          onValue={(value) => value !== null && set({ ambientC: value })}
        />
      </Box>
      <Box display="grid" gap="2" mt="3">
        {layout.seams.map((_, at) => (
          <Box key={at} display="grid" gap="1" gridTemplateColumns="repeat(4, minmax(0, 1fr)) 44px" alignItems="end">
            {end(at, 0, t('view.heat.from-x', { at: at + 1 }))}
            {end(at, 1, t('view.heat.from-y', { at: at + 1 }))}
            {end(at, 2, t('view.heat.to-x', { at: at + 1 }))}
            {end(at, 3, t('view.heat.to-y', { at: at + 1 }))}
            <Action
              kind="quiet"
              disabled={layout.seams.length < 2}
              aria-label={t('view.heat.take-seam-off', { at: at + 1 })}
              onClick={() => set({ seams: layout.seams.filter((_one, other) => other !== at), order: null })}
            >
              ✕
            </Action>
          </Box>
        ))}
        <Action
          disabled={layout.seams.length >= mostSeams}
          onClick={() => {
            const [x0, y0, x1, y1] = layout.seams.at(-1) ?? [20, 20, layout.lengthMm - 20, 20];
            const y = (value: number) => Math.min(value + 30, layout.widthMm);
            set({ seams: [...layout.seams, [x0, y(y0), x1, y(y1)]], order: null });
          }}
        >
          {t('view.heat.add-a-seam')}
        </Action>
      </Box>
    </Panel>
  );
}

function withEnd(one: Layout['seams'][number], which: 0 | 1 | 2 | 3, value: number): Layout['seams'][number] {
  const [x0, y0, x1, y1] = one;
  return [which === 0 ? value : x0, which === 1 ? value : y0, which === 2 ? value : x1, which === 3 ? value : y1];
}

/** One thermometer reading corrects all of it. */
function Reading({
  seam,
  layout,
  set,
  factor,
}: {
  readonly seam: SeamResource;
  readonly layout: Layout;
  readonly set: (change: Partial<Layout>) => void;
  readonly factor: number;
}) {
  const reading = layout.reading ?? {
    xMm: layout.lengthMm / 2,
    yMm: layout.widthMm / 2,
    atS: 60,
    tempC: layout.ambientC,
  };
  const keep = `heat/${seam.id}/reading`;
  const put = (change: Partial<typeof reading>) => set({ reading: { ...reading, ...change } });
  return (
    <Panel title={t('view.heat.a-thermometer-reading')}>
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
        <ValueField
          label="x"
          of="length"
          value={reading.xMm}
          keep={`${keep}/x`}
          range={[0, 5000]}
          step={5}
          follows
          onValue={(value) => value !== null && put({ xMm: value })}
        />
        <ValueField
          label="y"
          of="length"
          value={reading.yMm}
          keep={`${keep}/y`}
          range={[0, 5000]}
          step={5}
          follows
          onValue={(value) => value !== null && put({ yMm: value })}
        />
        <ValueField
          label={t('view.heat.after-seconds')}
          of="phaseTime"
          value={reading.atS}
          keep={`${keep}/at`}
          range={[0, 36_000]}
          step={5}
          follows
          onValue={(value) => value !== null && put({ atS: value })}
        />
        <ValueField
          label={t('view.heat.it-read')}
          of="temperature"
          value={reading.tempC}
          keep={`${keep}/temp`}
          range={[-20, 700]}
          step={1}
          follows
          onValue={(value) => value !== null && put({ tempC: value })}
        />
      </Box>
      {layout.reading && (
        <Box display="flex" gap="2" alignItems="center" justifyContent="space-between" fontSize="13px" mt="2">
          <Box>
            {factor === 1
              ? t('view.heat.says-nothing')
              : t('view.heat.all-warmth-times', { factor: amount('plain', factor, 2) })}
          </Box>
          <Action kind="quiet" onClick={() => set({ reading: null })}>
            {t('view.heat.without-it')}
          </Action>
        </Box>
      )}
    </Panel>
  );
}

/** Any moment of it, by slider or played. */
function Moment({ layout, found }: { readonly layout: Layout; readonly found: OrderedSoak }) {
  const total = Math.ceil(found.endsAtS + 60);
  const [atS, setAtS] = useState(Math.round(found.endsAtS));
  const [plays, setPlays] = useState(false);
  useEffect(() => {
    if (!plays) return undefined;
    const timer = setInterval(
      () => setAtS((before) => (before >= total ? 0 : before + Math.max(total / 200, 0.5))),
      120,
    );
    return () => clearInterval(timer);
  }, [plays, total]);
  const shown = Math.min(atS, total);
  const hottestC = useMemo(
    () =>
      Math.max(...found.soaked.seams.flatMap(({ aheadC }) => aheadC.map(([, tempC]) => tempC)), layout.ambientC + 50),
    [found, layout.ambientC],
  );
  return (
    <Panel
      title={t('view.heat.the-plate-after', { seconds: amount('phaseTime', shown, 0) })}
      aside={
        <Action kind="quiet" my="-3" onClick={() => setPlays(!plays)}>
          {plays ? t('view.heat.stop') : t('view.heat.play')}
        </Action>
      }
    >
      <Box display="grid" gap="2">
        <FieldPicture
          lengthMm={layout.lengthMm}
          widthMm={layout.widthMm}
          soaked={found.soaked}
          seams={found.order.flatMap((at, place) => {
            const seam = layout.seams[at];
            return seam
              ? [{ from: [seam[0], seam[1]] as const, to: [seam[2], seam[3]] as const, place: place + 1 }]
              : [];
          })}
          atS={shown}
          ambientC={layout.ambientC}
          hottestC={hottestC}
        />
        <WarmthScale ambientC={layout.ambientC} hottestC={hottestC} />
        <input
          type="range"
          aria-label={t('view.heat.moment')}
          min={0}
          max={total}
          step={1}
          value={shown}
          style={{ width: '100%', height: 44, accentColor: 'var(--chakra-colors-accent)' }}
          onChange={(event) => setAtS(Number(event.target.value))}
        />
      </Box>
    </Panel>
  );
}

function Seams({ found, plan }: { readonly found: OrderedSoak; readonly plan: Plan }) {
  return (
    <Panel title={t('view.heat.seam-by-seam')}>
      <Table label={t('view.heat.seam-by-seam')}>
        <Heads
          names={[
            t('view.heat.place'),
            t('view.heat.wait'),
            t('view.heat.starts'),
            t('view.heat.ahead-of-the-arc'),
            t('view.heat.levels'),
            t('view.heat.leg-at-the-end'),
          ]}
          right={[t('view.heat.wait'), t('view.heat.starts')]}
        />
        <tbody>
          {found.soaked.seams.map(({ startAtS, waitS, aheadC, levels, legShare }, place) => (
            <tr key={place}>
              <Cell head>
                {place + 1}{' '}
                <Box as="span" color="quiet" fontWeight={400}>
                  ({t('view.heat.seam-number', { at: (found.order[place] ?? 0) + 1 })})
                </Box>
              </Cell>
              <Cell figure>{waitS < 1 ? '–' : tell(amount('phaseTime', waitS, 0))}</Cell>
              <Cell figure>{tell(amount('phaseTime', startAtS, 0))}</Cell>
              <Cell>
                {tell(amount('temperature', aheadC[0]?.[1] ?? 0, 0))} …{' '}
                {tell(amount('temperature', aheadC.at(-1)?.[1] ?? 0, 0))}
              </Cell>
              <Cell>
                {levels
                  .map(
                    ([fromMm, percent]) =>
                      `${tell(amount('percent', percent, 0))} ${t('view.heat.from-mm', { from: amount('length', fromMm, 0) })}`,
                  )
                  .join(', ')}
              </Cell>
              <Cell>{plan.legMm === null ? '–' : tell(amount('shortLength', plan.legMm * legShare, 1))}</Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      <Box fontSize="12.5px" color="quiet" mt="1">
        {t('view.heat.levels-answer-to')}
      </Box>
    </Panel>
  );
}

function Order({
  input,
  layout,
  found,
  onOrder,
}: {
  readonly input: SoakInput;
  readonly layout: Layout;
  readonly found: OrderedSoak;
  readonly onOrder: (order: readonly number[] | null) => void;
}) {
  const ask = useMemo(() => ({ input }), [input]);
  const { answer } = useSum('heatOrder', ask);
  return (
    <Panel title={t('view.heat.order-of-seams')}>
      <Box display="grid" gap="2" fontSize="14px">
        <Box>
          {t('view.heat.as-it-stands', {
            total: amount('minutes', found.endsAtS / 60, 1),
            waits: amount('minutes', found.waitS / 60, 1),
          })}
        </Box>
        {answer ? (
          <>
            <Box>
              {t('view.heat.best-found', {
                order: answer.order.map((at) => at + 1).join(', '),
                total: amount('minutes', answer.endsAtS / 60, 1),
                waits: amount('minutes', answer.waitS / 60, 1),
              })}
            </Box>
            <Box display="flex" gap="2" flexWrap="wrap">
              <Action
                kind="main"
                disabled={answer.order.join() === found.order.join()}
                onClick={() => onOrder(answer.order)}
              >
                {t('view.heat.take-this-order')}
              </Action>
              {layout.order && <Action onClick={() => onOrder(null)}>{t('view.heat.back-to-the-list')}</Action>}
            </Box>
          </>
        ) : (
          <Box color="quiet" role="status">
            {t('view.heat.looking-for-an-order')}
          </Box>
        )}
      </Box>
    </Panel>
  );
}
