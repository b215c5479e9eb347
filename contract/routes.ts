type Route = readonly [method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE', path: string];

/**
 * Method and path of every endpoint, below /api, by the name of its operation. Apart from the schemas, so that the
 * page can call without carrying them.
 */
export const routes = {
  health: ['GET', '/health'],
  openapi: ['GET', '/openapi.json'],
  where: ['GET', '/where/:kind/:key'],
  library: ['GET', '/library'],
  keepMaterial: ['POST', '/materials'],
  changeMaterial: ['PUT', '/materials/:material'],
  keepVessel: ['POST', '/vessels'],
  changeVessel: ['PUT', '/vessels/:vessel'],
  nursery: ['GET', '/nursery'],
  setNursery: ['PUT', '/nursery'],
  keeping: ['GET', '/keeping'],
  setKeeping: ['PUT', '/keeping'],
  windows: ['GET', '/windows'],
  setWindows: ['PUT', '/windows'],

  evaluate: ['POST', '/evaluate'],
  advise: ['POST', '/advise'],
  batchSheet: ['POST', '/batch-sheet'],
  formulate: ['POST', '/formulate'],
  hotWater: ['POST', '/hot-water'],
  sowing: ['POST', '/sowing'],
  package: ['POST', '/package'],
  makeOrBuy: ['POST', '/make-or-buy'],
  season: ['POST', '/season'],
  compare: ['POST', '/compare'],
  learn: ['POST', '/learn'],
  water: ['POST', '/water'],
  liquidFeed: ['POST', '/liquid-feed'],
  life: ['POST', '/life'],
  lifeRule: ['POST', '/life/rule'],

  mixes: ['GET', '/mixes'],
  keepMix: ['POST', '/mixes'],
  mixVersions: ['GET', '/mixes/:id/versions'],
  mixInSeason: ['GET', '/mixes/:id/season'],
  keepMixVersion: ['POST', '/mixes/:id/versions'],
  renameMix: ['PUT', '/mixes/:id'],
  setMixKeeping: ['PUT', '/mixes/:id/keeping'],
  putAwayMix: ['DELETE', '/mixes/:id'],
  restoreMix: ['POST', '/mixes/:id/restore'],

  batches: ['GET', '/batches'],
  keepBatch: ['POST', '/batches'],
  madeInYear: ['GET', '/made-in-year'],
  batch: ['GET', '/batches/:id'],
  putAwayBatch: ['DELETE', '/batches/:id'],
  restoreBatch: ['POST', '/batches/:id/restore'],
  entries: ['GET', '/batches/:id/entries'],
  addEntry: ['POST', '/batches/:id/entries'],
  batchStream: ['GET', '/batches/:id/stream'],
  labels: ['GET', '/batches/:id/labels.pdf'],
  card: ['GET', '/batches/:id/card.pdf'],

  lots: ['GET', '/lots'],
  addLot: ['POST', '/lots'],
  lotTrace: ['GET', '/lots/:id/trace'],
  changeLot: ['PATCH', '/lots/:id'],
  addMove: ['POST', '/lots/:id/moves'],
  stock: ['GET', '/stock'],
  learned: ['GET', '/materials/:material/tests'],
  addTest: ['POST', '/materials/:material/tests'],
  layTestAside: ['PUT', '/tests/:id'],
  keepProduct: ['POST', '/products'],
  changeProduct: ['PUT', '/products/:product'],
  tableOut: ['GET', '/tables/:table'],
  tableIn: ['POST', '/tables/:table'],
  shelf: ['GET', '/shelf'],
  putShelfLine: ['PUT', '/shelf/:material'],
  changeShelfLine: ['PATCH', '/shelf/:material'],
  measures: ['GET', '/measures'],
  keepMeasure: ['POST', '/measures'],
  putAwayMeasure: ['DELETE', '/measures/:id'],
  restoreMeasure: ['POST', '/measures/:id/restore'],
  waters: ['GET', '/waters'],
  keepWater: ['POST', '/waters'],
  putAwayWater: ['DELETE', '/waters/:id'],
  restoreWater: ['POST', '/waters/:id/restore'],

  crops: ['GET', '/crops'],
  keepCrop: ['POST', '/crops'],
  changeCrop: ['PUT', '/crops/:crop'],
  plan: ['GET', '/plan'],
  setSeason: ['PUT', '/plan/settings'],
  addLine: ['POST', '/plan/lines'],
  changeLine: ['PUT', '/plan/lines/:id'],
  putAwayLine: ['DELETE', '/plan/lines/:id'],
  restoreLine: ['POST', '/plan/lines/:id/restore'],
  markTask: ['PUT', '/plan/lines/:id/tasks'],
  seasonTasks: ['GET', '/plan/tasks'],
  seasonShort: ['GET', '/plan/short'],
  calendar: ['GET', '/plan/calendar.ics'],
  weekSheet: ['GET', '/plan/weeks/:week/sheet.pdf'],
  runLabels: ['GET', '/plan/lines/:id/labels.pdf'],

  backups: ['GET', '/backups'],
  makeBackup: ['POST', '/backups'],
  setSecondPlace: ['PUT', '/backups/second-place'],
  backupFile: ['GET', '/backups/files/:name'],
  bringBackup: ['POST', '/backups/files'],
  restoreBackup: ['POST', '/backups/restore'],
  sharing: ['GET', '/sharing'],
  setSharing: ['PUT', '/sharing'],
  pairDevice: ['POST', '/sharing/code'],
  renameDevice: ['PUT', '/devices/:id'],
  takeAwayDevice: ['DELETE', '/devices/:id'],
  archive: ['GET', '/archive'],
  share: ['GET', '/share'],
  lookAtShare: ['POST', '/share/look'],
  takeShare: ['POST', '/share'],
  archiveSchema: ['GET', '/schema.json'],

  plantings: ['GET', '/plants'],
  addPlanting: ['POST', '/plants'],
  plantCare: ['GET', '/plants/care'],
  plantGroups: ['GET', '/plants/groups'],
  taught: ['GET', '/plants/taught'],
  takenUp: ['GET', '/plants/taken-up'],
  tender: ['GET', '/plants/tender'],
  plantResults: ['GET', '/plants/results'],
  odds: ['GET', '/plants/odds'],
  setOdds: ['PUT', '/plants/odds'],
  plantLabels: ['GET', '/plants/:id/labels'],
  trialLabels: ['GET', '/trials/:id/labels'],
  addPicture: ['POST', '/plants/:id/pictures'],
  picture: ['GET', '/pictures/:id'],
  planting: ['GET', '/plants/:id'],
  setPlantingKeeping: ['PUT', '/plants/:id/keeping'],
  addPlantEvent: ['POST', '/plants/:id/events'],
  putAwayPlanting: ['DELETE', '/plants/:id'],
  restorePlanting: ['POST', '/plants/:id/restore'],
  trials: ['GET', '/trials'],
  addTrial: ['POST', '/trials'],
  trial: ['GET', '/trials/:id'],

  today: ['GET', '/today'],
  orders: ['GET', '/orders'],
  addOrder: ['POST', '/orders'],
  putAwayOrder: ['DELETE', '/orders/:id'],
  restoreOrder: ['POST', '/orders/:id/restore'],
  desk: ['GET', '/today/desk'],
  putOff: ['PUT', '/today/put-off'],
  setLow: ['PUT', '/today/low'],
  instruments: ['GET', '/instruments'],
  instrumentReadings: ['GET', '/instruments/readings'],
  instrumentStream: ['GET', '/instruments/stream'],
  weather: ['GET', '/instruments/weather'],
  letWeatherAnswer: ['POST', '/instruments/weather/answers'],
  calibrate: ['POST', '/instruments/:instrument/calibrate'],
  putOnInstrument: ['POST', '/instruments/:instrument/put'],
  failInstrument: ['POST', '/instruments/:instrument/fault'],
} as const satisfies Record<string, Route>;

/** Rows of a list that go in one answer. */
export const PAGE = 100;

export type EndpointName = keyof typeof routes;

type ParamsIn<P extends string> = P extends `${infer Head}/${infer Tail}`
  ? ParamsIn<Head> | ParamsIn<Tail>
  : P extends `:${infer Name}`
    ? Name
    : never;

/** What stands in the path: `id` is the number of a row, anything else a name. */
export type Params<K extends EndpointName> = {
  [Name in ParamsIn<(typeof routes)[K][1]>]: Name extends 'id' ? number : string;
};

/** The address of an endpoint with its path filled in. */
export function addressOf<K extends EndpointName>(
  name: K,
  params: Params<K>,
  query: Readonly<Record<string, string>> = {},
): string {
  const path = routes[name][1].replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown>)[key])),
  );
  const search = new URLSearchParams(query).toString();
  return `/api${path}${search && `?${search}`}`;
}
