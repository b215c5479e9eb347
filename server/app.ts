import compression from 'compression';
import express, { type Express } from 'express';
import { pinoHttp } from 'pino-http';
import { type Logger } from 'pino';
import { Batches } from '#server/batches/store';
import { batchRoutes } from '#server/batches/routes';
import { computeRoutes } from '#server/compute/routes';
import { type Db } from '#server/database/open';
import { type InstrumentHub } from '#server/instruments/hub';
import { instrumentRoutes } from '#server/instruments/routes';
import { Lots } from '#server/lots/store';
import { printRoutes } from '#server/print/routes';
import { Record } from '#server/record/store';
import { lotRoutes, recordRoutes } from '#server/record/routes';
import { libraryReader, readLibrary } from '#server/library/store';
import { Measures } from '#server/measures/store';
import { measureRoutes } from '#server/measures/routes';
import { Mixes } from '#server/mixes/store';
import { mixRoutes } from '#server/mixes/routes';
import { openApi } from '#server/http/openapi';
import { BODY_LIMIT, notFound, onlyJson, problems } from '#server/http/problem';
import { shelfRoutes } from '#server/shelf/routes';
import { Shelf } from '#server/shelf/store';
import { todayRoutes } from '#server/today/routes';
import { securityHeaders, webRoutes } from '#server/http/pages';

export interface AppParts {
  db: Db;
  /** Folder of the built interface; may be missing. */
  webFolder: string;
  log: Logger;
  now: () => Date;
  instruments: InstrumentHub;
}

/** The application without a port: tests need none. */
export function createApp({ db, webFolder, log, now, instruments }: AppParts): Express {
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
  const batches = new Batches(db);
  const record = new Record(db);
  const lots = new Lots(db);
  const measures = new Measures(db);
  api.use('/batches', batchRoutes(batches, mixes, measures, library, now));
  api.use('/batches', recordRoutes(batches, record, lots, now));
  api.use('/batches', printRoutes(batches));
  api.use('/lots', lotRoutes(lots, record, library, now));
  api.use('/measures', measureRoutes(measures, now));
  api.use('/today', todayRoutes(batches, record, now));
  api.use('/instruments', instrumentRoutes(instruments, now));
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
