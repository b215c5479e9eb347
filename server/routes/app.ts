import compression from 'compression';
import express, { type Express } from 'express';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { type Endpoint, endpoints } from '#contract/endpoints';
import { type EndpointName, routes } from '#contract/routes';
import { AboutStore, onlyWhatIsMeant } from '#server/kept/about';
import { aboutRoutes } from '#server/routes/about';
import { archiveRoutes } from '#server/routes/archive';
import { type Backups } from '#server/out/backup/backups';
import { backupRoutes, type Restore } from '#server/routes/backup';
import { batchRoutes } from '#server/routes/batches';
import { BatchStore } from '#server/kept/batches';
import { computeRoutes } from '#server/routes/compute';
import { Folder } from '#server/base/database/folder';
import { type Db } from '#server/base/database/db';
import { deviceRoutes } from '#server/routes/devices';
import { type Sharing } from '#server/out/door/sharing';
import { DeviceStore } from '#server/kept/devices';
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
import { OwnStore } from '#server/kept/library/own';
import { libraryRoutes } from '#server/routes/library';
import { LibraryStore } from '#server/kept/library/library';
import { lotRoutes } from '#server/routes/lots';
import { LotStore } from '#server/kept/lots';
import { measureRoutes } from '#server/routes/measures';
import { MeasureStore } from '#server/kept/measures';
import { mixRoutes } from '#server/routes/mixes';
import { MixStore } from '#server/kept/mixes';
import { Calendar } from '#server/kept/nursery/calendar';
import { Windows } from '#server/kept/nursery/windows';
import { nurseryRoutes } from '#server/routes/nursery';
import { pricesNow } from '#server/book/stock/prices';
import { printRoutes } from '#server/routes/print';
import { recordRoutes } from '#server/routes/record';
import { RecordStore } from '#server/kept/record';
import { shelfRoutes } from '#server/routes/shelf';
import { CropStore } from '#server/kept/season/crops';
import { PlantGroups } from '#server/book/plants/groups';
import { MixFeeds } from '#server/book/plants/mix-feeds';
import { NurseryPlants } from '#server/book/plants/nursery-plants';
import { PlantResults } from '#server/book/plants/results';
import { plantRoutes } from '#server/routes/plants';
import { PlantStore } from '#server/kept/plants/plants';
import { Planner } from '#server/book/season/planner';
import { seasonRoutes } from '#server/routes/season';
import { SeasonStore } from '#server/kept/season/season';
import { shareRoutes } from '#server/routes/share';
import { ShelfStore } from '#server/kept/shelf';
import { tableRoutes } from '#server/routes/tables';
import { todayRoutes } from '#server/routes/today';
import { waterRoutes } from '#server/routes/waters';
import { WaterStore } from '#server/kept/waters';

const [FILE, JSON_TYPE] = ['application/octet-stream', 'application/json'];

export interface AppParts {
  db: Db;
  /** Folder of the built interface; may be missing. */
  webFolder: string;
  log: Logger;
  now: () => Date;
  instruments: InstrumentHub;
  heavy: Heavy;
  backups: Backups;
  restore: Restore;
  sharing: Sharing;
  /** Whether every answer is held against the contract; for tests. */
  checkAnswers?: boolean;
}

/** The application without a port: tests need none. */
export function createApp({ webFolder, log, ...parts }: AppParts): Express {
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
  app.use(remembered(parts.db, () => new Calendar(new Folder(parts.db), parts.now).today()));
  app.use(compression());
  const about = new AboutStore(parts.db);
  app.use('/api', onlyWhatIsMeant(new Folder(parts.db), about), apiBefore());
  app.use('/api', apiRoutes(parts, about), apiAfter());
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
  {
    db,
    now,
    instruments,
    heavy,
    backups,
    restore,
    sharing,
    checkAnswers = false,
  }: Omit<AppParts, 'webFolder' | 'log'>,
  about: AboutStore,
): express.Router {
  const api = new Api(checkAnswers);
  const library = new LibraryStore(db);
  const mixes = new MixStore(db);
  const batches = new BatchStore(db);
  const record = new RecordStore(db);
  const lots = new LotStore(db);
  const own = new OwnStore(db);
  const measures = new MeasureStore(db);
  const folder = new Folder(db);
  const calendar = new Calendar(folder, now);
  const windows = new Windows(folder);
  const crops = new CropStore(db);
  const season = new SeasonStore(db, folder);
  const document = openApi();
  api.serve('health', () => ({ ok: true as const }));
  api.serve('openapi', () => document);
  aboutRoutes(api, about);
  nurseryRoutes(api, folder, calendar, windows);
  libraryRoutes(api, library, own, calendar, now);
  computeRoutes(api, library, heavy);
  mixRoutes(api, mixes, library, now);
  const shelf = new ShelfStore(db);
  const prices = () => pricesNow(shelf, lots, calendar);
  const planner = new Planner(season, crops, library, mixes, lots, calendar);
  batchRoutes(api, batches, mixes, measures, library, windows, prices, season, now);
  const plants = new PlantStore(db);
  const feeds = new MixFeeds(batches, library);
  const nursery = new NurseryPlants(
    ...([plants, crops, library, batches, mixes, lots, record, season, calendar, feeds] as const),
  );
  seasonRoutes(api, {
    ...{ store: season, crops, planner, library, folder, heavy, plants: nursery, calendar, now },
  });
  recordRoutes(api, batches, record, lots, library, calendar, now);
  printRoutes(api, batches, measures, heavy);
  lotRoutes(api, lots, record, library, calendar, now);
  measureRoutes(api, measures, now);
  waterRoutes(api, new WaterStore(db), now);
  shelfRoutes(api, shelf, library, now);
  todayRoutes(api, batches, record, calendar);
  const groups = new PlantGroups(plants, crops, library, batches, mixes, calendar);
  const results = new PlantResults(
    ...([plants, nursery, crops, library, batches, mixes, season, folder, calendar, feeds] as const),
  );
  plantRoutes(api, plants, nursery, groups, results, heavy, now);
  const tabled = { store: plants, nursery };
  tableRoutes(api, db, { library, own, lots, crops, season, plants: tabled, calendar, now });
  instrumentRoutes(api, instruments, now);
  backupRoutes(api, backups, folder, heavy, restore);
  deviceRoutes(api, new DeviceStore(db), sharing, folder);
  shareRoutes(api, { db, library, own, crops, mixes, now });
  archiveRoutes(api, db, backups, heavy, now);
  return api.whole();
}

function apiAfter(): express.RequestHandler {
  return (req) => {
    throw notFound('endpoint', `${req.method} ${req.originalUrl.split('?')[0] ?? ''}`);
  };
}
