/** The application without a socket: everything but listening, so that tests can drive it. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Database } from './db/connection.ts';
import { HttpProblem, notFound, sendProblem } from './http/problem.ts';
import { computeRoutes } from './modules/compute/routes.ts';
import { descriptionRoutes } from './modules/description/routes.ts';
import { cardRoutes } from './modules/cards/routes.ts';
import { floorRoutes } from './modules/floor/routes.ts';
import { healthRoutes } from './modules/health/routes.ts';
import { machineRoutes } from './modules/machines/routes.ts';
import { orderRoutes } from './modules/orders/routes.ts';
import { partRoutes } from './modules/parts/routes.ts';
import { peopleRoutes } from './modules/people/routes.ts';
import { seamRoutes } from './modules/seams/routes.ts';
import { slotRoutes } from './modules/slots/routes.ts';
import { stockRoutes } from './modules/stock/routes.ts';

export interface AppOptions {
  readonly db: Database;
  /** Folder of the built interface; left out, only the API is served. */
  readonly webRoot?: string;
}

export function createApp({ db, webRoot }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(security());
  app.use(compression());
  app.use('/api', api(db));
  if (webRoot !== undefined) serveWeb(app, webRoot);
  app.use(notFound);
  app.use(sendProblem);
  return app;
}

function api(db: Database): express.Router {
  const router = express.Router();
  // A shop's data is never worth a stale answer.
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  router.use(onlyJson);
  // A machine with a full door chart is larger than anything else that is written.
  router.use('/machines', express.json({ limit: '1mb' }));
  router.use(express.json({ limit: '256kb' }));
  router.use('/health', healthRoutes(db));
  router.use('/people', peopleRoutes(db));
  router.use('/parts', partRoutes(db));
  router.use('/orders', orderRoutes(db));
  router.use('/machines/:id/slots', slotRoutes(db));
  router.use('/machines/:id', floorRoutes(db));
  router.use('/machines', machineRoutes(db));
  router.use('/seams', cardRoutes(db));
  router.use('/seams', seamRoutes(db));
  router.use('/stock', stockRoutes(db));
  router.use('/compute', computeRoutes());
  router.use('/', descriptionRoutes());
  router.use(notFound);
  return router;
}

/** A body of another type would be ignored in silence; say so instead. */
const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('content-length') !== undefined && request.get('content-length') !== '0';
  if ((hasBody || request.get('transfer-encoding') !== undefined) && !request.is('application/json')) {
    throw new HttpProblem('unsupported-type', 'Send the body as application/json.');
  }
  next();
};

function serveWeb(app: Express, webRoot: string): void {
  const index = join(webRoot, 'index.html');
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
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'", 'blob:'],
        // The application is served over plain HTTP on loopback.
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });
}
