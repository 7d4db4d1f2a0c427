/** Readings may name only dials that a machine has. */
import type { MachineFile } from '@fox-tempo/contract';
import { toldDials } from '@fox-tempo/core/machine';
import { phrase } from '@fox-tempo/words';
import { invalidInput } from '../../http/problem.ts';

/** Throws with every dial that is not there, each at its own path. */
export function refuseForeignDials(file: MachineFile, dials: Readonly<Record<string, number>>, path: string): void {
  const known = toldDials(file).map(({ id }) => id);
  const foreign = Object.keys(dials).filter((id) => !known.includes(id));
  if (foreign.length === 0) return;
  throw invalidInput(
    foreign.map((id) => ({
      path: `${path}.${id}`,
      code: 'unknown-dial',
      message: phrase('server.machines.has-no-dial', { file: file.name, id }),
      limit: known,
      got: id,
    })),
  );
}
