/** The set-up walk: from how the machine stands to what this seam needs. Only the differences, the most often forgotten first, safe ways only. */
import { useKeptList } from '../../data/queries.ts';
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useMachineFor } from '../../sheet/machine-choice.ts';
import { Walk } from './walk.tsx';
import { SeamHead } from '../../parts/seam-frame/index.ts';
import { type SeamAndMachines } from '../../sheet/load.ts';
import { Link, useLoaderData } from 'react-router';
import { useSettings } from '../../session/settings.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Main } from '../../ui/main.tsx';

export function Setup() {
  const { seam, machines: loaded, retired } = useLoaderData<SeamAndMachines>();
  const [all, setAll] = useKeptList('machines', [...loaded, ...retired]);
  const machines = all.filter((machine) => !machine.retired);
  const chooseMachine = useSettings((state) => state.chooseMachine);
  const machine = useMachineFor(machines, seam);
  const program = seam.revision?.program ?? null;
  return (
    <>
      <SeamHead seam={seam} title={t('view.setup.title', { spec: seam.spec.name })} line={seam.spec.grade} />
      <Main>
        {!program ? (
          <Notice level="note">
            {t('view.setup.no-setting')} <Link to={`/seams/${seam.id}`}>{t('view.setup.save-first')}</Link>
          </Notice>
        ) : !machine ? (
          <Notice level="note">{t('view.memory.no-machine')}</Notice>
        ) : (
          <>
            <Box maxWidth="340px">
              <ChoiceField
                label={t('view.seams.on-which-machine')}
                value={machine.id}
                choices={machines.map(({ id, file }) => ({ value: id, label: `${file.name}, ${file.place}` }))}
                onChange={(id) => chooseMachine(id, seam.id)}
              />
            </Box>
            <Walk
              key={`${machine.id} ${machine.version}`}
              seam={seam}
              program={program}
              machine={machine}
              onStands={(next) => setAll(all.map((one) => (one.id === next.id ? next : one)))}
            />
          </>
        )}
      </Main>
    </>
  );
}
