import { z } from 'zod';
import { whereSchema } from '#contract/where';
import {
  batchesQuerySchema,
  batchLineSchema,
  batchSchema,
  madeInYearSchema,
  newBatchSchema,
  yearQuerySchema,
} from '#contract/batches';
import { adviseAnswerSchema, adviseRequestSchema } from '#contract/advise';
import {
  batchSheetAnswerSchema,
  batchSheetRequestSchema,
  evaluateRequestSchema,
  evaluationAnswerSchema,
  hotWaterAnswerSchema,
  hotWaterRequestSchema,
  sowingAnswerSchema,
  sowingRequestSchema,
} from '#contract/evaluate';
import { formulateAnswerSchema, formulateRequestSchema } from '#contract/formulate';
import {
  calibrateSchema,
  calibrationSchema,
  faultSchema,
  forecastSchema,
  instrumentReadingSchema,
  instrumentSchema,
  putSchema,
  weatherAnswersSchema,
} from '#contract/instruments';
import {
  backupSchema,
  backupsSchema,
  restoredSchema,
  restoreSchema,
  secondPlaceSchema,
} from '#contract/backups';
import { librarySchema } from '#contract/library';
import { listQuerySchema } from '#contract/lists';
import {
  batchResultSchema,
  groupsQuerySchema,
  keptPlantEventSchema,
  newPictureSchema,
  newPlantEventSchema,
  newPlantingSchema,
  newTrialSchema,
  oddsSchema,
  plantCareSchema,
  plantGroupSchema,
  plantLabelsQuerySchema,
  plantingLineSchema,
  plantingPageSchema,
  plantingsQuerySchema,
  resultsQuerySchema,
  takenUpSchema,
  taughtSchema,
  tenderSchema,
  trialSchema,
} from '#contract/plants';
import {
  mixInSeasonSchema,
  mixVersionSchema,
  newMixSchema,
  newVersionSchema,
  renamedMixSchema,
} from '#contract/mixes';
import {
  changedMaterialSchema,
  changedProductSchema,
  changedVesselSchema,
  newMaterialSchema,
  newProductSchema,
  newVesselSchema,
  ownMaterialSchema,
  ownProductSchema,
  ownVesselSchema,
} from '#contract/own';
import { keepingAnswerSchema, ownKeepingSchema, usualKeepingSchema } from '#contract/keeping';
import { ownWindowsSchema } from '#contract/windows';
import { newNurserySchema, nurserySchema } from '#contract/nursery';
import {
  makeOrBuyAnswerSchema,
  makeOrBuyRequestSchema,
  packageAnswerSchema,
  packageRequestSchema,
} from '#contract/money';
import {
  compareAnswerSchema,
  compareRequestSchema,
  learnAnswerSchema,
  learnRequestSchema,
} from '#contract/counts';
import {
  liquidFeedAnswerSchema,
  liquidFeedRequestSchema,
  waterAnswerSchema,
  lifeAnswerSchema,
  lifeRequestSchema,
  lifeRuleAnswerSchema,
  lifeRuleRequestSchema,
  newWaterSchema,
  ownWaterSchema,
  waterRequestSchema,
} from '#contract/water';
import { deviceNameSchema, newSharingSchema, sharingSchema } from '#contract/devices';
import { cardQuerySchema, labelsQuerySchema } from '#contract/print';
import { entrySchema, newEntrySchema } from '#contract/record';
import {
  changedLotSchema,
  learnedSchema,
  lotSchema,
  lotTraceSchema,
  newLotSchema,
  newMoveSchema,
  newTestSchema,
  stockLineSchema,
  testAsideSchema,
} from '#contract/lots';
import { tableInSchema, tableSchema, takenSchema } from '#contract/tables';
import { type EndpointName } from '#contract/routes';
import {
  measureSchema,
  namedShelfLineSchema,
  newMeasureSchema,
  shelfChangeSchema,
  shelfLineSchema,
} from '#contract/shelf';
import { changedCropSchema, newCropSchema, sourcedCropSchema } from '#contract/crop';
import {
  changedLineSchema,
  markTaskSchema,
  newLineSchema,
  planSchema,
  runLabelsQuerySchema,
  seasonLineSchema,
  seasonSettingsSchema,
  seasonShortSchema,
  seasonTaskSchema,
  weekQuerySchema,
} from '#contract/plan';
import {
  shareLineSchema,
  sharePreviewSchema,
  shareSchema,
  shareTakenSchema,
  shareTakeSchema,
} from '#contract/share';
import { seasonAnswerSchema, seasonRequestSchema } from '#contract/season';
import { newOrderSchema, orderSchema } from '#contract/orders';
import { deskSchema, dueStepSchema, putOffSchema, setLowSchema } from '#contract/today';

/** What goes back: JSON by a schema, nothing, or a body of another kind. */
export type AnswerKind = z.ZodType | 'nothing' | 'pdf' | 'jpeg' | 'file' | 'calendar' | 'events';

export interface Endpoint {
  says: string;
  query?: z.ZodType;
  /** A schema of JSON, or a file as it is. */
  body?: z.ZodType | 'bytes';
  answer: AnswerKind;
  /** 200, or 201 for a create (200 when its key is known already), or 204 where nothing goes back. */
  status: 200 | 201 | 204;
  /** Problems beside those that any endpoint of its kind can have. */
  refuses?: Readonly<Record<number, string>>;
  /** Only at the machine itself: not by a device that came in from the network. */
  here?: true;
}

const BUSY = 'Too many searches and papers at once: try again in a few seconds';

const get = <A extends z.ZodType>(says: string, answer: A) => ({ says, answer, status: 200 as const });
const compute = <B extends z.ZodType, A extends z.ZodType>(says: string, body: B, answer: A) => ({
  ...get(says, answer),
  body,
});
/** With a client key: the same key twice is one thing. */
const create = <B extends z.ZodType, A extends z.ZodType>(says: string, body: B, answer: A) => ({
  ...compute(says, body, answer),
  status: 201 as const,
});
const act = (says: string) => ({ says, answer: 'nothing' as const, status: 204 as const });

/**
 * Every endpoint: what it takes and what it answers. The server's routes, the OpenAPI document and the page's client
 * all come from this table and from `routes`.
 */
export const endpoints = {
  health: get('Whether the server is up', z.object({ ok: z.literal(true) })),
  openapi: get('This document', z.looseObject({ openapi: z.string() })),
  where: get('Where something stands in this folder, by the client key that it was made under', whereSchema),
  library: get('Materials, products and vessels with their sources', librarySchema),

  keepMaterial: create('Add a material of your own', newMaterialSchema, ownMaterialSchema),
  changeMaterial: compute('Change one of your own', changedMaterialSchema, ownMaterialSchema),
  keepVessel: create('Add a vessel of your own', newVesselSchema, ownVesselSchema),
  changeVessel: compute('Change one of your own', changedVesselSchema, ownVesselSchema),

  nursery: get('What the data folder is, and its day', nurserySchema),
  keeping: get('How the nursery keeps what it fills: house, water, feed, spacing', keepingAnswerSchema),
  setKeeping: compute('Set it; every day that is told follows', usualKeepingSchema, keepingAnswerSchema),
  windows: get('Windows that the nursery set for itself', ownWindowsSchema),
  setWindows: compute(
    'Set them; what is left out is the usual one again',
    ownWindowsSchema,
    ownWindowsSchema,
  ),
  setNursery: compute('Set the time zone that days are counted in', newNurserySchema, nurserySchema),

  evaluate: compute(
    'Everything known of a recipe in its vessel',
    evaluateRequestSchema,
    evaluationAnswerSchema,
  ),
  advise: {
    ...compute(
      'What is wrong with a recipe, each subject once, and ways out that were tried',
      adviseRequestSchema,
      adviseAnswerSchema,
    ),
    refuses: { 429: BUSY },
  },
  batchSheet: compute('What to scoop, weigh and pour', batchSheetRequestSchema, batchSheetAnswerSchema),
  formulate: {
    ...compute(
      'The best whole-part recipes of what stands on the shelf',
      formulateRequestSchema,
      formulateAnswerSchema,
    ),
    refuses: { 429: BUSY },
  },
  hotWater: compute(
    'Hot water that brings a mix to a temperature',
    hotWaterRequestSchema,
    hotWaterAnswerSchema,
  ),
  sowing: compute('Seeds to a cell and cells to sow for a stand', sowingRequestSchema, sowingAnswerSchema),
  package: compute(
    'Litres and price of a bag, bale, brick or load',
    packageRequestSchema,
    packageAnswerSchema,
  ),
  makeOrBuy: compute(
    'Money of a batch made against the same bought',
    makeOrBuyRequestSchema,
    makeOrBuyAnswerSchema,
  ),
  season: compute(
    'From planting days back to sowing days, with trays, mix and bench by week',
    seasonRequestSchema,
    seasonAnswerSchema,
  ),
  compare: compute(
    'Two counts against each other, with intervals',
    compareRequestSchema,
    compareAnswerSchema,
  ),
  learn: compute('What own tests make of a figure of the book', learnRequestSchema, learnAnswerSchema),
  life: compute('A mix in its vessel, day by day', lifeRequestSchema, lifeAnswerSchema),
  lifeRule: {
    ...compute(
      'The rule of watering and feeding that keeps it right',
      lifeRuleRequestSchema,
      lifeRuleAnswerSchema,
    ),
    refuses: { 429: BUSY },
  },
  water: compute('Acid that brings a water to a pH', waterRequestSchema, waterAnswerSchema),
  liquidFeed: compute(
    'A product dissolved to a strength of nitrogen',
    liquidFeedRequestSchema,
    liquidFeedAnswerSchema,
  ),

  mixes: {
    ...get('Newest version of every mix, by name, a page at a time', z.array(mixVersionSchema)),
    query: listQuerySchema,
  },
  renameMix: compute('Give a mix another name or note', renamedMixSchema, mixVersionSchema),
  setMixKeeping: compute(
    'Keep what stands in a mix otherwise than usual; null for as usual',
    ownKeepingSchema,
    ownKeepingSchema,
  ),
  keepMix: create('Keep a recipe', newMixSchema, mixVersionSchema),
  mixVersions: get('All versions of a mix, newest first', z.array(mixVersionSchema)),
  mixInSeason: get('How much of a mix the season still mixes', mixInSeasonSchema),
  keepMixVersion: create('Keep a changed recipe as a new version', newVersionSchema, mixVersionSchema),
  putAwayMix: act('Put a mix away'),
  restoreMix: act('Bring a mix back'),

  batches: {
    ...get('Batches, newest first, a page at a time', z.array(batchLineSchema)),
    query: batchesQuerySchema,
  },
  keepBatch: create('Keep a batch', newBatchSchema, batchSchema),
  madeInYear: {
    ...get('What was made in a year, by recipe', madeInYearSchema),
    query: yearQuerySchema,
  },
  batch: get('One batch with all it was made from', batchSchema),
  putAwayBatch: act('Put a batch away'),
  restoreBatch: act('Bring a batch back'),
  entries: get('The record of a batch, oldest first', z.array(entrySchema)),
  addEntry: {
    ...create('Add an entry', newEntrySchema, entrySchema),
    refuses: {
      409: 'Another device wrote something else on the same subject meanwhile',
      410: 'The batch is archived, or it is another one than was meant',
    },
  },
  batchStream: {
    says: 'The record as server-sent events, from Last-Event-ID on',
    answer: 'events',
    status: 200,
  },
  labels: {
    says: 'Labels, each with a code back to the batch',
    query: labelsQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },
  card: {
    says: 'The bench card',
    query: cardQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },

  lots: get('Purchases and heaps', z.array(lotSchema)),
  addLot: create('Enter a lot', newLotSchema, lotSchema),
  lotTrace: get('Where a lot went, and where that was used', lotTraceSchema),
  changeLot: compute('Change what a lot is called, cost, or when it is ready', changedLotSchema, lotSchema),
  addMove: create('More of a lot came, some was lost, or it was counted', newMoveSchema, lotSchema),
  stock: get('What is left of everything, and how long it lasts', z.array(stockLineSchema)),
  learned: get('What own tests make of a material', learnedSchema),
  addTest: create('Enter a test of a material', newTestSchema, learnedSchema),
  layTestAside: compute('Lay a test aside, or take it up again', testAsideSchema, learnedSchema),
  keepProduct: create('Add a feed, lime or dry blend of your own', newProductSchema, ownProductSchema),
  changeProduct: compute('Change one of your own', changedProductSchema, ownProductSchema),
  tableOut: get('A table as CSV with units in its header', tableSchema),
  tableIn: compute('Take rows of a table in: all of them or none', tableInSchema, takenSchema),
  shelf: get('What stands on the shelf, with prices', z.array(namedShelfLineSchema)),
  putShelfLine: compute(
    'Put a material on the shelf, price it or take it off',
    shelfLineSchema,
    namedShelfLineSchema,
  ),
  changeShelfLine: compute('Change one thing of a shelf line', shelfChangeSchema, namedShelfLineSchema),
  measures: get('The user’s own measures', z.array(measureSchema)),
  keepMeasure: create('Keep a measure', newMeasureSchema, measureSchema),
  putAwayMeasure: act('Put a measure away'),
  restoreMeasure: act('Bring a measure back'),
  waters: get('The nursery’s own waters, by report or kit', z.array(ownWaterSchema)),
  keepWater: create('Keep a water', newWaterSchema, ownWaterSchema),
  putAwayWater: act('Put a water away'),
  restoreWater: act('Bring a water back'),

  crops: get('Crops, the starter ones and your own, with their sources', z.array(sourcedCropSchema)),
  keepCrop: create('Add a crop of your own', newCropSchema, sourcedCropSchema),
  changeCrop: compute('Change one of your own', changedCropSchema, sourcedCropSchema),
  plan: get('The season: settings, lines, what was done and made', planSchema),
  setSeason: compute('Set last frosts, benches and the rest', seasonSettingsSchema, seasonSettingsSchema),
  addLine: create('Add a crop to the season', newLineSchema, seasonLineSchema),
  changeLine: compute('Change a line of the season', changedLineSchema, seasonLineSchema),
  putAwayLine: act('Put a line away'),
  restoreLine: act('Bring a line back'),
  markTask: { ...act('Say that a task of a sowing is done, or not yet'), body: markTaskSchema },
  seasonTasks: get('Tasks of the season that are due, and of the days to come', z.array(seasonTaskSchema)),
  seasonShort: get('What the season takes that is not there, by the day', z.array(seasonShortSchema)),
  calendar: {
    says: 'The season as an iCalendar file, to be subscribed to',
    query: weekQuerySchema,
    answer: 'calendar',
    status: 200,
  },
  weekSheet: {
    says: 'A week of the season for the wall',
    query: weekQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },
  runLabels: {
    says: 'A label for a sowing, to stand where it begins',
    query: runLabelsQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },

  backups: get('Backups of the data folder, newest first', backupsSchema),
  makeBackup: { ...act('Make a backup now'), refuses: { 507: 'No room for it' } },
  setSecondPlace: {
    ...act('Name a folder for a second copy of every backup; empty for none'),
    body: secondPlaceSchema,
    here: true,
  },
  backupFile: {
    says: 'A backup as one file',
    answer: 'file',
    status: 200,
    refuses: { 404: 'No such backup' },
  },
  bringBackup: {
    says: 'Lay a backup or an archive from elsewhere beside the others: checked, not yet put back',
    body: 'bytes',
    answer: backupSchema,
    status: 201,
    here: true,
    refuses: { 507: 'No room for it' },
  },
  archive: {
    says: 'Everything, as one archive of JSON Lines and pictures',
    answer: 'file',
    status: 200,
    refuses: { 429: BUSY },
  },
  sharing: {
    ...get('Whether the nursery is open to its own network, and which devices may come in', sharingSchema),
    here: true,
  },
  setSharing: { ...compute('Open it, or shut it', newSharingSchema, sharingSchema), here: true },
  pairDevice: {
    ...get('Make a code for one device, for ten minutes', sharingSchema),
    here: true,
    refuses: { 409: 'Not open to the network' },
  },
  renameDevice: { ...act('Give a device another name'), body: deviceNameSchema, here: true },
  takeAwayDevice: { ...act('Take a device’s leave to come in'), here: true },
  share: get('Own materials, products, vessels, crops and mixes, as a file for another grower', shareSchema),
  lookAtShare: compute(
    'What a shared file would bring: new, the same, different',
    sharePreviewSchema,
    z.array(shareLineSchema),
  ),
  takeShare: create('Take what was chosen of a shared file', shareTakeSchema, shareTakenSchema),
  archiveSchema: get(
    'JSON Schema of the lines of an archive',
    z.looseObject({ $schema: z.string(), $defs: z.record(z.string(), z.unknown()) }),
  ),
  restoreBackup: {
    ...compute(
      'Put a backup in the place of what is there, which is kept aside',
      restoreSchema,
      restoredSchema,
    ),
    here: true,
    refuses: {
      404: 'No such backup',
      409: 'The backup is not whole, or another is just being put back: nothing was touched',
    },
  },

  plantings: {
    ...get('What was sown, struck and potted, newest first', z.array(plantingLineSchema)),
    query: plantingsQuerySchema,
  },
  addPlanting: create(
    'Begin a planting, from seed, cuttings or other plantings',
    newPlantingSchema,
    plantingLineSchema,
  ),
  plantCare: get('What plantings want these days', z.array(plantCareSchema)),
  plantGroups: {
    ...get('Counts by batch, mix, vessel, seed or crop', z.array(plantGroupSchema)),
    query: groupsQuerySchema,
  },
  taught: get('How often each cause was the right one here', z.array(taughtSchema)),
  takenUp: get('How long water from below took here, by vessel', z.array(takenUpSchema)),
  tender: get('What grows now, and the coldest night that each survives', z.array(tenderSchema)),
  plantResults: {
    ...get('What became of the plants of a batch, or of every batch of a mix', z.array(batchResultSchema)),
    query: resultsQuerySchema,
  },
  odds: get('Weights of causes that the nursery set for itself', oddsSchema),
  setOdds: compute('Set weights of causes; what is left out is the table’s', oddsSchema, oddsSchema),
  plantLabels: {
    says: 'Labels of a planting: its name first, and the days of its steps',
    query: plantLabelsQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },
  trialLabels: {
    says: 'A label for each tray of a trial, in the order in which they stand',
    query: plantLabelsQuerySchema,
    answer: 'pdf',
    status: 200,
    refuses: { 429: BUSY },
  },
  addPicture: create('Keep a picture of a planting', newPictureSchema, keptPlantEventSchema),
  picture: { says: 'A picture of plants', answer: 'jpeg', status: 200 },
  planting: get('A planting with its record', plantingPageSchema),
  setPlantingKeeping: compute(
    'Keep a planting otherwise than usual; null for as usual',
    ownKeepingSchema,
    ownKeepingSchema,
  ),
  addPlantEvent: create(
    'Enter what happened to a planting, or take an entry back',
    newPlantEventSchema,
    keptPlantEventSchema,
  ),
  putAwayPlanting: act('Put a planting away'),
  restorePlanting: act('Bring a planting back'),
  trials: get('Trials', z.array(trialSchema.omit({ trays: true }))),
  addTrial: create('Lay a trial out in randomised blocks', newTrialSchema, trialSchema),
  trial: get('A trial with its trays and counts', trialSchema),

  orders: get('What is ordered and has not come', z.array(orderSchema)),
  addOrder: create('Note an order', newOrderSchema, orderSchema),
  putAwayOrder: act('Take an order back'),
  restoreOrder: act('Bring it back'),
  desk: get('What was put off on Today, and how cold tonight is to be', deskSchema),
  putOff: compute('Put a line of Today off, or take that back', putOffSchema, deskSchema),
  setLow: compute('Say how cold tonight is to be', setLowSchema, deskSchema),
  today: get('Steps and re-tests that are due, waiting or open', z.array(dueStepSchema)),
  instruments: get('Instruments with their calibrations', z.array(instrumentSchema)),
  instrumentReadings: get('One reading of each', z.array(instrumentReadingSchema)),
  instrumentStream: { says: 'Readings as server-sent events', answer: 'events', status: 200 },
  weather: {
    ...get('Forecast of the simulated weather service', forecastSchema),
    refuses: { 503: 'It is silent' },
  },
  letWeatherAnswer: { ...act('Stand-in: whether the weather service answers'), body: weatherAnswersSchema },
  calibrate: compute('Calibrate in references', calibrateSchema, calibrationSchema),
  putOnInstrument: {
    ...act('Stand-in: what lies on it'),
    body: putSchema,
    refuses: { 409: 'A real device: nothing can be laid on it from here' },
  },
  failInstrument: {
    ...act('Stand-in: a fault, or none'),
    body: faultSchema,
    refuses: { 409: 'A real device: it fails by itself' },
  },
} as const satisfies Record<EndpointName, Endpoint>;

type Endpoints = typeof endpoints;
type SchemaOf<K extends EndpointName, Part extends string> =
  Endpoints[K] extends Record<Part, infer S> ? S : undefined;

/** What a client sends. */
export type BodyGiven<K extends EndpointName> =
  SchemaOf<K, 'body'> extends infer S extends z.ZodType
    ? z.input<S>
    : SchemaOf<K, 'body'> extends 'bytes'
      ? Blob
      : undefined;
/** What a handler gets: checked, with defaults filled in. */
export type BodyTaken<K extends EndpointName> =
  SchemaOf<K, 'body'> extends infer S extends z.ZodType
    ? z.output<S>
    : SchemaOf<K, 'body'> extends 'bytes'
      ? Uint8Array
      : undefined;
export type QueryTaken<K extends EndpointName> =
  SchemaOf<K, 'query'> extends infer S extends z.ZodType ? z.output<S> : undefined;
/** What a client asks with. */
export type QueryGiven<K extends EndpointName> =
  SchemaOf<K, 'query'> extends infer S extends z.ZodType ? z.input<S> : undefined;
/** What goes back; nothing for a body that is not JSON. */
export type Answer<K extends EndpointName> = Endpoints[K]['answer'] extends infer S extends z.ZodType
  ? z.output<S>
  : undefined;
