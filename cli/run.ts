/** What the command line does, apart from the process around it, so that tests can call it. */
import { findTrouble, verbNames, verbs, type VerbName } from '@fox-tempo/contract';
import type { Issue } from '@fox-tempo/core/outcome';

interface CommandError {
  readonly error: Issue & { readonly issues: readonly Issue[] };
}

export type CommandAnswer =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly error: CommandError };

export function runVerb(verb: string | undefined, readInput: () => string | Error): CommandAnswer {
  const known: readonly string[] = verbNames;
  if (!isVerb(verb)) {
    return refused([
      {
        path: 'verb',
        code: 'unknown-verb',
        message: verb === undefined ? 'No verb given.' : `"${verb}" is not a verb.`,
        limit: known,
        got: verb,
        hint: `Use: tempo <${known.join(' | ')}> [file.json | -]`,
      },
    ]);
  }
  const text = readInput();
  if (text instanceof Error) {
    return refused([
      {
        path: 'file',
        code: 'unreadable-input',
        message: `The input cannot be read: ${text.message}.`,
        hint: 'Name a JSON file, or pipe JSON in and give - as the file.',
      },
    ]);
  }
  let input: unknown;
  try {
    input = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refused([
      {
        path: '',
        code: 'malformed-json',
        message: `The input is not valid JSON: ${error instanceof Error ? error.message : String(error)}.`,
        hint: 'One JSON object is expected.',
      },
    ]);
  }
  const trouble = findTrouble(input);
  if (trouble) {
    const { path, code, says } = trouble;
    return refused([{ path, code, message: `${path === '' ? 'The input' : path}: ${says}` }]);
  }
  const outcome = verbs[verb].run(input);
  return outcome.ok ? { ok: true, value: outcome.value } : refused(outcome.issues);
}

/** The first issue stands at the top, as the interface promises; all of them follow. */
function refused(issues: readonly Issue[]): CommandAnswer {
  const first = issues[0] ?? { path: '', code: 'refused', message: 'Refused without a reason.' };
  return { ok: false, error: { error: { hint: '', ...first, issues } } };
}

function isVerb(verb: string | undefined): verb is VerbName {
  return verb !== undefined && Object.hasOwn(verbs, verb);
}
