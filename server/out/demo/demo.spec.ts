import { storesOf } from '#server/kept/stores';
import Database from 'better-sqlite3';
import { dayNumber, dayOf, isoWeekOf, weekNumber } from '#core/season/days';
import { leftIn, toBuy } from '#core/season/demand';
import { type seasonOfLines } from '#core/season/season';
import { frostChance } from '#core/season/frost';
import { coldWeeks } from '#core/season/warm-bench';
import { dayIn, daysAfter } from '#core/units/day';
import { BatchStore } from '#server/kept/batches';
import { type Db } from '#server/base/database/db';
import { Folder } from '#server/base/database/folder';
import { openDatabase } from '#server/base/database/open';
import { demoSeason } from '#server/out/demo/season';
import { seedDemo } from '#server/out/demo/seed';
import { LibraryStore } from '#server/kept/library/library';
import { stockLines } from '#server/book/stock/stock';
import { PlantStore } from '#server/kept/plants/plants';
import { RecordStore } from '#server/kept/record';
import { CropStore } from '#server/kept/season/crops';
import { PlantClocks } from '#server/book/plants/plant-clocks';
import { Planner } from '#server/book/season/planner';
import { DueSteps } from '#server/book/today/due-steps';
import { everyDraw } from '#testing/draws';

/** A zone of the northern half that changes its clocks. */
const ZONE = 'Europe/Dublin';

/**
 * Months, 1 to 12, in which growers of the northern half begin them under heated glass, for planting out or for sale:
 * common practice, no source.
 */
const BEGUN: Readonly<Record<string, [from: number, to: number]>> = {
  onion: [12, 4],
  leek: [1, 4],
  tomato: [12, 5],
  pepper: [1, 5],
  cabbage: [1, 5],
  lettuce: [1, 12],
  basil: [1, 12],
  squash: [3, 6],
  marigold: [2, 6],
  petunia: [1, 5],
  pelargonium: [1, 12],
  fuchsia: [1, 12],
  lavender: [1, 12],
  rosemary: [1, 12],
  kale: [3, 9],
  broccoli: [3, 8],
  cauliflower: [8, 2],
  chard: [3, 9],
  beet: [3, 8],
  parsley: [1, 12],
  coriander: [1, 12],
  chives: [1, 12],
  cosmos: [3, 7],
  cucumber: [2, 8],
  celery: [1, 5],
  spinach: [8, 5],
  pansy: [6, 2],
  'sweet-pea': [10, 3],
  'broad-bean': [10, 3],
  viburnum: [8, 2],
  hydrangea: [6, 12],
  box: [8, 3],
  holly: [9, 3],
};
function isSensible(crop: string, day: string): boolean {
  const [from, to] = BEGUN[crop]!;
  const month = Number(day.slice(5, 7));
  return from <= to ? month >= from && month <= to : month >= from || month <= to;
}

const asItIs = {
  ...{ over: 1, coldAtMost: true, benches: true, mixingAhead: true, dueToday: true, late: true },
  ...{ short: true, missing: [], frostIn: true, frozen: [], outOfSeason: [] },
};

/** What a newcomer sees of the season, and what of it is out of season. */
function seasonShown(db: Db, now: Date): Record<string, unknown> {
  const today = dayIn(now, ZONE);
  const stores = storesOf(db, () => now);
  const { lots } = stores;
  const planner = new Planner(stores, new PlantClocks(stores));
  const [season, settings] = [planner.season(), planner.settings()];
  const needs = planner.needs(season);
  const week = isoWeekOf(weekNumber(dayNumber(today)));
  const open = planner.tasks(season).filter(({ done }) => done === null);
  const stock = stockLines(lots, today);
  const { usual } = settings.frost;
  return {
    over: season.weeks.filter((weekPlan) => weekPlan.week >= week && weekPlan.over).length,
    coldAtMost: coldWeeks(season, settings).filter((coldWeek) => coldWeek.week >= week).length <= 1,
    benches: settings.benches.every(({ m2 }) => m2 > 0),
    mixingAhead: needs.days.some(({ on }) => on > today),
    dueToday: open.some(({ task }) => task.on === today),
    late: open.some(({ task }) => task.on < today && task.on >= daysAfter(today, -7)),
    short: toBuy(needs.demands, (kind, item) => leftIn(stock, kind, item)).some((each) => each.short > 0),
    missing: (season as ReturnType<typeof seasonOfLines>).missing,
    frostIn: ['04', '05'].includes(usual.slice(5, 7)) && usual > daysAfter(today, -140),
    // Nothing that frost kills is planted into the frosts.
    frozen: season.sowings
      .filter(({ crop, plantOn }) => crop.coldestC >= 0 && frostChance(settings.frost, plantOn) > 0.5)
      .map(({ crop, plantOn }) => [crop.id, plantOn]),
    outOfSeason: season.sowings
      .map(({ crop, steps }): [string, string] => [crop.id, steps[0]!.from])
      .filter(([crop, day]) => !isSensible(crop, day)),
  };
}

const off = (day: string, shown: Record<string, unknown>, wanted: Record<string, unknown>): unknown[] => {
  const wrong = Object.keys(wanted).filter(
    (name) => JSON.stringify(shown[name]) !== JSON.stringify(wanted[name]),
  );
  return wrong.length > 0 ? [[day, ...wrong.map((name) => [name, shown[name]])]] : [];
};

/** A leap day, four changes of the clock and a week 53 are among them. Just before midnight and just after, by turns. */
const days = Array.from({ length: 731 }, (_, i) => {
  const day = dayOf(dayNumber('2031-07-01') + i);
  return { day, now: new Date(`${day}T${i % 2 ? '00:30' : '22:30'}:00Z`) };
});

/** Days on which much turns: always looked at. */
const special = ['2032-02-29', '2032-03-28', '2032-10-31', '2032-12-31', '2033-01-01'];
/** Every day, or one in so many and the special ones; odd steps, so that late and early hours take turns. */
const someDays = (every: number): typeof days =>
  days.filter(({ day }, i) => i % every === 0 || special.includes(day));

function emptyFolder(): Db {
  const db = openDatabase(':memory:');
  new LibraryStore(db).refreshStarter();
  new CropStore(db).refreshStarter();
  new Folder(db).timeZone = ZONE;
  return db;
}

test('laid on any day of two years the season of the demo shows what it is to show, and fits the time of the year', () => {
  // All that does not hang on the time of the year is laid once.
  const laid = emptyFolder();
  seedDemo(laid, days[0]!.now);
  for (const table of ['batch_for', 'season_done', 'season_lines']) laid.exec(`DELETE FROM ${table}`);
  const rest = laid.serialize();
  laid.close();
  const wrong = someDays(everyDraw ? 1 : 11).flatMap(({ day, now }) => {
    const db: Db = new Database(rest);
    demoSeason(db, now, (n) => `line ${n}`);
    const shown = seasonShown(db, now);
    db.close();
    return off(day, shown, asItIs);
  });
  expect(wrong).toEqual([]);
}, 240_000);

test('laid whole it has a batch to test, and plants that are begun at that time of the year', async () => {
  const fresh = emptyFolder();
  const empty = fresh.serialize();
  fresh.close();
  const laid = someDays(everyDraw ? 13 : 91).map(async ({ day, now }) => {
    const db: Db = new Database(empty);
    seedDemo(db, now);
    const due = await new DueSteps(new BatchStore(db), new RecordStore(db)).on(dayIn(now, ZONE));
    const store = new PlantStore(db);
    const plants = (['no', 'yes'] as const).flatMap((finished) => store.page(finished, 0));
    const shown = {
      ...seasonShown(db, now),
      toTest: due.some(({ step, state }) => state === 'due' && step.startsWith('re-test')),
      plantsOutOfSeason: plants
        .filter(({ start, crop, on }) => start !== 'pot' && !isSensible(crop, on))
        .map(({ crop, on }) => [crop, on]),
    };
    db.close();
    return off(day, shown, { ...asItIs, toTest: true, plantsOutOfSeason: [] });
  });
  expect((await Promise.all(laid)).flat()).toEqual([]);
}, 240_000);
