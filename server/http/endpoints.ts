/** Mounts every endpoint of the contract: rights, body, version and key are looked at here, once for all; a handler only does its work. */
import { oneOf } from '@fox-tempo/core/base/messages';
import { message, formatIn, withSentences } from '@fox-tempo/words';
import { createHash } from 'node:crypto';
import {
  endpointNames,
  endpointOf,
  needsKey,
  needsVersion,
  parseWith,
  rolesOf,
  roleNames,
  type Endpoint,
  type AnswerOf,
  type BodyOf,
  type EndpointName,
  type endpoints,
  type ParamsOf,
  type QueryOf,
} from '@fox-tempo/contract';
import { type Request, type RequestHandler, type Response, type Router } from 'express';
import type { Database } from '../db/connection.ts';
import { self, type Author } from '../modules/observations/index.ts';
import { personOf, type SignedIn, type Tickets } from '../modules/session/index.ts';
import { authorOf } from './authorship.ts';
import { bodyReader } from './body.ts';
import { once } from './once.ts';
import { pageRequest, type PageRequest } from './paging.ts';
import { HttpProblem, orProblem } from './problem.ts';
import { basedOn } from './version.ts';
import { wordsOf } from './words.ts';

/** One request at an endpoint, everything about it already checked. */
export interface Call<K extends EndpointName> {
  readonly params: ParamsOf<K>;
  readonly query: QueryOf<K>;
  readonly body: BodyOf<K>;
  /** Version that the write was based on; 0 at endpoints that need none. */
  readonly basedOn: number;
  /** The client's own id for what it adds; empty at endpoints that need none. */
  readonly key: string;
  readonly page: PageRequest;
  /** Who acts: who is signed in, or who made a record that comes late; nobody at endpoints for anyone. */
  readonly me: (typeof endpoints)[K] extends { act: 'anyone' } ? SignedIn | null : SignedIn;
  /** Who made the record that comes, from whose session and when. */
  readonly by: Author;
  /** The database; at endpoints with a key a transaction that also keeps the answer. */
  readonly db: Database;
  readonly http: { readonly request: Request; readonly response: Response };
  /** Ends when the client leaves. */
  readonly signal: AbortSignal;
}

/** An answer that is not JSON: it writes itself. */
export class Raw {
  readonly send: (response: Response) => void;
  constructor(send: (response: Response) => void) {
    this.send = send;
  }
}

export type Handler<K extends EndpointName> = (call: Call<K>) => Promise<AnswerOf<K> | Raw>;
export type Handlers = { readonly [K in EndpointName]: Handler<K> };

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** What is looked at beyond what every request needs. */
export interface EndpointOptions {
  /** Says who made a record that comes late. */
  readonly tickets: Tickets;
  /** Every answer is held against its shape before it goes out, and fails where it is another: for tests. */
  readonly checksAnswers?: boolean | undefined;
}

export function mountEndpoints(router: Router, db: Database, handlers: Handlers, options: EndpointOptions): void {
  const methods = new Map<string, Set<string>>();
  for (const name of endpointNames) {
    const endpoint = endpointOf(name);
    methods.set(endpoint.path, (methods.get(endpoint.path) ?? new Set()).add(endpoint.method));
    const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
    // Rights before the body: a stranger's megabytes are not read.
    router[method](
      endpoint.path,
      allow(db, endpoint, options.tickets),
      ...bodyReader(endpoint),
      serve(db, name, endpoint, handlers[name] as Handler<EndpointName>, options),
    );
  }
  for (const [path, known] of methods)
    router.all(path, (request, response) => {
      response.set('Allow', [...known].join(', '));
      throw new HttpProblem(
        'method-not-allowed',
        message('server.http.error.method', { method: request.method, known: [...known] }),
      );
    });
}

interface Acting {
  readonly me: SignedIn | null;
  readonly by: Author;
}

function allow(db: Database, endpoint: Endpoint, tickets: Tickets): RequestHandler {
  const { summary, late = false } = endpoint;
  const who = rolesOf(endpoint);
  return async (request, response, next) => {
    const signedIn = who === null && request.session?.personId === undefined ? null : await personOf(db, request);
    let acting: Acting = { me: signedIn, by: self(signedIn?.id ?? '') };
    if (who !== null) {
      if (signedIn === null) throw new HttpProblem('not-signed-in', message('server.http.error.sign-in'));
      const { me, by } = late
        ? await authorOf(db, request, tickets, signedIn)
        : { me: signedIn, by: self(signedIn.id) };
      acting = { me, by };
      if (!who.includes(me.role)) {
        throw new HttpProblem(
          'not-allowed',
          message('server.http.error.role', {
            summary,
            who: oneOf(who.map((role) => roleNames[role])),
            me: me.name,
            role: roleNames[me.role],
          }),
        );
      }
    }
    (response.locals as { acting?: Acting }).acting = acting;
    next();
  };
}

function serve(
  db: Database,
  name: EndpointName,
  endpoint: Endpoint,
  handler: Handler<EndpointName>,
  { checksAnswers = false }: EndpointOptions,
): RequestHandler {
  return async (request, response) => {
    const { me, by } = (response.locals as { acting: Acting }).acting;
    const gone = new AbortController();
    response.on('close', () => {
      if (!response.writableFinished) gone.abort();
    });
    const call = {
      params: request.params,
      query: endpoint.query ? orProblem(parseWith(endpoint.query, request.query)) : {},
      basedOn: needsVersion(endpoint) ? basedOn(request) : 0,
      key: needsKey(endpoint) ? keyOf(request) : '',
      body: endpoint.body ? orProblem(parseWith(endpoint.body, request.body)) : undefined,
      page: endpoint.paged ? pageRequest(request) : { limit: 0, after: undefined },
      me,
      by,
      db,
      http: { request, response },
      signal: gone.signal,
    } as unknown as Call<EndpointName>;
    const status = endpoint.status ?? 200;
    if (!needsKey(endpoint) || me === null) {
      send(response, endpoint, status, await handler(call), checksAnswers);
      return;
    }
    const kept = {
      key: call.key,
      personId: me.id,
      endpoint: `${name} ${request.originalUrl}`,
      requestHash: createHash('sha256').update(JSON.stringify(request.body)).digest('hex'),
    };
    const answer = await once(db, kept, status, async (tx) => {
      const given = await handler({ ...call, db: tx });
      if (given instanceof Raw) throw new Error(`${name} keeps its answers and may not write them itself`);
      return given;
    });
    send(response, endpoint, status, answer, checksAnswers);
  };
}

function keyOf(request: Request): string {
  const key = request.get('idempotency-key') ?? '';
  if (uuid.test(key)) return key.toLowerCase();
  throw new HttpProblem('key-missing', message('server.http.hint.idempotency-key'));
}

function send(response: Response, endpoint: Endpoint, status: number, answer: unknown, checksAnswers: boolean): void {
  if (answer instanceof Raw) {
    response.status(status);
    answer.send(response);
    return;
  }
  const { version, id } = (typeof answer === 'object' && answer !== null ? answer : {}) as {
    version?: unknown;
    id?: unknown;
  };
  if (typeof version === 'number') response.set('ETag', `"${version}"`);
  if (status === 201 && typeof id === 'string' && !endpoint.path.includes(':'))
    response.location(`/api${endpoint.path}/${id}`);
  // A program that asks the core reads codes; everybody else reads sentences.
  const say = endpoint.path.startsWith('/compute') ? withSentences : formatIn;
  const told = say(answer, wordsOf(response));
  if (checksAnswers && endpoint.answer) holdAgainst(endpoint, told);
  response.status(status).json(told);
}

/** Throws where an answer as it goes over the wire is not of the shape that the contract promises. */
function holdAgainst({ path, method, answer: shape }: Endpoint, told: unknown): void {
  const parsed = shape?.safeParse(JSON.parse(JSON.stringify(told)));
  if (!parsed || parsed.success) return;
  const [first] = parsed.error.issues;
  throw new Error(
    `${method} ${path} answers otherwise than its contract at ${first?.path.join('.') ?? '?'}: ${first?.message ?? ''}`,
  );
}
