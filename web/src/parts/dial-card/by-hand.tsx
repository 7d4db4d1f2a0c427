/** What is set by hand beside the dials, and what is loaded. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { inSentence } from '@fox-tempo/core/base/messages';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { fillerOf, gasName, sameWire, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { gunWords } from '@fox-tempo/core/setting/plan';
import type { Program } from '@fox-tempo/core/setting/program';
import { format, formatWithUnit, t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { DialLine } from './dial-line.tsx';

/** Wire and gas on the machine against what the program needs: the first thing to look at. */
export function Loaded({ machine, program }: { machine: MachineResource; program: Program }) {
  const { standing, file } = machine;
  const feeder = standing?.feeders[standing.feederId];
  if (!standing || !feeder) return null;
  const wrongWire = !sameWire(feeder, program);
  const wrongGas = feeder.gas !== program.gas;
  if (!wrongWire && !wrongGas) return null;
  const other = file.feeders.find(({ id }) => {
    const state = standing.feeders[id];
    return state !== undefined && sameWire(state, program) && state.gas === program.gas;
  });
  return (
    <Box mb="3">
      <Notice level="caution" word={t('view.dial-card.change-over-first')}>
        {other ? (
          <>{t('view.dial-card.other-memory', { value: other.label, file: file.name })}</>
        ) : (
          <>
            {t('view.dial-card.other-wire', {
              file: file.name,
              filler: format(inSentence(fillerOf(feeder.filler).name)),
              diameter: wireSizeLabel(feeder.diameterMm),
              gas: gasName(feeder.gas),
              wrong: wrongWire ? (wrongGas ? 'other' : 'wire') : 'gas',
              wire: `${format(inSentence(fillerOf(program.filler).name))}, ${format(wireSizeLabel(program.diameterMm))}`,
              neededGas: gasName(program.gas),
            })}
          </>
        )}
      </Notice>
    </Box>
  );
}

export function ByHand({ program, units }: { program: Program; units: UnitSystem }) {
  const figure = (text: string) => {
    const [display = '', unit = ''] = text.split(/[ \u00a0]/);
    return { display, unit };
  };
  return (
    <>
      <Heading as="h3" textStyle="heading" mt="4" mb="1">
        {t('view.dial-card.by-hand')}
      </Heading>
      <Box as="dl">
        <DialLine
          label={t('view.dial-card.gas-flow')}
          where={t('view.dial-card.at-nozzle')}
          {...figure(formatWithUnit(program.gasFlowLPerMin, 'gasFlow', units))}
        />
        <DialLine
          label={t('view.simulator.ctwd')}
          where={t('view.dial-card.tip-to-work')}
          {...figure(formatWithUnit(program.ctwdMm, 'shortLength', units, units === 'metric' ? 1 : 2))}
        />
        <DialLine
          label={t('view.dial-card.travel')}
          where={t('view.dial-card.time-length')}
          {...figure(formatWithUnit(program.travelMmPerMin, 'travel', units))}
        />
        {program.gun && (
          <DialLine
            label={t('view.dial-card.gun')}
            where={t('view.dial-card.gun-angle')}
            display={format(gunWords(program.gun))}
            unit=""
          />
        )}
      </Box>
    </>
  );
}
