/** The API as functions. A refusal is a `ProblemError` with the server's problem document; no answer at all is one of kind `unreachable`. */
import {
  problemKind,
  type MachineResource,
  type Order,
  type Page,
  type Part,
  type Person,
  type Problem,
  type ProblemKind,
  type Revision,
  type SeamCreate,
  type SeamResource,
  type SeamSave,
} from '@fox-tempo/contract';
import { settings } from './settings.ts';

export class ProblemError extends Error {
  readonly kind: ProblemKind | 'unreachable';
  readonly problem: Problem;
  constructor(kind: ProblemKind | 'unreachable', problem: Problem) {
    super(problem.detail ?? problem.title);
    this.kind = kind;
    this.problem = problem;
  }
}

async function call<T>(
  method: string,
  path: string,
  options: { body?: unknown; basedOn?: number; signal?: AbortSignal } = {},
): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (options.body !== undefined) headers['content-type'] = 'application/json';
  if (options.basedOn !== undefined) headers['if-match'] = `"${options.basedOn}"`;
  const { personId } = settings.getState();
  if (personId !== null) headers['x-fox-person'] = personId;

  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: options.body === undefined ? null : JSON.stringify(options.body),
      // A server that hangs is as good as none.
      signal: AbortSignal.any([AbortSignal.timeout(15_000), ...(options.signal ? [options.signal] : [])]),
    });
  } catch (error) {
    if (options.signal?.aborted) throw error;
    throw unreachable('The server does not answer.');
  }
  const content: unknown = await response.json().catch(() => undefined);
  if (response.ok && content !== undefined) return content as T;
  const problem = isProblem(content) ? content : undefined;
  if (!problem) throw unreachable(`The server answered ${response.status} without saying why.`);
  throw new ProblemError(problemKind(problem), problem);
}

function unreachable(detail: string): ProblemError {
  return new ProblemError('unreachable', {
    type: 'about:blank',
    title: 'The server cannot be reached',
    status: 0,
    detail,
  });
}

function isProblem(content: unknown): content is Problem {
  return (
    typeof content === 'object' && content !== null && 'type' in content && 'title' in content && 'status' in content
  );
}

/** Every page of a list, one after the other. */
async function all<T>(path: string, signal?: AbortSignal): Promise<T[]> {
  const items: T[] = [];
  for (let cursor: string | null = ''; cursor !== null;) {
    const query: string = cursor === '' ? '' : `?cursor=${encodeURIComponent(cursor)}`;
    const page: Page<T> = await call<Page<T>>('GET', `${path}${query}`, signal ? { signal } : {});
    items.push(...page.items);
    cursor = page.next;
  }
  return items;
}

export const api = {
  people: (signal?: AbortSignal) => all<Person>('/people', signal),
  parts: (signal?: AbortSignal) => all<Part>('/parts', signal),
  orders: (signal?: AbortSignal) => all<Order>('/orders', signal),
  machines: (signal?: AbortSignal) => all<MachineResource>('/machines', signal),
  seams: (signal?: AbortSignal) => all<SeamResource>('/seams', signal),
  seam: (id: string, signal?: AbortSignal) =>
    call<SeamResource>('GET', `/seams/${encodeURIComponent(id)}`, signal ? { signal } : {}),
  revisions: (id: string) => all<Revision>(`/seams/${encodeURIComponent(id)}/revisions`),
  createSeam: (body: SeamCreate) => call<SeamResource>('POST', '/seams', { body }),
  saveSeam: (id: string, basedOn: number, body: SeamSave) =>
    call<SeamResource>('PUT', `/seams/${encodeURIComponent(id)}`, { body, basedOn }),
};
