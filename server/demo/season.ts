import { type NewLine } from '#contract/plan';
import { seasonOf } from '#core/season/season';
import { tasksOf } from '#core/season/tasks';
import { dayIn, daysAfter } from '#core/units/day';
import { type Db } from '#server/database/db';
import { BatchStore } from '#server/batches/store';
import { Folder } from '#server/database/folder';
import { LibraryStore } from '#server/library/store';
import { MixStore } from '#server/mixes/store';
import { CropStore } from '#server/season/crops';
import { SeasonStore } from '#server/season/store';

/** The made-up nursery's last frost lies so many days ahead, so that its season is in progress whenever it is opened. */
const FROST_IN_DAYS = 46;
const SPREAD_DAYS = 14;

type DemoLine = Pick<NewLine, 'crop' | 'plants'> & Partial<NewLine>;
const demoLines: readonly DemoLine[] = [
  { crop: 'onion', plants: 900, name: 'Brown Globe' },
  { crop: 'leek', plants: 400 },
  { crop: 'tomato', plants: 240, name: 'Long Red' },
  { crop: 'pepper', plants: 110, seedTest: { came: 34, of: 50 } },
  { crop: 'cabbage', plants: 220, name: 'Pointed' },
  { crop: 'lettuce', plants: 150, count: 5, everyDays: 10, name: 'Oak leaf' },
  { crop: 'basil', plants: 120, offsetDays: 20 },
  { crop: 'squash', plants: 60, seedTest: { came: 11, of: 20 } },
  { crop: 'marigold', plants: 180 },
  { crop: 'petunia', plants: 200 },
  { crop: 'lavender', plants: 90, offsetDays: 40, note: 'From the hedge by the gate.' },
  { crop: 'fuchsia', plants: 60 },
];

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
  const usual = daysAfter(today, FROST_IN_DAYS);
  const settings = {
    ...store.settings(today),
    frost: { early: daysAfter(usual, -SPREAD_DAYS), usual, late: daysAfter(usual, SPREAD_DAYS) },
  };
  const given = {
    offsetDays: null,
    count: 1,
    everyDays: 7,
    sparePct: 10,
    confidence: 0.9,
    germination: null,
  };
  const rest = { plantOn: null, seedTest: null, seedYear: null, steps: null, shifts: [], note: '', name: '' };
  const known = crops.byId();
  const lines = demoLines.map((line, i) => {
    const steps = known.get(line.crop)!.steps;
    return store.add(
      {
        ...{ ...given, ...rest },
        // Sown in the house mix where the nursery keeps it; the way of working has one for the rest.
        ...(seedMix && {
          steps: steps.map((step) => (step.stage === 'germination' ? { ...step, mix: seedMix.mixId } : step)),
        }),
        ...line,
        key: key(i),
      },
      now.toISOString(),
    );
  });
  const season = seasonOf(settings, lines, known, vessels);
  const bench = season.weeks.map((week) => week.benchM2).sort((a, b) => b - a);
  const m2 = Math.round(5 * (bench[0]! + bench[1]!)) / 10;
  store.setSettings({
    ...settings,
    benches: [
      { name: 'Warm bench', m2: Math.round(7 * m2) / 10, heated: true, lights: true },
      { name: 'Cold house', m2: Math.round(3 * m2) / 10, heated: false, lights: false },
    ],
  });
  // Mixes that had to stand by now were made, in batches that the nursery has.
  const batches = new BatchStore(db).all({ away: 'no', from: 0 });
  const standing = daysAfter(today, 21);
  for (const { line, sowing, steps } of season.sowings)
    steps.forEach(({ from }, step) => {
      const batch = batches[(line.id + step) % Math.max(1, batches.length)];
      if (batch && from >= today && from < standing)
        store.noteMade(batch.id, [{ line: line.id, sowing, step }]);
    });
  const forgotten = daysAfter(today, -2);
  for (const sowing of season.sowings)
    for (const { id, on } of tasksOf(sowing, settings))
      if (on < forgotten) store.setDone(sowing.line.id, { sowing: sowing.sowing, task: id, on });
}
