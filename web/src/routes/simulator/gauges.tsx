/** The figures a welder steers by, in one row: what is heard, then arc, current, volts, pulse, shorts and what shows at the back. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, named, formatQuantity } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { arcOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import { type Plan, coldPlateC } from '@fox-tempo/core/setting/plan';
import type { SimulationMetrics } from '@fox-tempo/core/weld/simulation';
import { showThroughOf } from '@fox-tempo/core/machine/tuning';
import { goodZones, zoneOf, zoneWords } from '@fox-tempo/core/weld/zone-map';
import { memo, useCallback, useState } from 'react';
import { useSettings } from '../../session/settings.ts';
import { figureRows, type FigureRow } from './figure-rows.ts';
import type { ArcRun } from './use-arc.ts';

/** Of all figures, these; a setting without a pulse has no pulse rate. */
const steeredBy = ['arc', 'mean', 'volts', 'hz', 'shorts'];

export interface GaugesProps {
  readonly run: ArcRun;
  readonly ghost: SimulationMetrics | null;
  readonly program: Program;
  readonly plan: Plan;
}

export function Gauges({ run, ghost, program, plan }: GaugesProps) {
  const [open, setOpen] = useState<string | null>(null);
  const rows = figureRows(run, ghost, program, plan);
  const { metrics, transferMode, words } = run.simulation;
  const zone = zoneOf(program.mode, transferMode, metrics, arcOf(program, program.ctwdMm, 0).lineMm);
  const isGood = goodZones(program.mode).includes(zone);
  const through = showThroughOf(program, metrics, plan.thinnerMm, coldPlateC);
  const toggle = useCallback((key: string) => setOpen((now) => (now === key ? null : key)), []);
  const shown = steeredBy.flatMap((key) => rows.find((row) => row.key === key) ?? []);
  const because: Record<string, string> = {
    ...Object.fromEntries(shown.map((row) => [row.key, `${row.label}: ${row.because}`])),
    heard: t('view.simulator.because.sound', {
      words,
      symptom: zoneWords[zone].symptom,
      seconds: amount('phaseTime', run.input.seconds),
    }),
    back: t('view.simulator.because.show-through', {
      penetration: amount('shortLength', through.penetrationMm, 1),
      thickness: amount('shortLength', plan.thinnerMm, 1),
      index: amount('plain', through.index, 2),
      least: amount('plain', through.band[0], 2),
      most: amount('plain', through.band[1], 2),
    }),
  };
  return (
    <Box
      as="section"
      aria-label={t('view.simulator.in-numbers')}
      bg="surface"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      px="1"
    >
      <Box
        display="grid"
        css={cellLooks}
        gridTemplateColumns={{
          base: 'repeat(4, minmax(0, 1fr))',
          md: `minmax(0, 1.5fr) repeat(${shown.length}, minmax(0, 1fr)) minmax(0, 1.25fr)`,
        }}
      >
        <Gauge
          id="heard"
          label={t('view.simulator.heard')}
          value={`${isGood ? '●' : '◇'} ${format(zoneWords[zone].name)}`}
          word={isGood ? 'good' : 'near'}
          open={open === 'heard'}
          onToggle={toggle}
        />
        {shown.map((row) => (
          <FigureGauge key={row.key} row={row} open={open === row.key} onToggle={toggle} />
        ))}
        <Gauge
          id="back"
          label={t('view.simulator.at-the-back')}
          value={named(through.verdict)}
          word="plain"
          below={t('view.simulator.show-through-index', { index: amount('plain', through.index, 2) })}
          open={open === 'back'}
          onToggle={toggle}
        />
      </Box>
      {open !== null && because[open] !== undefined && (
        <Box fontSize="label" color="quiet" px="2" pb="1.5" role="note">
          <strong>{t('view.simulator.because')}</strong> {because[open]}
        </Box>
      )}
    </Box>
  );
}

const shortLabels: Partial<Record<string, string>> = {
  arc: t('view.simulator.arc-length'),
  mean: t('view.simulator.mean-current'),
  volts: t('view.simulator.at-the-tip'),
  hz: t('view.simulator.fast-pulse'),
  shorts: t('view.simulator.shorts-a-second'),
};

/** Said once for the row: its cells are plain, because they are drawn again with every move of a dial. */
const cellLooks = {
  '& button': {
    textAlign: 'start',
    paddingInline: '8px',
    paddingBlock: '4px',
    minHeight: '60px',
    minWidth: 0,
    cursor: 'pointer',
    borderInlineStart: '1px solid var(--chakra-colors-line)',
  },
  '& button:first-of-type': { borderStartWidth: 0 },
  '& button:hover, & button[aria-expanded=true]': { background: 'var(--chakra-colors-accent-soft)' },
  '& span': { display: 'block', lineHeight: 1.2, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .label, & .below': { whiteSpace: 'normal', overflowWrap: 'anywhere', hyphens: 'auto' },
  '& .label': { fontSize: 'var(--chakra-font-sizes-label)', color: 'var(--chakra-colors-quiet)' },
  '& .figure': {
    fontFamily: 'var(--chakra-fonts-mono)',
    fontWeight: 500,
    fontSize: 'var(--chakra-font-sizes-title)',
    lineHeight: 1.35,
  },
  '& .word': { fontWeight: 600, fontSize: 'var(--chakra-font-sizes-text)', whiteSpace: 'normal' },
  '& .good': { color: 'var(--chakra-colors-spruce)' },
  '& .near': { color: 'var(--chakra-colors-ochre)' },
  '& small': {
    fontSize: 'var(--chakra-font-sizes-label)',
    color: 'var(--chakra-colors-quiet)',
    marginInlineStart: '2px',
  },
  '& .below': { fontSize: 'var(--chakra-font-sizes-label)', color: 'var(--chakra-colors-quiet)' },
} as const;

interface GaugeProps {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly unit?: string;
  readonly below?: string;
  /** A word instead of a figure, with its standing. */
  readonly word?: 'good' | 'near' | 'plain';
  readonly open: boolean;
  readonly onToggle: (id: string) => void;
}

const Gauge = memo(function Gauge({ id, label, value, unit = '', below = '', word, open, onToggle }: GaugeProps) {
  return (
    <button type="button" aria-expanded={open} onClick={() => onToggle(id)}>
      <span className="label">{label}</span>
      <span className={word === undefined ? 'figure' : `word ${word}`}>
        {value}
        {unit !== '' && <small>{unit}</small>}
      </span>
      <span className="below">{below}</span>
    </button>
  );
});

function FigureGauge({
  row,
  open,
  onToggle,
}: {
  readonly row: FigureRow;
  readonly open: boolean;
  readonly onToggle: (id: string) => void;
}) {
  const units = useSettings((state) => state.units);
  const said = (value: number) => formatQuantity(value, row.of, units, row.digits);
  const now = said(row.value);
  return (
    <Gauge
      id={row.key}
      label={shortLabels[row.key] ?? row.label}
      value={now.text}
      unit={now.unit}
      below={
        row.ghost !== null
          ? t('view.simulator.held-text', { figure: said(row.ghost).text })
          : row.band
            ? t('view.ui.band', { low: said(row.band[0]).text, high: said(row.band[1]).text })
            : ''
      }
      open={open}
      onToggle={onToggle}
    />
  );
}
