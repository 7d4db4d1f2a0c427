/** What the command line does, apart from the process around it, so that tests can call it. */
import { findTrouble, verbNames, verbs, type VerbName } from '@fox-tempo/contract';
import type { Issue } from '@fox-tempo/core/base/outcome';
import { joined } from '@fox-tempo/core/base/messages';
import { languages, message, withSentences, type Words } from '@fox-tempo/words';

interface CommandError {
  readonly error: unknown;
}

export type CommandAnswer =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly error: CommandError };

/** `words` says the sentences beside the codes: in whose language, in which units. */
export function runVerb(verb: string | undefined, readInput: () => string | Error, words: Words): CommandAnswer {
  const known: readonly string[] = verbNames;
  const use = message('cli.use', { verbs: known.join(' | '), languages: languages.join('|') });
  if (verb === 'help') {
    const summaries = verbNames.map((name) => [name, words.format(verbs[name].summary)]);
    return { ok: true, value: { use: words.format(use), verbs: Object.fromEntries(summaries) as unknown } };
  }
  if (!isVerb(verb)) {
    return refused(words, [
      {
        path: 'verb',
        code: 'unknown-verb',
        message: verb === undefined ? message('cli.no-verb-given') : message('cli.error.unknown-verb', { verb }),
        limit: known,
        got: verb,
        hint: use,
      },
    ]);
  }
  const text = readInput();
  if (text instanceof Error) {
    return refused(words, [
      {
        path: 'file',
        code: 'unreadable-input',
        message: message('cli.cannot-be-read', { why: text.message }),
        hint: message('cli.name-a-file'),
      },
    ]);
  }
  let input: unknown;
  try {
    input = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refused(words, [
      {
        path: '',
        code: 'malformed-json',
        message: message('cli.is-not-json', { why: error instanceof Error ? error.message : String(error) }),
        hint: message('cli.one-object'),
      },
    ]);
  }
  const trouble = findTrouble(input);
  if (trouble) {
    const { path, code, says } = trouble;
    return refused(words, [
      { path, code, message: joined([path === '' ? message('contract.the-input') : path, says], ': ') },
    ]);
  }
  const outcome = verbs[verb].run(input);
  return outcome.ok ? { ok: true, value: withSentences(outcome.value, words) } : refused(words, outcome.issues);
}

/** The first issue stands at the top, as the interface promises; all of them follow. */
export function refused(words: Words, issues: readonly Issue[]): CommandAnswer {
  const first = issues[0] ?? { path: '', code: 'refused', message: message('cli.refused') };
  return { ok: false, error: { error: withSentences({ hint: '', ...first, issues }, words) } };
}

function isVerb(verb: string | undefined): verb is VerbName {
  return verb !== undefined && Object.hasOwn(verbs, verb);
}
