/** The plan's figures with bands; each opens to the sum behind it. */
import { t, format } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { figureKinds, type Plan, type PlanFigures } from '@fox-tempo/core/setting/plan';
import { useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { BandText, Figure } from '../../ui/quantity.tsx';
import { Unfold } from '../../ui/unfold.tsx';

interface Row {
  readonly key: keyof PlanFigures;
  readonly label: string;
  readonly digits?: number;
}

/** The order of use: what is set, what the hand does, what the pulse is, what it costs. */
const rows: readonly Row[] = [
  { key: 'wireFeedMPerMin', label: t('view.simulator.wire-feed') },
  { key: 'meanCurrentA', label: t('view.simulator.mean-current') },
  { key: 'voltageV', label: t('view.simulator.tip-voltage') },
  { key: 'machineVoltageV', label: t('view.seams.at-the-machine') },
  { key: 'arcLengthMm', label: t('view.simulator.arc-length') },
  { key: 'travelMmPerMin', label: t('view.dial-card.travel') },
  { key: 'heatInputKjPerMm', label: t('view.seams.heat-input') },
  { key: 'legMm', label: t('view.seams.leg') },
  { key: 'ctwdMm', label: t('view.simulator.ctwd') },
  { key: 'frequencyHz', label: t('view.simulator.fast-pulse') },
  { key: 'meanPowerW', label: t('view.simulator.true-power') },
  { key: 'gasFlowLPerMin', label: t('view.dial-card.gas-flow') },
  { key: 'thicknessMm', label: t('view.seams.thickness-counted'), digits: 2 },
  { key: 'arcSeconds', label: t('view.seams.arc-time') },
  { key: 'wireGrams', label: t('view.seams.wire') },
  { key: 'gasLitres', label: t('view.seams.gas') },
  { key: 'areaMm2', label: t('view.seams.metal-a-pass') },
  { key: 'totalAreaMm2', label: t('view.seams.area') },
  { key: 'weaveMm', label: t('view.seams.weave') },
  { key: 'slagSeconds', label: t('view.seams.slag-to-chip') },
];

export function Figures({ plan }: { readonly plan: Plan }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const shown = rows.filter((row) => typeof plan[row.key] === 'number' && !isIdle(plan, row.key));
  const allOpen = open.size === shown.length;
  const toggle = (key: string) =>
    setOpen((current) => {
      const next = new Set(current);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  return (
    <Panel
      title={t('view.seams.setting')}
      aside={
        <Action
          kind="quiet"
          fontSize="label"
          my="-2"
          aria-pressed={allOpen}
          onClick={() => setOpen(allOpen ? new Set() : new Set(shown.map((row) => row.key)))}
        >
          {allOpen ? t('view.seams.hide-the-sums') : t('view.seams.show-the-sums')}
        </Action>
      }
    >
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', sm: 'repeat(4, minmax(0, 1fr))' }}
        columnGap="4"
        gridAutoFlow="row dense"
      >
        {shown.map((row) => (
          <FigureCell key={row.key} row={row} plan={plan} open={open.has(row.key)} onToggle={() => toggle(row.key)} />
        ))}
      </Box>
    </Panel>
  );
}

/** Figures that say nothing here: a straight hand, a wire without slag, the sum of a single pass. */
function isIdle(plan: Plan, key: keyof PlanFigures): boolean {
  if (key === 'totalAreaMm2') return plan.passes === 1;
  return (key === 'weaveMm' || key === 'slagSeconds') && plan[key] === 0;
}

function FigureCell({ row, plan, open, onToggle }: { row: Row; plan: Plan; open: boolean; onToggle: () => void }) {
  const value = plan[row.key];
  if (typeof value !== 'number') return null;
  const band = plan.bands[row.key];
  const because = plan.because[row.key];
  return (
    <Box
      borderTopWidth="1px"
      borderColor="line"
      gridColumn={open ? '1 / -1' : undefined}
      display={open ? 'grid' : 'block'}
      gridTemplateColumns="150px minmax(0, 1fr)"
      columnGap="4"
    >
      <chakra.button
        type="button"
        aria-expanded={open}
        onClick={onToggle}
        width="100%"
        minHeight="58px"
        py="1"
        textAlign="start"
        cursor="pointer"
        display="flex"
        flexDirection="column"
        alignItems="flex-start"
        _hover={{ bg: 'accentSoft' }}
      >
        <Box as="span" display="block" textStyle="label" color="quiet">
          {row.label}{' '}
          <Box as="span" aria-hidden="true" fontSize="label">
            <Unfold open={open} />
          </Box>
        </Box>
        <Figure
          value={value}
          of={figureKinds[row.key]}
          digits={row.digits}
          fontSize="title"
          display="block"
          lineHeight="1.2"
        />
        {band && <BandText band={band} of={figureKinds[row.key]} digits={row.digits} />}
      </chakra.button>
      {open && because !== undefined && (
        <Box fontSize="small" color="ink" alignSelf="center" py="1">
          <Box as="strong" me="1">
            {t('view.simulator.because')}
          </Box>
          {format(because)}
        </Box>
      )}
    </Box>
  );
}
