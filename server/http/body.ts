/** Reading a body: its type and size are looked at before its bytes, and text that no database can hold is refused with its place. */
import type { Door } from '@fox-tempo/contract';
import express, { type RequestHandler } from 'express';
import { HttpProblem, invalidInput } from './problem.ts';

const usualLimitKb = 256;
/** Deeper than any shape of ours by far, and far from where a stack ends. */
const deepest = 64;

export function bodyReader(door: Door): RequestHandler[] {
  const limit = `${door.limitKb ?? usualLimitKb}kb`;
  if (door.takes === 'bytes') return [express.raw({ type: () => true, limit, inflate: false })];
  if (!door.body) return [];
  return [onlyJson, express.json({ limit, strict: false }), checkText];
}

/** A body of another type would be ignored in silence; say so instead. */
const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('content-length') !== undefined && request.get('content-length') !== '0';
  if ((hasBody || request.get('transfer-encoding') !== undefined) && !request.is('application/json')) {
    throw new HttpProblem('unsupported-type', 'Send the body as application/json.');
  }
  next();
};

const checkText: RequestHandler = (request, _response, next) => {
  const trouble = findTrouble(request.body);
  if (trouble) {
    throw invalidInput([
      { path: trouble.path, code: trouble.code, message: `${trouble.path || 'The body'}: ${trouble.says}` },
    ]);
  }
  next();
};

interface Trouble {
  readonly path: string;
  readonly code: string;
  readonly says: string;
}

/** The first text with a NUL or half a surrogate pair in it, or a nesting that nobody wrote by hand. Walks without recursion. */
export function findTrouble(value: unknown): Trouble | undefined {
  const waiting: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
    if (typeof at.value === 'string' && !isStorable(at.value)) {
      return {
        path: at.path,
        code: 'unreadable-text',
        says: 'holds a character that cannot be kept (NUL, or half of a pair).',
      };
    }
    if (typeof at.value !== 'object' || at.value === null) continue;
    if (at.depth >= deepest)
      return {
        path: at.path.slice(0, 60),
        code: 'too-deep',
        says: `lists nested more than ${deepest} deep are refused.`,
      };
    for (const [key, inner] of Object.entries(at.value)) {
      const path = at.path === '' ? key : `${at.path}.${key}`;
      if (!isStorable(key))
        return { path: at.path, code: 'unreadable-text', says: 'has a name with a character that cannot be kept.' };
      waiting.push({ value: inner, path, depth: at.depth + 1 });
    }
  }
  return undefined;
}

export function isStorable(text: string): boolean {
  return !text.includes('\0') && text.isWellFormed();
}
