/** The outer gate: only names this server answers under, only writes from its own pages, and no more than a person could ask for. */
import { message } from '@fox-tempo/words';
import { isStorable } from '@fox-tempo/contract';
import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { lanFromStart } from './lan.ts';
import { HttpProblem } from './problem.ts';

export interface Limits {
  /** Requests a minute from one address. */
  readonly perMinute: number;
  /** Tries to sign in a minute from one address. */
  readonly signInsPerMinute: number;
}

export const usualLimits: Limits = { perMinute: 30_000, signInsPerMinute: 60 };

/** Names that stand for this machine, and those that the shop gave in FOX_TEMPO_HOSTS, parted by commas. */
function knownHosts(): ReadonlySet<string> {
  const own = (process.env['FOX_TEMPO_HOSTS'] ?? '').split(',').map((name) => name.trim().toLowerCase());
  const lan = lanFromStart();
  const network = lan ? [lan.address, `[${lan.address}]`] : [];
  return new Set(['localhost', '127.0.0.1', '[::1]', ...network, ...own.filter((name) => name !== '')]);
}

/** A page elsewhere may have its own name point at this machine; it is then not answered. */
export function onlyKnownHosts(): RequestHandler {
  const hosts = knownHosts();
  return (request, _response, next) => {
    const name = (request.headers.host ?? '').toLowerCase().replace(/:\d+$/, '');
    if (!hosts.has(name)) {
      throw new HttpProblem('wrong-host', message('server.http.error.host'));
    }
    next();
  };
}

/** Browsers say where a write comes from; programs say nothing and carry no cookie of a browser. */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  const { origin } = request.headers;
  const site = request.get('sec-fetch-site');
  const foreign =
    (origin !== undefined && hostOf(origin) !== request.headers.host) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none');
  if (foreign && !['GET', 'HEAD', 'OPTIONS'].includes(request.method)) {
    throw new HttpProblem('cross-site', message('server.http.error.other-site'));
  }
  next();
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

/** Addresses and questions are text too. */
export const readableAddress: RequestHandler = (request, _response, next) => {
  const { path, url } = request;
  let plain: string;
  try {
    plain = decodeURIComponent(path) + decodeURIComponent(url.replace(/\+/g, ' '));
  } catch {
    throw new HttpProblem('malformed-request', message('server.http.error.address-not-utf-8'));
  }
  if (!isStorable(plain)) throw new HttpProblem('malformed-request', message('server.http.error.address-character'));
  next();
};

export function atMost(limit: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new HttpProblem('too-many', message('server.http.error.too-many-requests', { limit }), { waitS: 60 });
    },
  });
}
