/** What no shape names and no store can hold: text with a NUL or half a pair, and nesting that nobody wrote by hand. */

import { message, type Phrase } from '@fox-tempo/core/base/messages';
import type { IssueCode } from '@fox-tempo/core/base/outcome';

/** Deeper than any shape of ours by far, and far from where a stack ends. */
const deepest = 64;

export interface TextTrouble {
  readonly path: string;
  readonly code: IssueCode;
  readonly says: Phrase;
}

/** The first text with a NUL or half a surrogate pair in it, or a nesting that nobody wrote by hand. Walks without recursion. */
export function findTrouble(value: unknown): TextTrouble | undefined {
  const waiting: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
    if (typeof at.value === 'string' && !isStorable(at.value)) {
      return {
        path: at.path,
        code: 'unreadable-text',
        says: message('contract.field.bad-character'),
      };
    }
    if (typeof at.value !== 'object' || at.value === null) continue;
    if (at.depth >= deepest)
      return {
        path: at.path.slice(0, 60),
        code: 'too-deep',
        says: message('contract.field.too-deep', { deepest }),
      };
    for (const [key, inner] of Object.entries(at.value)) {
      const path = at.path === '' ? key : `${at.path}.${key}`;
      if (!isStorable(key))
        return { path: at.path, code: 'unreadable-text', says: message('contract.field.bad-name-character') };
      waiting.push({ value: inner, path, depth: at.depth + 1 });
    }
  }
  return undefined;
}

export function isStorable(text: string): boolean {
  return !text.includes('\0') && text.isWellFormed();
}
