/** Storing a setting into a machine's memory: which slot, what it would overwrite line by line, and what stays of it. */
import { Notice } from '../../ui/notice.tsx';
import { Box } from '@chakra-ui/react';
import { Link, useLoaderData } from 'react-router';
import { useMachineFor } from '../../sheet/machine-choice.ts';
import { Slots } from './slots.tsx';
import { SeamFrame } from '../seam-frame/index.ts';
import { type SeamAndMachines } from '../../sheet/load.ts';

import { useSettings } from '../../lib/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';

export function Store() {
  const { seam, machines } = useLoaderData<SeamAndMachines>();
  const chooseMachine = useSettings((state) => state.chooseMachine);
  const machine = useMachineFor(machines, seam);
  const program = seam.revision?.program ?? null;
  return (
    <SeamFrame
      seam={seam}
      machines={machines}
      machine={machine}
      title={`Store ${seam.spec.name}`}
      line={
        seam.revision
          ? `revision ${seam.revision.number}, saved ${shopTime(seam.revision.createdAt)}`
          : 'no setting saved yet'
      }
    >
      {!program ? (
        <Notice level="note">
          There is nothing to store yet. <Link to={`/seams/${seam.id}`}>Save a setting on the sheet</Link> first.
        </Notice>
      ) : !machine ? (
        <Notice level="note">No machine is described yet.</Notice>
      ) : (
        <>
          <Box maxWidth="340px">
            <ChoiceField
              label="Into which machine"
              value={machine.id}
              choices={machines.map(({ id, file }) => ({
                value: id,
                label: `${file.name}, ${file.slots.count} slots`,
              }))}
              onChange={(id) => chooseMachine(id, seam.id)}
            />
          </Box>
          <Slots key={machine.id} seam={seam} machine={machine} />
        </>
      )}
    </SeamFrame>
  );
}
