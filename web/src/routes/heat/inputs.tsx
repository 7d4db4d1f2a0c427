/** The part and its seams, typed: a plate with lines on it, a box with its edges, a frame with its joints. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { edgesOf, frameLines, type BoxEdge, type PartShape } from '@fox-tempo/core/weld/soak';
import type { ReactNode } from 'react';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField, type ValueFieldProps } from '../../ui/value-field.tsx';
import { mostSeams, partKinds, seamCount, shapeOf, type EdgeSeam, type Layout } from './layout.ts';
import { edgeName } from './names.ts';
import { X } from 'lucide-react';

export interface LayoutProps {
  readonly seam: SeamResource;
  readonly layout: Layout;
  readonly set: (change: Partial<Layout>) => void;
}

export function Inputs({
  seam,
  layout,
  set,
  trouble,
}: LayoutProps & {
  /** Said beside the fields it is about; null: nothing is wrong. */
  readonly trouble: string | null;
}) {
  const shape = shapeOf(layout, seam.spec);
  const keep = `heat/${seam.id}`;
  const number = (
    name: 'lengthMm' | 'widthMm' | 'heightMm' | 'tubeWidthMm' | 'tubeHeightMm' | 'rungs',
    label: string,
    rest: Pick<ValueFieldProps, 'range' | 'step' | 'whole'> & { readonly of?: ValueFieldProps['of'] },
  ) => (
    <ValueField
      label={label}
      of="length"
      value={layout[name]}
      keep={`${keep}/${name}`}
      follows
      onValue={(value) => value !== null && set({ [name]: value })}
      {...rest}
    />
  );
  const kindName = {
    plate: t('view.heat.kind-plate'),
    box: t('view.heat.kind-box'),
    frame: t('view.heat.kind-frame'),
  };
  return (
    <Panel title={t('view.heat.part-and-seams')}>
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr" alignItems="end">
        <ChoiceField
          label={t('view.heat.part')}
          value={layout.kind}
          choices={partKinds.map((kind) => ({ value: kind, label: kindName[kind] }))}
          onChange={(kind) => set({ kind, order: null, reading: null })}
        />
        {layout.kind === 'box' ? (
          <ChoiceField
            label={t('view.heat.lid')}
            value={layout.lid ? 'closed' : 'open'}
            choices={[
              { value: 'open', label: t('view.heat.lid-open') },
              { value: 'closed', label: t('view.heat.lid-closed') },
            ]}
            onChange={(lid) => set({ lid: lid === 'closed', order: null })}
          />
        ) : layout.kind === 'frame' ? (
          number('rungs', t('view.heat.tubes-across'), { of: 'plain', range: [0, 8], whole: true })
        ) : (
          <Box />
        )}
        {number('lengthMm', layout.kind === 'plate' ? t('view.heat.plate-length') : t('view.heat.part-length'), {
          range: [20, 5000],
          step: 10,
        })}
        {number('widthMm', layout.kind === 'plate' ? t('view.heat.plate-width') : t('view.heat.part-width'), {
          range: [20, 5000],
          step: 10,
        })}
        {layout.kind === 'box' && number('heightMm', t('view.heat.part-height'), { range: [20, 2000], step: 10 })}
        {layout.kind === 'frame' && (
          <>
            {number('tubeWidthMm', t('view.heat.tube-width'), { range: [8, 400], step: 5 })}
            {number('tubeHeightMm', t('view.heat.tube-height'), { range: [8, 400], step: 5 })}
          </>
        )}
        <ValueField
          label={t('view.heat.no-start-above')}
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
      {trouble !== null && (
        <Box mt="3">
          <Notice level="refusal" urgent>
            {trouble}
          </Notice>
        </Box>
      )}
      <Box display="grid" gap="2" mt="3">
        {shape.kind === 'plate' && <PlateSeams layout={layout} set={set} keep={keep} />}
        {shape.kind === 'box' && <EdgeSeams layout={layout} set={set} keep={keep} shape={shape} />}
        {shape.kind === 'frame' && <JointSeams layout={layout} set={set} shape={shape} />}
      </Box>
    </Panel>
  );
}

interface ListProps {
  readonly layout: Layout;
  readonly set: LayoutProps['set'];
  readonly keep: string;
}

function PlateSeams({ layout, set, keep }: ListProps) {
  const end = (at: number, which: 0 | 1 | 2 | 3, label: string) => (
    <ValueField
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
    <>
      {layout.seams.map((_, at) => (
        <SeamRow
          key={at}
          at={at}
          columns="repeat(4, minmax(0, 1fr))"
          only={layout.seams.length < 2}
          onOff={() => set({ seams: without(layout.seams, at), order: null })}
        >
          {end(at, 0, t('view.heat.from-x', { at: at + 1 }))}
          {end(at, 1, t('view.heat.from-y', { at: at + 1 }))}
          {end(at, 2, t('view.heat.to-x', { at: at + 1 }))}
          {end(at, 3, t('view.heat.to-y', { at: at + 1 }))}
        </SeamRow>
      ))}
      <Another
        layout={layout}
        onAdd={() => {
          const [x0, y0, x1, y1] = layout.seams.at(-1) ?? [20, 20, layout.lengthMm - 20, 20];
          const y = (value: number) => Math.min(value + 30, layout.widthMm);
          set({ seams: [...layout.seams, [x0, y(y0), x1, y(y1)]], order: null });
        }}
      />
    </>
  );
}

function EdgeSeams({ layout, set, keep, shape }: ListProps & { readonly shape: PartShape & { readonly kind: 'box' } }) {
  const change = (at: number, one: Partial<EdgeSeam>) =>
    set({ edges: layout.edges.map((seam, other) => (other === at ? { ...seam, ...one } : seam)) });
  return (
    <>
      {layout.edges.map(({ edge, fromMm, toMm }, at) => (
        <SeamRow
          key={at}
          at={at}
          columns="minmax(0, 1.7fr) minmax(0, 1fr) minmax(0, 1fr)"
          only={layout.edges.length < 2}
          onOff={() => set({ edges: without(layout.edges, at), order: null })}
        >
          <ChoiceField
            label={t('view.heat.edge-of-seam', { at: at + 1 })}
            value={edge}
            choices={edgesOf(shape).map((value) => ({ value, label: edgeName(value) }))}
            onChange={(next: BoxEdge) => change(at, { edge: next, fromMm: 0, toMm: null })}
          />
          <ValueField
            label={t('view.heat.from-of-seam', { at: at + 1 })}
            of="length"
            value={fromMm}
            keep={`${keep}/edge/${at}/from`}
            range={[0, 5000]}
            step={5}
            follows
            onValue={(value) => value !== null && change(at, { fromMm: value })}
          />
          <ValueField
            label={t('view.heat.to-of-seam', { at: at + 1 })}
            of="length"
            value={toMm}
            keep={`${keep}/edge/${at}/to`}
            range={[0, 5000]}
            step={5}
            placeholder={t('view.heat.the-end')}
            optional
            follows
            onValue={(value) => change(at, { toMm: value })}
          />
        </SeamRow>
      ))}
      <Another
        layout={layout}
        onAdd={() => {
          const free = edgesOf(shape).find((edge) => !layout.edges.some((one) => one.edge === edge));
          set({ edges: [...layout.edges, { edge: free ?? 'base-front', fromMm: 0, toMm: null }], order: null });
        }}
      />
    </>
  );
}

function JointSeams({
  layout,
  set,
  shape,
}: Omit<ListProps, 'keep'> & { readonly shape: PartShape & { readonly kind: 'frame' } }) {
  const joints = frameLines(shape).joints.map((_, joint) => joint);
  return (
    <>
      {layout.joints.map((joint, at) => (
        <SeamRow
          key={at}
          at={at}
          columns="minmax(0, 1fr)"
          only={layout.joints.length < 2}
          onOff={() => set({ joints: without(layout.joints, at), order: null })}
        >
          <ChoiceField
            label={t('view.heat.joint-of-seam', { at: at + 1 })}
            value={String(joint)}
            choices={joints.map((one) => ({ value: String(one), label: t('view.heat.joint', { joint: one + 1 }) }))}
            onChange={(next) => set({ joints: layout.joints.map((one, other) => (other === at ? Number(next) : one)) })}
          />
        </SeamRow>
      ))}
      <Another
        layout={layout}
        onAdd={() => {
          const free = joints.find((joint) => !layout.joints.includes(joint));
          set({ joints: [...layout.joints, free ?? 0], order: null });
        }}
      />
    </>
  );
}

function SeamRow({
  at,
  columns,
  only,
  onOff,
  children,
}: {
  readonly at: number;
  readonly columns: string;
  readonly only: boolean;
  readonly onOff: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Box display="grid" gap="1" gridTemplateColumns={`${columns} 44px`} alignItems="end">
      {children}
      <Action kind="quiet" disabled={only} aria-label={t('view.heat.remove', { at: at + 1 })} onClick={onOff}>
        <X size={18} aria-hidden="true" />
      </Action>
    </Box>
  );
}

function Another({ layout, onAdd }: { readonly layout: Layout; readonly onAdd: () => void }) {
  return (
    <Action disabled={seamCount(layout) >= mostSeams} onClick={onAdd}>
      {t('view.heat.add-a-seam')}
    </Action>
  );
}

function without<T>(list: readonly T[], at: number): T[] {
  return list.filter((_one, other) => other !== at);
}

function withEnd(one: Layout['seams'][number], which: 0 | 1 | 2 | 3, value: number): Layout['seams'][number] {
  const [x0, y0, x1, y1] = one;
  return [which === 0 ? value : x0, which === 1 ? value : y0, which === 2 ? value : x1, which === 3 ? value : y1];
}
