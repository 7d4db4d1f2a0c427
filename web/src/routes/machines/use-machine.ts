/** One machine being looked at and changed: the stored state, and writes that carry its version. */
import type { DirectionSave, MachineFile, MachineResource, StandingSave } from '@fox-tempo/contract';
import { useCallback, useState } from 'react';
import { api } from '../../data/api.ts';
import { useTask, type Task } from '../../lib/use-task.ts';

export interface MachineEditor {
  readonly machine: MachineResource;
  readonly task: Task;
  /** True when it went through. Somebody else's save in between shows theirs and keeps what was typed. */
  saveFile: (change: (file: MachineFile) => MachineFile) => Promise<boolean>;
  saveStanding: (standing: StandingSave) => Promise<boolean>;
  saveDirection: (found: DirectionSave) => Promise<boolean>;
  retire: (retired: boolean) => Promise<boolean>;
  /** The last change of the file can be taken back. */
  undo: (() => Promise<boolean>) | null;
}

export function useMachine(loaded: MachineResource): MachineEditor {
  const [machine, setMachine] = useState(loaded);
  const [before, setBefore] = useState<MachineFile | null>(null);
  const task = useTask();
  const { id, version, file } = machine;

  const write = useCallback(
    (act: () => Promise<MachineResource | null>, previous: MachineFile | null) =>
      task.run(async () => {
        try {
          const written = await act();
          // What waits on this device is not written yet.
          if (!written) return;
          setMachine(written);
          setBefore(previous);
        } catch (error) {
          // What is stored now stands in the view; what was typed stays in its form.
          const current = (error as { problem?: { current?: MachineResource } }).problem?.current;
          if (current?.id === id) setMachine(current);
          throw error;
        }
      }),
    [task, id],
  );

  return {
    machine,
    task,
    saveFile: (change) => write(() => api.saveMachine(id, version, change(file)), file),
    saveStanding: (standing) => write(() => api.saveStanding(id, version, standing), null),
    saveDirection: (found) => write(() => api.saveDirection(id, version, found), file),
    retire: (retired) => write(() => api.saveMachine(id, version, file, retired), null),
    undo: before ? () => write(() => api.saveMachine(id, version, before), null) : null,
  };
}
