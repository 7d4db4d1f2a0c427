/** The list before the first arc of the day, ticked for the machine and the metal. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import type { Program } from '@fox-tempo/core/machine';
import { firstArcList } from '@fox-tempo/core/setup';
import { Action } from '../../ui/action.tsx';
import { useFirstArc } from './use-first-arc.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Tick } from '../../ui/tick.tsx';

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
  const left = list.filter((line) => !ticks[line]).length;
  return (
    <Panel
      title="Before the first arc today"
      aside={
        <Box textStyle="label" color={left === 0 ? 'spruce' : 'quiet'}>
          {left === 0 ? '● all ticked' : `${left} left`}
        </Box>
      }
    >
      {list.map((line) => (
        <Tick key={line} checked={ticks[line] ?? false} onChange={(ticked) => tick(line, ticked)}>
          {line}
        </Tick>
      ))}
      {problem !== null && (
        <Notice level="caution" word="Not in the record yet." urgent>
          {problem}{' '}
          <Action kind="quiet" minHeight="36px" onClick={retry}>
            Send it again
          </Action>
        </Notice>
      )}
      <Box textStyle="label" color="quiet" mt="1">
        The usual cautions; your shop’s and your local rules come first.
      </Box>
    </Panel>
  );
}
