/** Storing a setting into a machine's memory: which slot, what it would overwrite line by line, and what stays of it. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { Slots } from './slots.tsx';
import { SeamPage } from '../../parts/seam-frame/index.ts';

import { useSettings } from '../../session/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';

export function Store() {
  const chooseMachine = useSettings((state) => state.chooseMachine);
  return (
    <SeamPage
      title={({ spec }) => t('view.memory.store', { spec: spec.name })}
      line={({ revision }) =>
        revision
          ? t('view.memory.revision-saved', { number: revision.number, createdAt: shopTime(revision.createdAt) })
          : t('view.memory.no-setting')
      }
      withoutSetting={t('view.memory.nothing-to-store')}
    >
      {({ seam, machines, machine }) => (
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
    </SeamPage>
  );
}
