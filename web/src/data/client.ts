/** Calls an endpoint: its address, the version a write is based on, the key that makes it count once, and what is said when it is refused. */
import { t, format, formatIf, spoken } from '../lib/words.ts';
import {
  authorHeader,
  contractHeader,
  contractVersion,
  madeAtHeader,
  needsKey,
  problemKind,
  problems,
  problemType,
  type AnswerOf,
  type EndpointName,
  type ParamsOf,
  type SendOf,
  type Page,
  type Problem,
  type ProblemKind,
} from '@fox-tempo/contract';
import { createStore } from 'zustand/vanilla';
import { addressOf } from './address.ts';
import { endpointFacts } from './endpoint-facts.ts';
import { answered, answerLost, keyFor } from './keys.ts';

export class ProblemError extends Error {
  readonly kind: ProblemKind | 'unreachable';
  readonly problem: Problem;
  constructor(kind: ProblemKind | 'unreachable', problem: Problem) {
    super(format(formatIf(problem.detail) ?? problem.title));
    this.kind = kind;
    this.problem = problem;
  }
}

export interface Asked<K extends EndpointName> {
  readonly params?: ParamsOf<K>;
  readonly body?: SendOf<K>;
  readonly query?: Readonly<Record<string, string>>;
  /** Version that a write is based on. */
  readonly basedOn?: number;
  /** Key of a write that was made earlier and has its own. */
  readonly key?: string;
  readonly signal?: AbortSignal | undefined;
  /** Of a record that comes late: the ticket of its author, where somebody else is signed in, and the moment it was made. */
  readonly author?: string;
  readonly madeAt?: string;
}

/** Told when the server says that nobody is signed in. */
let whenSignedOut: () => void = () => undefined;
export function onSignedOut(listener: () => void): void {
  whenSignedOut = listener;
}

/** Told after every write that went through: what was read before may be old. */
let afterWrite: () => void = () => undefined;
export function onWritten(listener: () => void): void {
  afterWrite = listener;
}

/** The server that answers was built with another contract than this page. */
export const serverVersion = createStore<{ readonly differs: boolean }>()(() => ({ differs: false }));

function hearVersion(response: Response): void {
  // Answers made up in a test have no headers.
  const version = (response.headers as Headers | undefined)?.get(contractHeader);
  if (version !== undefined && version !== String(contractVersion)) serverVersion.setState({ differs: true });
}

/** Calls an endpoint. */
export async function pass<K extends EndpointName>(name: K, asked: Asked<K> = {}): Promise<AnswerOf<K>> {
  const endpoint = endpointFacts[name];
  const { params, body, query, basedOn, signal } = asked;
  const path = addressOf(name, params, query);
  const headers: Record<string, string> = {
    accept: 'application/json',
    // What a refusal is said in.
    'accept-language': spoken().language,
    'fox-tempo-units': spoken().system,
  };
  const text = body === undefined ? null : JSON.stringify(body);
  if (text !== null) headers['content-type'] = 'application/json';
  if (basedOn !== undefined) headers['if-match'] = `"${basedOn}"`;
  const write = `${name} ${path} ${text ?? ''}`;
  const key = needsKey(endpoint) ? (asked.key ?? keyFor(write)) : null;
  if (key !== null) headers['idempotency-key'] = key;
  if (asked.author !== undefined) headers[authorHeader] = asked.author;
  if (asked.madeAt !== undefined) headers[madeAtHeader] = asked.madeAt;

  const send = () =>
    fetch(path, {
      method: endpoint.method,
      headers,
      body: text,
      // A server that hangs is as good as none.
      signal: AbortSignal.any([AbortSignal.timeout(15_000), ...(signal ? [signal] : [])]),
    });
  let response: Response;
  try {
    response = await send();
  } catch (error) {
    if (signal?.aborted) throw error;
    if (key === null) throw unreachable(t('view.data.no-answer'));
    answerLost(write, key);
    throw unreachable(t('view.data.arrival-unknown'));
  }
  hearVersion(response);
  const content: unknown = await response.json().catch(() => undefined);
  if (response.ok && content !== undefined) {
    if (key !== null) answered(write);
    if (endpoint.method !== 'GET') afterWrite();
    return content as AnswerOf<K>;
  }
  const problem = isProblem(content) ? content : undefined;
  if (!problem) {
    if (key === null) throw unreachable(t('view.data.answer-without-reason', { status: response.status }));
    answerLost(write, key);
    throw unreachable(t('view.data.answer-cut-off'));
  }
  if (key !== null) answered(write);
  const kind = problemKind(problem);
  if (kind === 'not-signed-in') whenSignedOut();
  // Somebody wrote meanwhile: what was read here is old.
  if (kind === 'stale-version') afterWrite();
  throw new ProblemError(kind, problem);
}

/** As the server says it, where it need not be asked. */
export function notSignedIn(): ProblemError {
  const { status, title } = problems['not-signed-in'];
  return new ProblemError('not-signed-in', { type: problemType('not-signed-in'), title, status });
}

function unreachable(detail: string): ProblemError {
  return new ProblemError('unreachable', {
    type: 'about:blank',
    title: t('view.data.unreachable'),
    status: 0,
    detail,
  });
}

export function isProblem(content: unknown): content is Problem {
  return (
    typeof content === 'object' && content !== null && 'type' in content && 'title' in content && 'status' in content
  );
}

export type Item<K extends EndpointName> = AnswerOf<K> extends Page<infer T> ? T : never;

/** Every page of a list, one after the other. */
export async function all<K extends EndpointName>(name: K, asked: Asked<K> = {}): Promise<Item<K>[]> {
  const items: Item<K>[] = [];
  for (let cursor: string | null = ''; cursor !== null;) {
    const query: Record<string, string> = cursor === '' ? { ...asked.query } : { ...asked.query, cursor };
    const page = (await pass(name, { ...asked, query })) as unknown as Page<Item<K>>;
    items.push(...page.items);
    cursor = page.next;
  }
  return items;
}

