/** Beside the dials of the view at the machine: what is loaded, and what is set by hand. */
import { Box } from '@chakra-ui/react';
import type { ProgramFile } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { travelSeconds } from '@fox-tempo/core/base/units';
import { neededSetup } from '@fox-tempo/core/machine/setup';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { format, formatWithUnit, t } from '../../lib/words.ts';
import { useSettings } from '../../session/settings.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { Notice } from '../../ui/notice.tsx';

/** What is on the machine, as it is needed: said, so that an eye checks it against the spool's label. */
export function Loaded({
  machine,
  program,
  left,
}: {
  readonly machine: StandingMachine;
  readonly program: ProgramFile;
  readonly left: number;
}) {
  const isKnown = machine.standing !== null;
  return (
    <Notice
      level="note"
      word={left === 0 && isKnown ? t('view.at-machine.ready-to-weld') : t('view.at-machine.left-to-set', { left })}
    >
      {format(fillerOf(program.filler).name)}, {format(wireSizeLabel(program.diameterMm))} ·{' '}
      {format(gasName(program.gas))}
      {isKnown ? '' : ` · ${t('view.dial-card.state-unknown')}`}
    </Notice>
  );
}

/** What no dial holds: flow, stick-out, tip, and the seconds this seam takes. */
export function ByHand({
  program,
  lengthMm,
  machine,
}: {
  readonly program: ProgramFile;
  readonly lengthMm: number;
  readonly machine: StandingMachine;
}) {
  const units = useSettings((state) => state.units);
  const feeder = machine.file.feeders.find(({ id }) => id === machine.standing?.feederId) ?? machine.file.feeders[0];
  const needed = neededSetup(program, feeder?.paper?.tipRule);
  const seconds = travelSeconds(lengthMm, program.travelMmPerMin);
  const facts = [
    { name: t('view.at-machine.seam-takes'), value: format(amount('phaseTime', seconds, 0)) },
    { name: t('view.dial-card.gas-flow'), value: formatWithUnit(program.gasFlowLPerMin, 'gasFlow', units) },
    { name: t('view.simulator.ctwd'), value: formatWithUnit(program.ctwdMm, 'shortLength', units) },
    { name: t('view.at-machine.tip'), value: format(amount('plain', needed.tipMm, 1)) },
    {
      name: t('view.at-machine.tip-behind-nozzle'),
      value: formatWithUnit(needed.recessMm, 'shortLength', units),
    },
    {
      name: t('view.at-machine.wire-on'),
      value: needed.polarity === 'electrode-positive' ? t('view.at-machine.plus') : t('view.at-machine.minus'),
    },
    ...(feeder ? [{ name: t('view.at-machine.gun'), value: `${feeder.label}, ${feeder.gun}` }] : []),
  ];
  return (
    <Box
      as="dl"
      display="flex"
      flexWrap="wrap"
      columnGap="6"
      rowGap="1"
      px="4"
      py="2"
      borderTopWidth="1px"
      borderColor="line"
    >
      {facts.map(({ name, value }) => (
        <Box key={name}>
          <Box as="dt" fontSize="small" color="quiet">
            {name}
          </Box>
          <Box as="dd" fontSize="title" fontWeight={600} fontVariantNumeric="tabular-nums">
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
