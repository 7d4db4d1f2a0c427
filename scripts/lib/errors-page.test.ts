/** The table of errors holds both ways: every error that is answered stands on the page, and every one on the page is answered somewhere. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { problems } from '@fox-tempo/contract';
import { issueCodes } from '@fox-tempo/core/base/outcome';
import { errorsPage } from './errors-page.ts';

const at = (path: string) => new URL(`../../${path}`, import.meta.url).pathname;
const page = readFileSync(at('docs/errors.md'), 'utf8');
const squeezed = (text: string) => text.replace(/[ -]+/g, ' ');
const server = readdirSync(at('server'), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.includes('node_modules'))
  .map((name) => readFileSync(at(`server/${name}`), 'utf8'))
  .join('\n');

describe('the page of errors', () => {
  it('is what the tables say', () => {
    expect(squeezed(page)).toBe(squeezed(errorsPage()));
  });

  it('names every type and every code once, and no other', () => {
    const named = [...page.matchAll(/^\| `(?:\/problems\/)?([^`]+)`/gm)].map(([, name]) => name);
    expect(named).toEqual([...Object.keys(problems), ...Object.keys(issueCodes)]);
  });

  it('names no type that the server never answers with', () => {
    const unanswered = Object.keys(problems).filter((kind) => !server.includes(`'${kind}'`));
    expect(unanswered).toEqual([]);
  });
});
