/** The figures a welder steers by, in one row: what is heard, then arc, current, volts, pulse, shorts and what shows at the back. */
import { Box, chakra } from '@chakra-ui/react';
import { arcOf, type Program } from '@fox-tempo/core/machine';
import type { Plan } from '@fox-tempo/core/plan';
import type { SimulationMetrics } from '@fox-tempo/core/simulation';
import { showThroughOf } from '@fox-tempo/core/tuning';
import { formatQuantity } from '@fox-tempo/core/units';
import { goodZones, zoneOf, zoneWords } from '@fox-tempo/core/zone-map';
import { useState, type ReactNode } from 'react';
import { useSettings } from '../../lib/settings.ts';
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
  const through = showThroughOf(program, metrics, plan.thicknessMm, 20);
  const toggle = (key: string) => setOpen(open === key ? null : key);
  const shown = steeredBy.flatMap((key) => rows.find((row) => row.key === key) ?? []);
  const because: Record<string, string> = {
    ...Object.fromEntries(shown.map((row) => [row.key, `${row.label}: ${row.because}`])),
    heard: `Heard: ${words}. ${zoneWords[zone].symptom}, judged from drops, shorts and arc length of ${run.input.seconds} s of simulated arc.`,
    back: `Show-through: reach into the plate over its thickness, ${through.penetrationMm.toFixed(1)} mm / ${plan.thicknessMm.toFixed(1)} mm = ${through.index.toFixed(2)}; ${through.band[0].toFixed(2)} to ${through.band[1].toFixed(2)} with the model’s own error.`,
  };
  return (
    <Box
      as="section"
      aria-label="In numbers"
      bg="surface"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      px="1"
    >
      <Box
        display="grid"
        gridTemplateColumns={{
          base: 'repeat(4, minmax(0, 1fr))',
          md: `minmax(0, 1.5fr) repeat(${shown.length}, minmax(0, 1fr)) minmax(0, 1.25fr)`,
        }}
      >
        <Gauge label="Heard" open={open === 'heard'} onToggle={() => toggle('heard')} isWord>
          <Box as="span" color={isGood ? 'spruce' : 'ochre'}>
            {isGood ? '●' : '◇'} {zoneWords[zone].name}
          </Box>
        </Gauge>
        {shown.map((row) => (
          <FigureGauge key={row.key} row={row} open={open === row.key} onToggle={() => toggle(row.key)} />
        ))}
        <Gauge
          label="At the back"
          open={open === 'back'}
          onToggle={() => toggle('back')}
          isWord
          below={`index ${through.index.toFixed(2)} ± 30 %`}
        >
          {through.verdict}
        </Gauge>
      </Box>
      {open !== null && because[open] !== undefined && (
        <Box fontSize="12.5px" color="quiet" px="2" pb="1.5" role="note">
          <strong>because</strong> {because[open]}
        </Box>
      )}
    </Box>
  );
}

const shortLabels: Partial<Record<string, string>> = {
  arc: 'Arc length',
  mean: 'Mean current',
  volts: 'At the tip',
  hz: 'Fast pulse',
  shorts: 'Shorts a second',
};

function FigureGauge({
  row,
  open,
  onToggle,
}: {
  readonly row: FigureRow;
  readonly open: boolean;
  readonly onToggle: () => void;
}) {
  const units = useSettings((state) => state.units);
  const said = (value: number) => formatQuantity(value, row.of, units, row.digits);
  const now = said(row.value);
  return (
    <Gauge
      label={shortLabels[row.key] ?? row.label}
      open={open}
      onToggle={onToggle}
      below={
        row.ghost !== null
          ? `held ${said(row.ghost).text}`
          : row.band
            ? row.band.map((end) => said(end).text).join(' to ')
            : ''
      }
    >
      {now.text}
      <Box as="span" fontSize="11.5px" color="quiet" ml="0.5">
        {now.unit}
      </Box>
    </Gauge>
  );
}

function Gauge({
  label,
  open,
  onToggle,
  below = '',
  isWord = false,
  children,
}: {
  readonly label: string;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly below?: string;
  readonly isWord?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <chakra.button
      type="button"
      aria-expanded={open}
      onClick={onToggle}
      textAlign="left"
      px="2"
      py="1"
      minHeight="60px"
      minWidth={0}
      cursor="pointer"
      borderLeftWidth="1px"
      borderColor="line"
      _first={{ borderLeftWidth: 0 }}
      _hover={{ bg: 'accentSoft' }}
      bg={open ? 'accentSoft' : undefined}
    >
      <Box fontSize="11.5px" color="quiet" lineHeight="1.2" truncate>
        {label}
      </Box>
      <Box
        fontFamily={isWord ? undefined : 'mono'}
        fontWeight={isWord ? 600 : 500}
        fontSize={isWord ? '14px' : '18px'}
        lineHeight={isWord ? '1.15' : '1.35'}
        lineClamp={isWord ? 2 : 1}
      >
        {children}
      </Box>
      <Box fontSize="10.5px" color="quiet" lineHeight="1.2" truncate>
        {below}
      </Box>
    </chakra.button>
  );
}
