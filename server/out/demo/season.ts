import { tasksOf } from '#core/season/tasks';
import { type NewLine } from '#contract/plan';
import { type Crop } from '#core/season/crop';
import { dayNumber, isoWeekOf, weekNumber } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { type WeekPlan } from '#core/season/plan';
import { type Season, seasonOf } from '#core/season/season';
import { coldWeeks } from '#core/season/warm-bench';
import { dayIn, daysAfter } from '#core/units/day';
import { type Db } from '#server/base/database/db';
import { BatchStore } from '#server/kept/batches';
import { Folder } from '#server/base/database/folder';
import { LibraryStore } from '#server/kept/library/library';
import { type Turn, turnOf } from '#server/out/demo/turn';
import { MixStore } from '#server/kept/mixes';
import { CropStore } from '#server/kept/season/crops';
import { SeasonStore } from '#server/kept/season/season';

/** Last frost of the made-up nursery, in a mild place of the northern half; and how far it may be off. */
const FROST = '04-25';
const SPREAD_DAYS = 14;
/** Dates of frost are those of the spring to come from here on. */
const NEXT_SPRING = '09-01';

type DemoLine = Pick<NewLine, 'crop' | 'plants'> &
  Partial<NewLine> & {
    /** Begun so many days ago, or ahead where below 0; left out where it hangs on the last frost. */
    begunAgo?: number;
  };

/** Sown week after week, so that something of it is due whenever the demo is opened. */
const again = { count: 5, everyDays: 9, begunAgo: 18 };
const hungOnFrost: readonly DemoLine[] = [
  { crop: 'onion', plants: 900, name: 'Brown Globe' },
  { crop: 'leek', plants: 400 },
  { crop: 'tomato', plants: 240, name: 'Long Red' },
  { crop: 'pepper', plants: 110, seedTest: { came: 34, of: 50 } },
  { crop: 'cabbage', plants: 220, name: 'Pointed' },
];
const demoLines: Readonly<Record<Turn, readonly DemoLine[]>> = {
  spring: [
    ...hungOnFrost,
    { crop: 'lettuce', plants: 150, ...again, name: 'Oak leaf' },
    { crop: 'basil', plants: 120, offsetDays: 20 },
    { crop: 'squash', plants: 60, seedTest: { came: 11, of: 20 } },
    { crop: 'marigold', plants: 180 },
    { crop: 'petunia', plants: 200 },
    { crop: 'lavender', plants: 90, begunAgo: 20, note: 'From the hedge by the gate.' },
    { crop: 'rosemary', plants: 60, begunAgo: -12 },
    { crop: 'fuchsia', plants: 60 },
  ],
  summer: [
    { crop: 'kale', plants: 260, begunAgo: 25, name: 'Black Leaf' },
    { crop: 'broccoli', plants: 180, begunAgo: 11 },
    { crop: 'lettuce', plants: 150, ...again, name: 'Oak leaf' },
    { crop: 'chard', plants: 140, begunAgo: 15 },
    { crop: 'parsley', plants: 120, begunAgo: -6, name: 'Curled' },
    { crop: 'basil', plants: 120, begunAgo: 12 },
    { crop: 'pansy', plants: 300, begunAgo: -16, name: 'Winter mixed' },
    { crop: 'lavender', plants: 150, begunAgo: 22, note: 'From the hedge by the gate.' },
    { crop: 'fuchsia', plants: 90, begunAgo: 20 },
    { crop: 'pelargonium', plants: 160, begunAgo: -9 },
    { crop: 'rosemary', plants: 90, begunAgo: -20 },
  ],
  autumn: [
    { crop: 'lettuce', plants: 150, ...again, name: 'Winter Gem' },
    { crop: 'spinach', plants: 200, begunAgo: 13 },
    { crop: 'pansy', plants: 240, begunAgo: 48, name: 'Winter mixed' },
    { crop: 'cauliflower', plants: 180, begunAgo: 9, name: 'Late White' },
    { crop: 'parsley', plants: 120, begunAgo: 20, name: 'Curled' },
    { crop: 'broad-bean', plants: 160, begunAgo: -35 },
    { crop: 'lavender', plants: 150, begunAgo: 22, note: 'From the hedge by the gate.' },
    { crop: 'viburnum', plants: 120, begunAgo: 26 },
    { crop: 'hydrangea', plants: 90, begunAgo: 10 },
    { crop: 'box', plants: 200, begunAgo: -8 },
    { crop: 'rosemary', plants: 90, begunAgo: -15 },
  ],
  winter: [
    ...hungOnFrost,
    { crop: 'sweet-pea', plants: 90, ...again, name: 'Old mixed' },
    { crop: 'broad-bean', plants: 160, begunAgo: 10 },
    { crop: 'coriander', plants: 100, begunAgo: -7 },
    { crop: 'rosemary', plants: 90, begunAgo: 30 },
    { crop: 'viburnum', plants: 120, begunAgo: 40 },
    { crop: 'box', plants: 200, begunAgo: 20 },
    { crop: 'holly', plants: 90, begunAgo: 35, note: 'From the hedge by the gate.' },
  ],
};

/** How far a line may be moved until one week alone is the fullest, days; and by how much it is then, at the least. */
const MOST_MOVED = 21;
const CLEAR = 1.04;

type PlannedLine = Omit<NewLine, 'key'> & { id: number };

/** The lines as they are, then with one of them moved by some days: the last first. */
const movedAbout = (lines: readonly PlannedLine[]): PlannedLine[][] => [
  [...lines],
  ...[...lines]
    .reverse()
    .flatMap(({ id }) =>
      Array.from({ length: MOST_MOVED }, (_, days) =>
        lines.map((line) => (line.id === id ? { ...line, shifts: [days + 1] } : line)),
      ),
    ),
];

/** The day of planting of a line that was begun so many days ago. */
function plantOn(today: string, begunAgo: number, { steps }: Crop): string {
  return daysAfter(
    today,
    steps.reduce((days, { weeks }) => days + Math.round(7 * weeks), -begunAgo),
  );
}

/** A season in progress: what was to be done before today is done but for the last days, the bench too small in one week. */
export function demoSeason(db: Db, now: Date, key: (n: number) => string): void {
  const folder = new Folder(db);
  const today = dayIn(now, folder.timeZone);
  const [store, crops, { vessels }] = [
    new SeasonStore(db, folder),
    new CropStore(db),
    new LibraryStore(db).library(),
  ];
  const seedMix = new MixStore(db)
    .all({ away: 'no', from: 0 })
    .find(({ name }) => name === 'Seed mix, house');
  const year = Number(today.slice(0, 4)) + Number(today.slice(5) >= NEXT_SPRING);
  const usual = `${year}-${FROST}`;
  const settings = {
    ...store.settings(today),
    frost: { early: daysAfter(usual, -SPREAD_DAYS), usual, late: daysAfter(usual, SPREAD_DAYS) },
  };
  const given = {
    ...{ offsetDays: null, count: 1, everyDays: 7, sparePct: 10, confidence: 0.9, germination: null },
    ...{
      plantOn: null,
      seedTest: null,
      seedYear: null,
      perCell: null,
      steps: null,
      shifts: [],
      note: '',
      name: '',
    },
  };
  const existing = crops.byId();
  const planned = demoLines[turnOf(today)].map(
    ({ begunAgo, ...line }, i): Omit<NewLine, 'key'> & { id: number } => {
      const crop = existing.get(line.crop)!;
      return {
        ...{ ...given, id: i + 1 },
        // Sown in the house mix where the nursery keeps it; the approach has one for the rest.
        ...(seedMix && {
          steps: crop.steps.map((step) =>
            step.stage === 'germination' ? { ...step, mix: seedMix.mixId } : step,
          ),
        }),
        ...(begunAgo !== undefined && { plantOn: plantOn(today, begunAgo, crop) }),
        ...line,
      };
    },
  );
  const week = isoWeekOf(weekNumber(dayNumber(today)));
  const fullest = (lines: readonly PlannedLine[]): [week: WeekPlan, next: number] => {
    const weeks = seasonOf(settings, lines, existing, vessels).weeks.filter(
      (weekPlan) => weekPlan.week >= week,
    );
    const [first, second] = weeks.sort((a, b) => b.benchM2 - a.benchM2);
    return [first!, second!.benchM2];
  };
  const isClear = (lines: readonly PlannedLine[]): boolean => {
    const [first, next] = fullest(lines);
    return first.benchM2 > CLEAR * next;
  };
  const clear = movedAbout(planned).find(isClear) ?? planned;
  const [top] = fullest(clear);
  const lines = clear.map(({ id: _, ...line }, i) => store.add({ ...line, key: key(i) }, now.toISOString()));
  const season = seasonOf(settings, lines, existing, vessels);
  // Between the fullest week and the next, in whole tenths of a square metre.
  const m2 = Math.floor(10 * (top.benchM2 - 1e-6)) / 10;
  store.setSettings({ ...settings, benches: benchesOf(season, settings, m2, week) });
  // Mixes that had to stand by now were made, in batches that the nursery has.
  const batches = new BatchStore(db).all({ away: 'no', from: 0 });
  const standing = daysAfter(today, 21);
  for (const { line, sowing, steps } of season.sowings)
    steps.forEach(({ from }, step) => {
      const batch = batches[(line.id + step) % Math.max(1, batches.length)];
      if (batch && from >= today && from < standing)
        store.noteMade(batch.id, [{ line: line.id, sowing, step }]);
    });
  const tasks = season.sowings.flatMap((sowing) =>
    tasksOf(sowing, settings).map(({ id, on }) => ({
      ...{ line: sowing.line.id, sowing: sowing.sowing, task: id, on },
    })),
  );
  // What fell due in the last two days was forgotten, or the last thing before.
  // Feeding falls due by the mix, not by the crop: it is not counted on.
  const last = tasks.reduce(
    (day, { task, on }) => (task !== 'feed' && on < today && on > day ? on : day),
    '',
  );
  const forgotten = [last, daysAfter(today, -2)].sort()[0]!;
  for (const { line, ...done } of tasks) if (done.on < forgotten) store.setDone(line, done);
}

/** A warm bench for all that must stand warm in the weeks to come but the fullest, and a cold house for the rest. */
function benchesOf(
  season: Season,
  settings: SeasonSettings,
  m2: number,
  week: string,
): SeasonSettings['benches'] {
  const bench = (name: string, of: number, warm: boolean) => ({ name, m2: of, heated: warm, lights: warm });
  const wanted = coldWeeks(season, { ...settings, benches: [bench('', 0, false)] }).filter(
    (coldWeek) => coldWeek.week >= week,
  );
  const warm = Math.min(
    Math.round(10 * m2) - 1,
    Math.ceil(10 * Math.max(0.7 * m2, ...wanted.map(({ needM2 }) => needM2).filter((need) => need <= m2))),
  );
  return [
    bench('Warm bench', warm / 10, true),
    bench('Cold house', (Math.round(10 * m2) - warm) / 10, false),
  ];
}
