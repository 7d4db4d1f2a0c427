/** The page of the API's errors, written from their two tables: what a refusal is called, and what an issue in it may say. */
import { problems, type Fate } from '@fox-tempo/contract';
import { issueCodes } from '@fox-tempo/core/base/outcome';
import { inEnglish } from '@fox-tempo/words/english';

const fates: Record<Fate, string> = {
  again: 'sent again: the fault passes',
  'signed-in': 'sent as soon as somebody is signed in',
  person: 'a person decides: it would be refused again',
};

function table(heads: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [line(heads), line(heads.map(() => '---')), ...rows.map(line)].join('\n');
}

export function errorsPage(): string {
  return `# Errors of the API

Written by \`npm run schemas\` from \`contract/errors.ts\` and \`core/base/outcome/codes.ts\`. A refusal is a problem document (RFC 9457):
\`type\` names the error, \`title\` and \`detail\` say it in the reader's language, \`issues\` lists every fault of the input at once, each with
the path of its field, a code, the limit and the value that was sent.

## Types

${table(
  ['type', 'status', 'title', 'a record that waits on a device is'],
  Object.entries(problems).map(([kind, { status, title, fate }]) => [
    `\`/problems/${kind}\``,
    String(status),
    inEnglish(title),
    fates[fate],
  ]),
)}

## Codes of issues

${table(
  ['code', 'what `limit` holds'],
  Object.entries(issueCodes).map(([code, limit]) => [`\`${code}\``, limit ?? '']),
)}
`;
}
