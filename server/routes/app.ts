import compression from 'compression';
import express, { type Express } from 'express';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { type Endpoint, endpoints } from '#contract/endpoints';
import { type EndpointName, routes } from '#contract/routes';
import { onlyWhatIsMeant } from '#server/kept/about';
import { aboutRoutes } from '#server/routes/about';
import { archiveRoutes } from '#server/routes/archive';
import { type BackupFolder } from '#server/out/backup/backups';
import { backupRoutes, type Restore } from '#server/routes/backup';
import { batchRoutes } from '#server/routes/batches';
import { computeRoutes } from '#server/routes/compute';
import { type Db } from '#server/base/database/db';
import { deviceRoutes } from '#server/routes/devices';
import { type Sharing } from '#server/out/door/sharing';
import { type Heavy } from '#server/out/heavy/heavy';
import { isFromAfar } from '#server/base/http/afar';
import { onlyOwnHosts } from '#server/base/http/hosts';
import { openApi } from '#server/base/http/openapi';
import { webRoutes } from '#server/base/http/pages';
import { BODY_LIMIT, notFound, only, problems } from '#server/base/http/problem';
import { remembered } from '#server/base/http/remembered';
import { securityHeaders } from '#server/base/http/security';
import { Api } from '#server/base/http/serve';
import { type InstrumentHub } from '#server/base/instruments/hub';
import { instrumentRoutes } from '#server/routes/instruments';
import { libraryRoutes } from '#server/routes/library';
import { lotRoutes } from '#server/routes/lots';
import { measureRoutes } from '#server/routes/measures';
import { mixRoutes } from '#server/routes/mixes';
import { nurseryRoutes } from '#server/routes/nursery';
import { pricesNow } from '#server/book/stock/prices';
import { printRoutes } from '#server/routes/print';
import { recordRoutes } from '#server/routes/record';
import { shelfRoutes } from '#server/routes/shelf';
import { PlantGroups } from '#server/book/plants/groups';
import { PlantClocks } from '#server/book/plants/plant-clocks';
import { PlantLessons } from '#server/book/plants/lessons';
import { PlantEntries } from '#server/book/plants/plant-entries';
import { PlantStates } from '#server/book/plants/plant-states';
import { PlantingPages } from '#server/book/plants/planting-page';
import { Trials } from '#server/book/plants/trials';
import { PlantResults } from '#server/book/plants/results';
import { type PlantBook, plantRoutes } from '#server/routes/plants';
import { Ledger } from '#server/book/tub/ledger';
import { Tubs } from '#server/book/tub/tubs';
import { Planner } from '#server/book/season/planner';
import { seasonRoutes } from '#server/routes/season';
import { shareRoutes } from '#server/routes/share';
import { tableRoutes } from '#server/routes/tables';
import { todayRoutes } from '#server/routes/today';
import { type Stores, storesOf } from '#server/kept/stores';
import { waterRoutes } from '#server/routes/waters';

const [FILE, JSON_TYPE] = ['application/octet-stream', 'application/json'];

export interface AppParts {
  db: Db;
  /** Folder of the built interface; may be missing. */
  webFolder: string;
  log: Logger;
  now: () => Date;
  instruments: InstrumentHub;
  heavy: Heavy;
  backups: BackupFolder;
  restore: Restore;
  sharing: Sharing;
  /** Whether every answer is held against the contract; for tests. */
  checkAnswers?: boolean;
}

/** The application without a port: tests need none. */
export function createApp({ webFolder, log, ...parts }: AppParts): Express {
  const stores = storesOf(parts.db, parts.now);
  const app = express();
  app.disable('x-powered-by');
  // Of a request no more than that: headers hold the token of a device.
  const serializers = { req: ({ method, url }: Record<string, unknown>) => ({ method, url }) };
  app.use(pinoHttp({ logger: log, autoLogging: false, serializers }));
  app.use(securityHeaders());
  app.locals['reach'] = () => parts.sharing.addresses[0];
  const hosts = onlyOwnHosts(() => []);
  // Who came in by the door was looked at there.
  app.use((req, res, next) => (isFromAfar(req) ? next() : hosts(req, res, next)));
  app.use(remembered(parts.db, () => stores.calendar.today()));
  app.use(compression());
  app.use('/api', onlyWhatIsMeant(stores.folder, stores.about), apiBefore());
  app.use('/api', apiRoutes(stores, parts), apiAfter());
  app.use(webRoutes(webFolder));
  app.use((req) => {
    throw notFound('page', req.path);
  });
  app.use(problems);
  return app;
}

function apiBefore(): express.Router {
  const router = express.Router();
  router.use((_req, res, next) => {
    res.set('cache-control', 'no-store');
    next();
  });
  // Files come as they are, and may be large; all else is JSON.
  const files = new Set(
    (Object.keys(routes) as EndpointName[])
      .filter((name) => (endpoints[name] as Endpoint).body === 'bytes')
      .map((name) => routes[name].join(' ')),
  );
  const file = only(FILE);
  const json = express.Router().use(only(JSON_TYPE), express.json({ limit: BODY_LIMIT, strict: true }));
  router.use((req, res, next) => {
    (files.has(`${req.method} ${req.path}`) ? file : json)(req, res, next);
  });
  return router;
}

/** Every endpoint of the contract. @throws Error when one is not served */
function apiRoutes(
  stores: Stores,
  {
    instruments,
    heavy,
    backups,
    restore,
    sharing,
    checkAnswers = false,
  }: Omit<AppParts, 'webFolder' | 'log'>,
): express.Router {
  const api = new Api(checkAnswers);
  const tubs = new Tubs(stores);
  const ledger = new Ledger(stores, tubs);
  const clocks = new PlantClocks(stores);
  const planner = new Planner(stores, clocks);
  const states = new PlantStates(stores, clocks);
  const entries = new PlantEntries(stores, states, ledger);
  const lessons = new PlantLessons(stores);
  const document = openApi();
  api.serve('health', () => ({ ok: true as const }));
  api.serve('openapi', () => document);
  aboutRoutes(api, stores);
  nurseryRoutes(api, stores);
  libraryRoutes(api, stores);
  computeRoutes(api, stores, heavy);
  mixRoutes(api, stores);
  batchRoutes(api, stores, tubs, () => pricesNow(stores));
  seasonRoutes(api, stores, planner, states, heavy);
  recordRoutes(api, stores, ledger);
  printRoutes(api, stores, heavy);
  lotRoutes(api, stores, tubs);
  measureRoutes(api, stores);
  waterRoutes(api, stores);
  shelfRoutes(api, stores);
  todayRoutes(api, stores, tubs);
  const plants: PlantBook = {
    ...{ states, entries, lessons },
    pages: new PlantingPages(stores, states, ledger),
    trials: new Trials(stores, entries),
    groups: new PlantGroups(stores),
    results: new PlantResults(stores, lessons, clocks, states),
  };
  plantRoutes(api, stores, plants, heavy);
  tableRoutes(api, stores, entries);
  instrumentRoutes(api, instruments, stores.now);
  backupRoutes(api, stores, backups, heavy, restore);
  deviceRoutes(api, stores, sharing);
  shareRoutes(api, stores);
  archiveRoutes(api, stores, backups, heavy);
  return api.whole();
}

function apiAfter(): express.RequestHandler {
  return (req) => {
    throw notFound('endpoint', `${req.method} ${req.originalUrl.split('?')[0] ?? ''}`);
  };
}
