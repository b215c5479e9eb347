import fc from 'fast-check';
import { careOf } from '#core/plants/care';
import { mixOfPlanting } from '#core/plants/mix-of-planting';
import { daysOfCrop, keptPlanting, plantingClock, weighedTogether } from '#core/plants/planting-clock';
import { type KeptEvent, type PlantEvent, type Planting, tallyOf } from '#core/plants/planting';
import { SowingClocks } from '#core/plants/sowing-clock';
import { starterMixes } from '#core/recipe/starter-mixes';
import { stages } from '#core/mix/stage';
import { dayNumber, dayOf } from '#core/season/days';
import { seasonOf } from '#core/season/season';
import { tasksOf } from '#core/season/tasks';
import { usualSettings } from '#core/season/usual-settings';
import { clockOf } from '#core/weeks/clock';
import { Living } from '#core/weeks/life';
import { liftAt } from '#core/weeks/lift';
import { keepingOf, usualKeeping, type UsualKeeping } from '#core/weeks/usual-keeping';
import { houses } from '#core/weeks/weather';
import { library } from '#testing/library';
import { crops } from '#testing/season';

const things = { waters: new Map(), amendments: library.amendments };
const since = '2031-03-01';
const tray: Planting = {
  ...{ id: 1, start: 'sow', crop: 'tomato', name: '', seed: '', vessel: 'cell-24', cells: 24, perCell: 1 },
  ...{
    batch: 4,
    on: since,
    bareRoot: false,
    halfFilled: false,
    season: null,
    seedLot: null,
    from: [],
    trial: null,
  },
};
const kept = (...events: PlantEvent[]): KeptEvent[] => events.map((event, i) => ({ ...event, id: i + 1 }));
const livingOf = (vessel: string, stage: (typeof stages)[number]) =>
  new Living(mixOfPlanting({ vessel }, starterMixes[stage], library));

const anyUsual = fc
  .record({
    house: fc.constantFrom(...houses),
    mg: fc.constantFrom(0, 50, 150),
    waterAt: fc.constantFrom(0.3, 0.5, 0.6),
    to: fc.double({ min: 0.2, max: 2.5, noNaN: true }),
    sunny: fc.integer({ min: 1, max: 12 }),
  })
  .map(({ house, mg, waterAt, to, sunny }): UsualKeeping => ({
    ...{ ...usualKeeping, house, plant: { leafCoverFrom: 0.1, leafCoverTo: to } },
    rule: { waterAt, leachPct: 10, feedNMgPerL: mg, feedFromDay: 14 },
    months: [{ month: sunny, house: 'sun', tempC: 22 }],
  }));
const soilC = 20;

test('the clock, the care, the season and the lifting of the same mix, vessel and keeping tell the same days', () => {
  const settings = { ...usualSettings('2031-01-10'), soilC };
  fc.assert(
    fc.property(
      fc.constantFrom(...stages),
      fc.constantFrom('cell-72', 'cell-24', 'pot-9', 'pot-11', 'block-50'),
      fc.constantFrom('tomato', 'lettuce', 'basil', 'onion'),
      anyUsual,
      fc.constantFrom(0.2, 0.5),
      (stage, vessel, cropId, usual, weighed) => {
        const crop = crops.get(cropId)!;
        const living = livingOf(vessel, stage);
        const planting: Planting = { ...tray, crop: cropId, vessel };
        const count = weighedTogether(library.vessels.get(vessel)!.perTray, planting.cells);
        const grams = count * (living.e.wetWeightG - weighed * usual.rule.waterAt * living.drier.availableMl);
        const events = kept({ kind: 'weight', on: '2031-03-20', grams });
        const about = { crop, soilC, since, count, things };
        const { keeping } = keptPlanting(living, planting, events, usual, about);
        // As the weeks of the recipe are drawn, for a planting of that crop that begins then.
        const plant = daysOfCrop('sow', crop, soilC)!;
        const ofRecipe = keepingOf(usual, things, { on: since, plant });
        expect({ ...keeping, readings: [] }).toEqual(ofRecipe);
        const { feedFrom } = clockOf(living, ofRecipe);
        const clock = plantingClock(living, keeping, count);
        expect(clock.feedFrom).toBe(feedFrom);
        const care = careOf(planting, crop, tallyOf(planting, events), events, {
          ...{ roomDays: null, soilC, vesselSince: since, clock },
        });
        const feed = care.find(({ id }) => id === 'feed')?.on;
        const up = dayNumber(since) + plant.upOn - 1;
        expect(feed).toBe(
          feedFrom === null ? undefined : dayOf(Math.max(up, dayNumber(since) + feedFrom - 1)),
        );
        // Lifted when what is weighed comes to the weight at which it is watered.
        const lift = care.find(({ id }) => id === 'lift')!.on;
        const wait = clock.tray.daysToWater(20, weighed * usual.rule.waterAt);
        expect(lift).toBe(dayOf(dayNumber('2031-03-20') + Math.floor(wait)));
        expect(liftAt(living.e, usual.rule.waterAt, count).trayG).toBeCloseTo(
          clock.tray.wetG - clock.tray.waterAt * clock.tray.availableMl,
          6,
        );
        // And the season, of a sowing that begins on that day in that mix.
        const step = { vessel, stage, weeks: 10, lossPct: 5, mix: 7 };
        const line = {
          ...{ id: 1, crop: cropId, name: '', plants: 24, plantOn: dayOf(dayNumber(since) + 70) },
          ...{ offsetDays: null, sparePct: 0, count: 1, everyDays: 7, shifts: null, steps: [step] },
          ...{ confidence: 0.9, seedYear: null, germination: null },
        } as unknown as Parameters<typeof seasonOf>[1][number];
        const { sowings } = seasonOf(settings, [line], crops, library.vessels);
        const [sowing] = sowings;
        expect(sowing!.steps[0]!.from).toBe(since);
        const mixes = new Map([[7, { id: 7, name: 'Own', recipe: starterMixes[stage] }]]);
        const season = { kept: mixes, way: null, library, soilC, things };
        for (const its of [
          { usual, ofMix: {} as Record<number, typeof usual> },
          // As its recipe is kept, whatever the nursery does.
          { usual: usualKeeping, ofMix: { 7: usual } },
        ]) {
          const clocks = new SowingClocks({ ...season, ...its });
          const task = tasksOf(sowing!, settings, clocks.daysToFeed(sowing!)).find(({ id }) => id === 'feed');
          expect(task?.on).toBe(feedFrom === null ? undefined : dayOf(dayNumber(since) + feedFrom - 1));
        }
      },
    ),
    { numRuns: 25 },
  );
});

test('a tray weighed twice with no watering between goes its own way from then on', () => {
  const living = livingOf('cell-24', 'seedling');
  const crop = crops.get('tomato')!;
  const about = { crop, soilC, since, count: 24, things };
  const weight = (on: string, gone: number): PlantEvent => ({
    ...{ kind: 'weight', on },
    grams: 24 * (living.e.wetWeightG - gone * living.drier.availableMl),
  });
  const taught = (...events: PlantEvent[]) =>
    keptPlanting(living, tray, kept(...events), usualKeeping, about).driesBy;
  const fast = taught(weight('2031-03-20', 0.05), weight('2031-03-21', 0.45))!;
  const slow = taught(weight('2031-03-20', 0.05), weight('2031-03-23', 0.3))!;
  expect(fast).toBeGreaterThan(1);
  expect(slow).toBeLessThan(1);
  expect(taught(weight('2031-03-20', 0.05))).toBeUndefined();
  // Watered between, it tells nothing.
  expect(
    taught(weight('2031-03-20', 0.05), { kind: 'watered', on: '2031-03-20' }, weight('2031-03-21', 0.45)),
  ).toBeUndefined();
  const waits = (...events: PlantEvent[]) => {
    const { keeping } = keptPlanting(living, tray, kept(...events), usualKeeping, about);
    return plantingClock(living, keeping, 24).tray.daysToWater(21, 0);
  };
  const plain = waits();
  expect(waits(weight('2031-03-20', 0.05), weight('2031-03-21', 0.45))).toBeLessThan(plain);
  expect(waits(weight('2031-03-20', 0.05), weight('2031-03-23', 0.3))).toBeGreaterThan(plain);
});

test('a sowing is fed from the first step whose mix does not last; of a mix that is gone nothing is known', () => {
  const clocks = (lib = library) =>
    new SowingClocks({
      kept: new Map(),
      way: null,
      library: lib,
      soilC,
      usual: usualKeeping,
      ofMix: {},
      things,
    });
  const settings = { ...usualSettings('2031-01-10'), soilC };
  const line = {
    ...{ id: 1, crop: 'tomato', name: '', plants: 24, plantOn: '2031-05-20', offsetDays: null, sparePct: 0 },
    ...{ count: 1, everyDays: 7, shifts: null, confidence: 0.9, seedYear: null, germination: null },
  } as unknown as Parameters<typeof seasonOf>[1][number];
  const [sowing] = seasonOf(settings, [line], crops, library.vessels).sowings;
  const days = clocks().daysToFeed(sowing!);
  expect(days === null || days! > 7).toBe(true);
  expect(clocks({ ...library, materials: new Map() }).daysToFeed(sowing!)).toBeUndefined();
});
