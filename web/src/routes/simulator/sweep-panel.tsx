/** One dial swept across its travel, with what is heard at each stop; a stop can be taken. */
import { absent, amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { WireCorrection } from '@fox-tempo/core/metal/arc';
import type { Machine } from '@fox-tempo/core/machine/description';
import type { Program } from '@fox-tempo/core/setting/program';
import {
  goodZones,
  sweepQuantities,
  zoneWords,
  type Cell,
  type SweepQuantity,
  type SweepStop,
} from '@fox-tempo/core/weld/zone-map';
import { useState } from 'react';
import { useKeptForm } from '../../ui/kept-text.ts';
import { BareSelect } from '../../ui/bare-select.tsx';
import { Notice } from '../../ui/notice.tsx';
import { axisWords } from './map-words.ts';
import type { Setting } from './use-setting.ts';
import { useSweep } from './use-sweep.ts';

export interface SweepPanelProps {
  readonly setting: Setting;
  readonly machine: Machine | undefined;
  readonly program: Program;
  readonly circuitMOhm: number;
  readonly correction: WireCorrection | null;
}

export function SweepPanel({ setting, machine, program, circuitMOhm, correction }: SweepPanelProps) {
  const [{ quantity }, keep] = useKeptForm<{ quantity: SweepQuantity }>('bench-sweep', { quantity: 'trimMm' });
  const { sweep, cells, problem } = useSweep(machine, program, quantity, circuitMOhm, correction);
  const [taken, setTaken] = useState<string | null>(null);
  return (
    <Box display="flex" flexDirection="column" minHeight={0} flex="1">
      <Box display="flex" gap="2" alignItems="center" mb="1">
        <BareSelect
          label={t('view.simulator.dial-to-sweep')}
          value={quantity}
          choices={sweepQuantities.map((one) => ({ value: one, label: axisWords[one].name }))}
          onChange={(chosen) => keep({ quantity: chosen })}
        />
        <Box fontSize="label" color="quiet" lineHeight="1.25" minWidth={0}>
          {sweep
            ? `${sweep.label}, ${sweep.stride === 1 ? t('view.simulator.each-step') : t('view.simulator.every-steps', { stride: sweep.stride })}`
            : ''}
        </Box>
      </Box>
      {problem !== null && (
        <Notice level="caution" word={t('view.simulator.not-swept')}>
          {problem}
        </Notice>
      )}
      {!sweep ? (
        <Notice level="note">
          {machine ? t('view.simulator.no-sweep-dial', { machine: machine.name }) : t('view.simulator.no-machine')}
        </Notice>
      ) : (
        <Box
          as="ol"
          listStyleType="none"
          overflowY="auto"
          minHeight={0}
          flex="1"
          aria-label={t('view.simulator.swept', { sweep: sweep.label })}
        >
          {sweep.stops.map((stop, at) => (
            <Stop
              key={stop.steps}
              stop={stop}
              unit={sweep.unit}
              cell={cells[at] ?? null}
              program={program}
              onTake={() => {
                setting.move(quantity, Number(stop.figure.toFixed(4)), 'hold-length');
                setTaken(stop.display);
              }}
            />
          ))}
        </Box>
      )}
      <Box as="span" srOnly role="status">
        {taken === null ? '' : t('view.simulator.moved-to', { taken })}
      </Box>
    </Box>
  );
}

function Stop({
  stop,
  unit,
  cell,
  program,
  onTake,
}: {
  readonly stop: SweepStop;
  readonly unit: string;
  readonly cell: Cell | null;
  readonly program: Program;
  readonly onTake: () => void;
}) {
  const isHere = stop.steps === 0;
  const isGood = cell !== null && goodZones(program.mode).includes(cell.zone);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line">
      <chakra.button
        type="button"
        width="100%"
        minHeight="30px"
        display="grid"
        gridTemplateColumns="58px minmax(0, 1fr) auto"
        gap="2"
        alignItems="center"
        textAlign="start"
        fontSize="label"
        cursor="pointer"
        disabled={isHere || stop.program === null}
        aria-current={isHere ? 'true' : undefined}
        bg={isHere ? 'accentSoft' : undefined}
        borderStartWidth="3px"
        borderColor={isHere ? 'accent' : 'transparent'}
        ps="1"
        _hover={{ bg: 'accentSoft' }}
        onClick={onTake}
      >
        <Box fontFamily="mono" fontSize="small">
          {stop.display}
          <Box as="span" fontSize="label" color="quiet" ms="0.5">
            {unit}
          </Box>
        </Box>
        <Box color={cell === null ? 'quiet' : isGood ? 'spruce' : 'ochre'} truncate>
          {cell === null ? '…' : `${isGood ? '●' : '◇'} ${format(zoneWords[cell.zone].name)}`}
        </Box>
        <Box fontFamily="mono" fontSize="label" color="quiet" whiteSpace="nowrap">
          {cell === null || cell.zone === 'impossible'
            ? ''
            : t('view.simulator.arc-and-shorts', {
                arcLength: amount('shortLength', cell.arcLengthMm, 1),
                shortsPer: cell.shortsPerS >= 1 ? amount('plain', cell.shortsPerS, 0) : absent,
              })}
        </Box>
      </chakra.button>
    </Box>
  );
}
