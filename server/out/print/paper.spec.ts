import { cardParts } from '#core/batch/card-parts';
import { metric } from '#testing/readers';
import { read } from '#words/read';
import fc from 'fast-check';
import { type KeptBatch } from '#server/kept/batches';
import { heats, usualKit } from '#core/batch/kit';
import { ownScoops, scoops } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { loudestOf } from '#core/advise/findings';
import { isCare } from '#core/judge/flag';
import { judgeMix } from '#core/judge/judge';
import { stages } from '#core/mix/stage';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { approaches } from '#core/recipe/approaches';
import { sketch } from '#core/recipe/sketch';
import { readOut, showQuantity, withUnit } from '#core/units/said';
import { type UnitSystem } from '#core/units/show';
import { benchCard } from '#server/out/print/card';
import { library } from '#testing/library';
import { plain, words } from '#testing/paper';

const systems: readonly UnitSystem[] = ['metric', 'us'];
const anyRecipe = fc
  .record({
    stage: fc.constantFrom(...stages),
    vessel: fc.constantFrom('cell-288', 'cell-72', 'pot-9', 'pot-15', 'block-50'),
    parts: fc.uniqueArray(
      fc.tuple(
        fc.constantFrom(
          'peat-fine',
          'peat-coarse',
          'coir-pith',
          'perlite-coarse',
          'compost',
          'sand-sharp',
          'vermiculite-medium',
        ),
        fc.integer({ min: 1, max: 8 }),
      ),
      { selector: ([id]) => id, minLength: 1, maxLength: 4 },
    ),
    lime: fc.double({ min: 0, max: 30, noNaN: true }),
    litres: fc.double({ min: 0.5, max: 800, noNaN: true }),
    heat: fc.constantFrom(...heats),
    school: fc.constantFrom(...approaches),
  })
  .map(({ stage, vessel, parts, lime, litres, heat, school }) => ({
    recipe: sketch(stage, vessel, Object.fromEntries(parts), {
      doses: { 'lime-dolomitic': lime, 'blood-meal': 0.5 },
      job: { litres },
    }),
    heat,
    school,
  }));

function batchOf(
  recipe: Recipe,
  heat: (typeof heats)[number],
  school: (typeof approaches)[number],
): KeptBatch {
  const snapshot = snapshotBatch(
    recipe,
    library,
    { units: 'metric', scoop: 'bucket-10l' },
    { ...usualKit, heat },
    school,
  );
  const key = '6fa459ea-ee8a-4ca4-894e-db77e160355e';
  const about = {
    id: 7,
    key,
    name: 'Run',
    mixVersionId: null,
    mixId: null,
    mixName: null,
    mixKey: null,
    madeOn: '2031-03-04',
  };
  return { ...about, createdAt: '2031-03-04T10:00:00Z', snapshot };
}

const METRIC = /(?<![\w/])\d[\d.,]* (°C|mm|cm|mL|L|kg|g|g\/L|mg\/L)(?![\w/])/;

test('the paper says what the page says: the same flags, amounts, steps and units, for each approach', async () => {
  await fc.assert(
    fc.asyncProperty(anyRecipe, fc.constantFrom(...systems), async ({ recipe, heat, school }, units) => {
      const batch = batchOf(recipe, heat, school);
      const { snapshot } = batch;
      // The card of an approach is judged as the mix page judges it.
      const page = judgeMix(mixInputOf(recipe, library), { library, loudness: school.loudness });
      expect(snapshot.flags.map((f) => [f.code, f.severity])).toEqual(
        page.flags.map((f) => [f.code, f.severity]),
      );
      const scoop = scoops.find((s) => s.system === units)!;
      const card = plain(words(await benchCard(batch, { language: 'en', units }, scoop, 'http://x/1')));
      const amount = (q: Parameters<typeof showQuantity>[0]): string =>
        plain(withUnit(showQuantity(q, units)));
      // Each subject once, by its loudest; care whole.
      for (const flag of [...loudestOf(snapshot.flags), ...snapshot.flags.filter(isCare)])
        expect(card).toContain(plain(readOut(flag.text, units)));
      for (const part of cardParts(snapshot, scoop.litres))
        expect(card).toContain(amount({ volumeL: part.litres }));
      for (const a of snapshot.sheet.amendments) expect(card).toContain(amount({ massG: a.grams }));
      for (const step of snapshot.steps)
        expect(card).toContain(plain(read(step.text, { language: 'en', units, scoop })));
      expect(card).toContain(amount({ volumeL: snapshot.sheet.waterLitres }));
      if (units === 'us') expect(METRIC.exec(card)?.[0]).toBeUndefined();
    }),
    { numRuns: 25 },
  );
}, 30_000);

test('the number of loads is one number: on the step and in its boxes; no other load is spoken of', () => {
  fc.assert(
    fc.property(anyRecipe, ({ recipe, heat, school }) => {
      const { steps, flags } = batchOf(recipe, heat, school).snapshot;
      const layer = steps.find((s) => s.id === 'layer')!;
      const said = /Make (\d+)\s+loads/.exec(read(layer.text, metric))?.[1];
      expect(Number(said ?? 1)).toBe(layer.times ?? 1);
      for (const flag of flags) expect(readOut(flag.remedy, 'metric')).not.toMatch(/\d+ loads/);
    }),
  );
});

test("a measure of one's own is counted in by its name; heaped and struck are told apart only where both are known", () => {
  const [pail, both] = [
    { id: 1, name: 'Pail', litres: 5, heapedLitres: null },
    { id: 2, name: 'Tub', litres: 7, heapedLitres: 9 },
  ];
  expect(ownScoops([pail, both], 'metric').map((s) => s.name)).toEqual([
    'Pail',
    'Tub, struck',
    'Tub, heaped',
  ]);
});
