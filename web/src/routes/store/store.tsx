/** Storing a setting into a machine's memory: which slot, what it would overwrite line by line, and what stays of it. */
import { t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { Box } from '@chakra-ui/react';
import { Link, useLoaderData } from 'react-router';
import { useMachineFor } from '../../sheet/machine-choice.ts';
import { Slots } from './slots.tsx';
import { SeamFrame } from '../../parts/seam-frame/index.ts';
import { type SeamAndMachines } from '../../sheet/load.ts';

import { useSettings } from '../../session/settings.ts';
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
      title={t('view.memory.store', { spec: seam.spec.name })}
      line={
        seam.revision
          ? t('view.memory.revision-saved', {
              number: seam.revision.number,
              createdAt: shopTime(seam.revision.createdAt),
            })
          : t('view.memory.no-setting')
      }
    >
      {!program ? (
        <Notice level="note">
          {t('view.memory.nothing-to-store')} <Link to={`/seams/${seam.id}`}>{t('view.memory.save-first')}</Link>
        </Notice>
      ) : !machine ? (
        <Notice level="note">{t('view.memory.no-machine')}</Notice>
      ) : (
        <>
          <Box maxWidth="340px">
            <ChoiceField
              label={t('view.memory.into-which-machine')}
              value={machine.id}
              choices={machines.map(({ id, file }) => ({
                value: id,
                label: t('view.memory.slots', { file: file.name, count: file.slots.count }),
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
