import compression from 'compression';
import express, { type Express } from 'express';
import { pinoHttp } from 'pino-http';
import { type Logger } from 'pino';
import { Batches } from '#server/batches/batches';
import { batchRoutes } from '#server/batches/routes';
import { computeRoutes } from '#server/compute/routes';
import { type Db } from '#server/database/open';
import { libraryReader, readLibrary } from '#server/library/library';
import { Mixes } from '#server/mixes/mixes';
import { mixRoutes } from '#server/mixes/routes';
import { openApi } from '#server/openapi';
import { BODY_LIMIT, notFound, onlyJson, problems } from '#server/problem';
import { shelfRoutes } from '#server/shelf/routes';
import { Shelf } from '#server/shelf/shelf';
import { securityHeaders, webRoutes } from '#server/web';

export interface AppParts {
  db: Db;
  /** Folder of the built interface; may be missing. */
  webFolder: string;
  log: Logger;
  now: () => Date;
}

/** The application without a port: tests need none. */
export function createApp({ db, webFolder, log, now }: AppParts): Express {
  const app = express();
  const library = libraryReader(db);
  const mixes = new Mixes(db);
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, autoLogging: false }));
  app.use(securityHeaders());
  app.use(compression());

  const api = express.Router();
  api.use((_req, res, next) => {
    res.set('cache-control', 'no-store');
    next();
  });
  api.use(onlyJson, express.json({ limit: BODY_LIMIT, strict: true }));
  api.get('/health', (_req, res) => {
    res.json({ ok: true });
  });
  api.get('/openapi.json', (_req, res) => {
    res.json(openApi());
  });
  api.get('/library', (_req, res) => {
    res.json(readLibrary(db));
  });
  api.use(computeRoutes(library));
  api.use('/mixes', mixRoutes(mixes, library, now));
  api.use('/batches', batchRoutes(new Batches(db), mixes, library, now));
  api.use('/shelf', shelfRoutes(new Shelf(db), library, now));
  api.use((req) => {
    throw notFound('endpoint', `${req.method} ${req.originalUrl.split('?')[0] ?? ''}`);
  });
  app.use('/api', api);
  app.use(webRoutes(webFolder));
  app.use((req) => {
    throw notFound('page', req.path);
  });
  app.use(problems);
  return app;
}
