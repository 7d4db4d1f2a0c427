/** Reading `*.tempo.json`: the format's name, its version, and the way up from older ones. */
import { message } from '@fox-tempo/core/base/messages';
import { failure, type Outcome } from '@fox-tempo/core/base/outcome';
import type { z } from 'zod';
import { parseWith } from '../issues.ts';

type Migration = (file: Record<string, unknown>) => Record<string, unknown>;

/** Issues: `not-a-file`, `wrong-format`, `version-from-the-future`, `unknown-version`, and those of the shape. */
export function readVersioned<S extends z.ZodType>(
  value: unknown,
  kind: string,
  shape: S,
  { version, migrate }: { readonly version: number; readonly migrate: Readonly<Record<number, Migration>> },
): Outcome<z.output<S>> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return failure({
      path: '',
      code: 'not-a-file',
      message: message('contract.file.not-fox-tempo'),
      got: value === null ? 'null' : Array.isArray(value) ? 'a list' : typeof value,
    });
  }
  let file = value as Record<string, unknown>;
  const format = `fox-tempo/${kind}`;
  if (file['format'] !== format) {
    return failure({
      path: 'format',
      code: 'wrong-format',
      message: message('contract.file.format', { kind, format }),
      limit: format,
      got: file['format'],
    });
  }
  const found = file['version'];
  if (typeof found === 'number' && Number.isInteger(found) && found > version) {
    return failure({
      path: 'version',
      code: 'version-from-the-future',
      message: message('contract.file.newer', { found, version }),
      limit: version,
      got: found,
      hint: message('contract.file.newer-hint'),
    });
  }
  for (let at = typeof found === 'number' ? found : 0; at !== version; at++) {
    const step = migrate[at];
    if (!step) {
      return failure({
        path: 'version',
        code: 'unknown-version',
        message: message('contract.file.no-version', {
          version: JSON.stringify(found)?.slice(0, 60) ?? 'nothing',
          kind,
        }),
        limit: version,
        got: found,
      });
    }
    file = step(file);
  }
  return parseWith(shape, file);
}
