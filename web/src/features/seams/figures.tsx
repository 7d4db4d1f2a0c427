/** The plan's figures with bands; each opens to the sum behind it. */
import { Box, chakra } from '@chakra-ui/react';
import type { Plan, PlanFigures } from '@fox-tempo/core/plan';
import type { QuantityName } from '@fox-tempo/core/units';
import { useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { BandText, Figure } from '../../ui/quantity.tsx';

interface Row {
  readonly key: keyof PlanFigures;
  readonly label: string;
  readonly of: QuantityName;
  readonly digits?: number;
}

/** The order of use: what is set, what the hand does, what the pulse is, what it costs. */
const rows: readonly Row[] = [
  { key: 'wireFeedMPerMin', label: 'Wire feed', of: 'wireFeed' },
  { key: 'meanCurrentA', label: 'Mean current', of: 'current' },
  { key: 'voltageV', label: 'Voltage at the tip', of: 'voltage' },
  { key: 'machineVoltageV', label: 'At the machine', of: 'voltage' },
  { key: 'arcLengthMm', label: 'Arc length', of: 'shortLength' },
  { key: 'travelMmPerMin', label: 'Travel', of: 'travel' },
  { key: 'heatInputKjPerMm', label: 'Heat input', of: 'heatInput' },
  { key: 'legMm', label: 'Leg', of: 'shortLength' },
  { key: 'ctwdMm', label: 'Stick-out', of: 'shortLength' },
  { key: 'frequencyHz', label: 'Fast pulse', of: 'frequency' },
  { key: 'meanPowerW', label: 'True power', of: 'power' },
  { key: 'gasFlowLPerMin', label: 'Gas flow', of: 'gasFlow' },
  { key: 'thicknessMm', label: 'Thickness counted', of: 'thickness', digits: 2 },
  { key: 'arcSeconds', label: 'Arc time', of: 'seconds' },
  { key: 'wireGrams', label: 'Wire for it', of: 'mass' },
  { key: 'gasLitres', label: 'Gas for it', of: 'volume' },
  { key: 'areaMm2', label: 'Metal a pass', of: 'area' },
  { key: 'totalAreaMm2', label: 'Metal in all', of: 'area' },
  { key: 'weaveMm', label: 'Weave', of: 'shortLength' },
  { key: 'slagSeconds', label: 'Slag to chip', of: 'seconds' },
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
      title="Setting"
      aside={
        <Action
          kind="quiet"
          fontSize="12px"
          my="-2"
          aria-pressed={allOpen}
          onClick={() => setOpen(allOpen ? new Set() : new Set(shown.map((row) => row.key)))}
        >
          {allOpen ? 'Hide the sums' : 'Show the sums'}
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
        textAlign="left"
        cursor="pointer"
        display="flex"
        flexDirection="column"
        alignItems="flex-start"
        _hover={{ bg: 'accentSoft' }}
      >
        <Box as="span" display="block" textStyle="label" color="quiet">
          {row.label}{' '}
          <Box as="span" aria-hidden="true" fontSize="10px">
            {open ? '▾' : '▸'}
          </Box>
        </Box>
        <Figure value={value} of={row.of} digits={row.digits} fontSize="18px" display="block" lineHeight="1.2" />
        {band && <BandText band={band} of={row.of} digits={row.digits} />}
      </chakra.button>
      {open && because !== undefined && (
        <Box fontSize="13px" color="ink" alignSelf="center" py="1">
          <Box as="strong" mr="1">
            because
          </Box>
          {because}
        </Box>
      )}
    </Box>
  );
}
