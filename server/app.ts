/** The application without a socket: everything but listening, so that tests can drive it. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { contractHeader, contractVersion } from '@fox-tempo/contract';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Keeper } from './backup/keeper.ts';
import type { ComputePool } from './compute-pool/pool.ts';
import type { Connection } from './db/connection.ts';
import { mountEndpoints } from './http/endpoints.ts';
import { atMost, onlyKnownHosts, onlyOwnPages, readableAddress, usualLimits, type Limits } from './http/gate.ts';
import { createMetrics } from './http/metrics.ts';
import { notFound, sendProblem } from './http/problem.ts';
import { chooseWords } from './http/words.ts';
import { allHandlers } from './modules/index.ts';
import type { JobQueue } from './modules/jobs/index.ts';
import type { Tickets } from './modules/session/index.ts';

export interface AppOptions {
  readonly connection: Connection;
  /** Reads and keeps the session of a request. */
  readonly sessions: RequestHandler;
  readonly pool: ComputePool;
  readonly queue: JobQueue;
  readonly keeper: Keeper;
  /** Says who made a record that comes late. */
  readonly tickets: Tickets;
  readonly limits?: Limits;
  /** For tests: an answer that is not of its contract's shape fails. */
  readonly checksAnswers?: boolean;
  /** Folder of the built interface; left out, only the API is served. */
  readonly webRoot?: string;
}

export function createApp(options: AppOptions): Express {
  const { webRoot } = options;
  const app = express();
  app.disable('x-powered-by');
  // Names twice in a question make a list, and nothing else.
  app.set('query parser', 'simple');
  const proxy = process.env['FOX_TEMPO_PROXY'];
  if (proxy !== undefined) app.set('trust proxy', proxy);
  app.use(security());
  app.use(readableAddress);
  app.use(onlyKnownHosts());
  // Answers go out at the lightest setting, three quarters of the saving for a quarter of the work; scripts, fetched once a year, at the usual one.
  app.use('/api', compression({ level: 1 }), api(options));
  if (webRoot !== undefined) serveWeb(app, webRoot);
  app.use(notFound);
  app.use(sendProblem);
  return app;
}

function api({
  connection,
  sessions,
  pool,
  queue,
  keeper,
  tickets,
  limits = usualLimits,
  checksAnswers,
}: AppOptions): express.Router {
  const router = express.Router();
  const metrics = createMetrics();
  router.use(metrics.count);
  // A shop's data is never worth a stale answer.
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    response.set(contractHeader, String(contractVersion));
    next();
  });
  router.use(chooseWords);
  router.use(atMost(limits.perMinute));
  router.use(onlyOwnPages);
  router.post(['/session', '/session/owner', '/session/demo'], atMost(limits.signInsPerMinute));
  // Without a cookie there is no session to look for, and no database to wait for.
  router.use((request, response, next) => {
    if (request.headers.cookie === undefined && !request.path.startsWith('/session')) next();
    else sessions(request, response, next);
  });
  const handlers = allHandlers({ connection, metrics, pool, queue, keeper, tickets });
  mountEndpoints(router, connection.db, handlers, { tickets, checksAnswers });
  router.use(notFound);
  return router;
}

function serveWeb(app: Express, webRoot: string): void {
  const index = join(webRoot, 'index.html');
  app.use(compression());
  app.use(
    '/assets',
    express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false, index: false }),
  );
  app.use(
    express.static(webRoot, {
      index: false,
      setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache'),
    }),
  );
  app.get('/{*splat}', (request, response, next) => {
    // A missing file must be a 404, not the page dressed up as it.
    if (/\.[a-z0-9]+$/i.test(request.path) || !existsSync(index)) {
      next();
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(index);
  });
}

function security(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        // Emotion writes style elements at run time.
        styleSrc: ["'self'", "'unsafe-inline'"],
        // The solver of the run plan is WebAssembly; scripts come from nowhere else.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'", 'blob:'],
        // The application is served over plain HTTP on loopback.
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });
}
