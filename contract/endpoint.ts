/** What an endpoint of the API is: where it stands, what it takes and answers, what it asks for. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import type { z } from 'zod';
import { may, rights, type Act } from './rights.ts';
import type { Role } from './roles.ts';

export interface EndpointFacts {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Below `/api`, parameters as `:name`. */
  readonly path: string;
  /** The act it is; `rights.ts` says who may. `anyone`: no session is needed. */
  readonly act: Act | 'anyone';
  /** When it went well; 200 when left out. */
  readonly status?: number;
  /** `version`: If-Match with the version it was based on. `key`: Idempotency-Key, a UUID made by the client. `both`. */
  readonly needs?: 'version' | 'key' | 'both';
  readonly paged?: true;
  /** Takes what a person observed: it may arrive late, and under another session. */
  readonly late?: true;
  /** Answers with something else than JSON. */
  readonly media?: string;
  /** Largest body, kB; 256 when left out. */
  readonly limitKb?: number;
  /** Takes a body of another type than JSON, as it is. */
  readonly takes?: 'bytes';
}

export interface Endpoint extends EndpointFacts {
  readonly summary: Phrase;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly answer?: z.ZodType;
}

/** The endpoints of one noun, by name. */
export type Endpoints = Readonly<Record<string, Endpoint>>;

export function needsKey({ needs }: Pick<EndpointFacts, 'needs'>): boolean {
  return needs === 'key' || needs === 'both';
}

export function needsVersion({ needs }: Pick<EndpointFacts, 'needs'>): boolean {
  return needs === 'version' || needs === 'both';
}

/** Roles that may call it; null: no session is needed. */
export function rolesOf({ act }: Pick<EndpointFacts, 'act'>): readonly Role[] | null {
  return act === 'anyone' ? null : rights[act].roles;
}

export function mayCall({ act }: Pick<EndpointFacts, 'act'>, role: Role): boolean {
  return act === 'anyone' || may(act, role);
}

/** Its path below `/api` with the parameters filled in. */
export function pathOf({ path }: Pick<EndpointFacts, 'path'>, params: Readonly<Record<string, string>> = {}): string {
  return path.replace(/:(\w+)/g, (_whole, key: string) => encodeURIComponent(params[key] ?? ''));
}

/** Goes up when an answer changes its shape: a page built with another one says so instead of breaking. */
export const contractVersion = 4;
/** Header of every answer of the API. */
export const contractHeader = 'fox-tempo-contract';
