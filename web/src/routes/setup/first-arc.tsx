/** The list before the first arc of the day, ticked for the machine and the metal. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import type { Program } from '@fox-tempo/core/setting/program';
import { firstArcList } from '@fox-tempo/core/machine/setup';
import { Action } from '../../ui/action.tsx';
import { useFirstArc } from './use-first-arc.ts';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Tick } from '../../ui/tick.tsx';
import { WorkPlaces } from './work-place.tsx';

export function FirstArc({
  seam,
  machine,
  program,
}: {
  readonly seam: SeamResource;
  readonly machine: MachineResource;
  readonly program: Program;
}) {
  const { materialGroup } = seam.spec;
  const list = firstArcList(materialGroup, program.mode);
  const { ticks, problem, tick, retry } = useFirstArc(machine.id, materialGroup);
  const left = list.filter((line) => !ticks[line.code]).length;
  return (
    <Panel
      title={t('view.setup.first-arc')}
      aside={
        <Box textStyle="label" color={left === 0 ? 'spruce' : 'quiet'}>
          {left === 0 ? t('view.setup.all-ticked') : t('view.setup.left', { left })}
        </Box>
      }
    >
      {list.map((line) => (
        <Tick key={line.code} checked={ticks[line.code] ?? false} onChange={(ticked) => tick(line.code, ticked)}>
          <HazardText said={line} />
        </Tick>
      ))}
      {problem !== null && (
        <Notice level="caution" word={t('view.setup.not-in-record')} urgent>
          {problem}{' '}
          <Action kind="quiet" minHeight="36px" onClick={retry}>
            {t('view.sequence.send-it-again')}
          </Action>
        </Notice>
      )}
      <WorkPlaces seamId={seam.id} />
      <Box textStyle="label" color="quiet" mt="1">
        {t('view.setup.cautions-why')}
      </Box>
    </Panel>
  );
}
