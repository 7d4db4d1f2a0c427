/** Every figure of the core that nobody can vouch for, as its own comment marks it: the list at the end of docs/limits.md. */
import { readdirSync, readFileSync } from 'node:fs';

const root = new URL('../../', import.meta.url).pathname;

interface Assumption {
  readonly file: string;
  /** What the mark stands above; empty for a whole file or a figure inside something. */
  readonly name: string;
  readonly says: string;
}

/** A mark is the word in a comment; "nothing is assumed" marks nothing. */
const mark = /(?<!nothing is )\bassumed\b/i;

/** The comments of a source with the line of code that follows each. */
function comments(text: string): { readonly says: string; readonly below: string }[] {
  return [...text.matchAll(/\/\*\*?([\s\S]*?)\*\/\s*([^\n]*)|(?:^|\n)\s*((?:\/\/[^\n]*\n\s*)+)([^\n]*)/g)].map(
    ([, block, belowBlock, lines, belowLines]) => ({
      says: (block ?? lines ?? '')
        .split('\n')
        .map((line) => line.replace(/^\s*(\*|\/\/)?\s?/, '').trim())
        .join(' ')
        .trim(),
      below: belowBlock ?? belowLines ?? '',
    }),
  );
}

function named(below: string): string {
  const found = /^(?:export )?(?:const|function|let) \{? ?(\w+)|^(?:readonly )?(\w+)\??:/.exec(below.trim());
  return found?.[1] ?? found?.[2] ?? '';
}

export function assumptions(): Assumption[] {
  return readdirSync(`${root}core`, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('keys.ts'))
    .sort()
    .flatMap((file) =>
      comments(readFileSync(`${root}core/${file}`, 'utf8')).flatMap(({ says, below }) =>
        mark.test(says) ? [{ file: `core/${file}`, name: named(below), says }] : [],
      ),
    );
}

const heading = '## Every mark in the code';

/** The page with its list made anew. */
export function withAssumptions(page: string): string {
  const own = page.includes(heading) ? page.slice(0, page.indexOf(heading)) : `${page.trimEnd()}\n\n`;
  const rows = assumptions().map(({ file, name, says }) => `- \`${file}\`${name ? ` \`${name}\`` : ''}: ${says}`);
  return `${own}${heading}

Made by \`npm run physics\` from the comments of \`core/\`: what they call assumed, one line each. What weighs is said above in words.

${rows.join('\n')}
`;
}
