/** Readings may name only dials that a machine has. */
import type { MachineFile } from '@fox-tempo/contract';
import { toldDials } from '@fox-tempo/core/machine/description';
import type { Issue } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/words';
import { invalidInput } from '../../http/problem.ts';

/** Every dial that is not there, each at its own path. */
export function foreignDials(file: MachineFile, dials: Readonly<Record<string, number>>, path: string): Issue[] {
  const known = toldDials(file).map(({ id }) => id);
  return Object.keys(dials)
    .filter((id) => !known.includes(id))
    .map((id) => ({
      path: `${path}.${id}`,
      code: 'unknown-dial',
      message: message('server.machines.has-no-dial', { file: file.name, id }),
      limit: known,
      got: id,
    }));
}

export function refuseForeignDials(file: MachineFile, dials: Readonly<Record<string, number>>, path: string): void {
  const issues = foreignDials(file, dials, path);
  if (issues.length > 0) throw invalidInput(issues);
}
