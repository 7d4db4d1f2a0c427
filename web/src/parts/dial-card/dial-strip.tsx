/** The card in one line at the foot of narrow screens, so that the dials stay in sight while the seam is changed. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { useSettings } from '../../session/settings.ts';
import { chosenMachine } from '../../sheet/machine-choice.ts';

export function DialStrip({
  machines,
  program,
  machine: offered,
}: {
  readonly machine?: StandingMachine | undefined;
  readonly machines: readonly MachineResource[];
  readonly program: Program | null;
}) {
  const machineId = useSettings((state) => state.machineId);
  const machine = offered ?? chosenMachine(machines, machineId);
  if (!machine || !program || machine.file.dials.length === 0) return null;
  return (
    <Box
      as="nav"
      aria-label={t('view.dial-card.dials-in-short')}
      display={{ base: 'block', xl: 'none' }}
      position="sticky"
      bottom="0"
      zIndex={5}
    >
      <Box
        asChild
        display="flex"
        bg="surface"
        borderTopWidth="2px"
        borderColor="accent"
        px="3"
        minHeight="56px"
        alignItems="center"
        gap="4"
        overflowX="auto"
        color="ink"
      >
        <a href="#dial-card" aria-label={t('view.dial-card.open-card', { file: machine.file.name })}>
          <Box as="strong" fontSize="body">
            {machine.file.name}
          </Box>
          {cardOf(machine.file, program).dials.map((dial) => (
            <Box as="span" key={dial.dialId} whiteSpace="nowrap">
              <Box as="span" textStyle="label" color="quiet" display="block">
                {dial.label}
              </Box>
              <Box as="span" textStyle="figure" fontSize="title">
                {dial.display}
                <Box as="span" fontSize="label" color="quiet">
                  {' '}
                  {dial.unit}
                </Box>
              </Box>
            </Box>
          ))}
        </a>
      </Box>
    </Box>
  );
}
