/** A view of a seam's saved setting on the chosen machine: what is missing is said, and the work begins only where both are there. */
import type { MachineResource, ProgramFile, SeamResource } from '@fox-tempo/contract';
import type { ReactNode } from 'react';
import { Link, useLoaderData, useParams } from 'react-router';
import { useKept } from '../../data/queries.ts';
import { t } from '../../lib/words.ts';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { useMachineFor } from '../../sheet/machine-choice.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { Notice } from '../../ui/notice.tsx';
import { SeamFrame } from './seam-frame.tsx';

export interface SeamWork {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly machine: StandingMachine;
  /** Of the revision that stands. */
  readonly program: ProgramFile;
  /** The seam as the server answered it. */
  readonly onSeam: (seam: SeamResource) => void;
}

export interface SeamPageProps {
  readonly title: (seam: SeamResource) => string;
  readonly line: (seam: SeamResource) => ReactNode;
  /** Why a setting is needed, before the link to the sheet. */
  readonly withoutSetting: string;
  readonly children: (work: SeamWork) => ReactNode;
}

/** Another seam begins anew: nothing chosen for the one before stays. */
export function SeamPage(props: SeamPageProps) {
  const { id = '' } = useParams();
  return <OfSeam key={id} {...props} />;
}

function OfSeam({ title, line, withoutSetting, children }: SeamPageProps) {
  const { seam: loaded, machines } = useLoaderData<SeamAndMachines>();
  const [seam, onSeam] = useKept('seam', loaded, { params: { id: loaded.id } });
  const machine = useMachineFor(machines, seam);
  return (
    <SeamFrame seam={seam} machines={machines} machine={machine} title={title(seam)} line={line(seam)}>
      {!seam.revision ? (
        <Notice level="note">
          {withoutSetting} <Link to={`/seams/${seam.id}`}>{t('view.memory.save-first')}</Link>
        </Notice>
      ) : !machine ? (
        <Notice level="note">{t('view.memory.no-machine')}</Notice>
      ) : (
        children({ seam, machines, machine, program: seam.revision.program, onSeam })
      )}
    </SeamFrame>
  );
}
