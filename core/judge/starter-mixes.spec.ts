import fc from 'fast-check';
import { recipeSchema } from '#contract/recipe';
import { recipeFromLink, recipeToLink, type LinkParams } from '#core/recipe/link';
import { judgeMix } from '#core/judge/judge';
import { stages } from '#core/mix/stage';
import { litresOf, mixInputOf, withValidTests, type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { vesselKind, library } from '#testing/library';

test.each(stages)('the starter mix for %s meets every window and warns of nothing', (stage) => {
  const { readings, flags } = judgeMix(mixInputOf(starterMixes[stage], library));
  expect(readings.filter((r) => r.verdict !== 'ok').map((r) => [r.id, r.value, r.low, r.high])).toEqual([]);
  expect(flags.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual([]);
  expect(recipeSchema.safeParse(starterMixes[stage]).success).toBe(true);
});

describe('links', () => {
  const reader = (params: LinkParams | Record<string, string>) => (name: string) =>
    (params as Record<string, string | null>)[name] ?? null;

  test.each(stages)('a recipe for %s survives the address bar', (stage) => {
    const { recipe, problems } = recipeFromLink(
      reader(recipeToLink(starterMixes[stage])),
      library,
      starterMixes.rooting,
    );
    expect([recipe, problems]).toEqual([starterMixes[stage], []]);
  });

  test("the user's own tests travel along", () => {
    const tested = {
      ...starterMixes.potting,
      measured: {
        shrinkagePct: 12.5,
        airPct: 14,
        ph: 5.9,
        ecSaturatedMSPerCm: 1.4,
        jar: { bufferMeqPerLPerPh: 30.25, phBeforeLime: 4.1 },
      },
    };
    expect(recipeFromLink(reader(recipeToLink(tested)), library, starterMixes.rooting).recipe).toEqual(
      tested,
    );
    const wrong = { ...recipeToLink(starterMixes.potting), tests: 'ph:19,smell:3' };
    expect(recipeFromLink(reader(wrong), library, starterMixes.rooting).problems).toEqual([
      { say: 'link.number', with: { part: 'tests', of: 'ph', given: '19', low: 2.5, high: 11 } },
      { say: 'link.unknown', with: { part: 'tests', given: 'smell' } },
    ]);
  });

  test('a job in litres, no lime, no dose', () => {
    const bare = { ...starterMixes.potting, lime: null, amendments: [], job: { litres: 42.5 } };
    expect(recipeFromLink(reader(recipeToLink(bare)), library, starterMixes.rooting).recipe).toEqual(bare);
  });

  test('whatever a recipe can say survives the address bar and fits the contract', () => {
    const count = fc.integer({ min: 1, max: 5000 });
    const two = (low: number, high: number) =>
      fc.integer({ min: 100 * low, max: 100 * high }).map((n) => n / 100);
    const vessels = [...library.vessels.keys()];
    const also = fc.uniqueArray(
      fc.record({ vessel: fc.constantFrom(...vessels), count, eachL: two(1, 20) }),
      { maxLength: 4, selector: (each) => each.vessel },
    );
    const counted = fc
      .record({ sparePct: fc.integer({ min: 0, max: 100 }), also })
      .map(({ also: others, ...rest }) => ({ ...rest, ...(others.length > 0 && { also: others }) }));
    const job = fc.oneof(
      fc.tuple(count, counted).map(([trays, rest]) => ({ trays, ...rest })),
      fc.tuple(count, counted).map(([n, rest]) => ({ vessels: n, ...rest })),
      two(1, 900).map((litres) => ({ litres })),
    );
    const dose = fc.record(
      {
        amendment: fc.constantFrom(...library.amendments.keys()),
        gPerL: two(0, 9),
        layerPct: fc.integer({ min: 1, max: 99 }),
      },
      { requiredKeys: ['amendment', 'gPerL'], noNullPrototype: true },
    );
    const any = fc.record(
      {
        ...{ vessel: fc.constantFrom(...vessels), job, fillPct: fc.integer({ min: 10, max: 100 }) },
        amendments: fc.uniqueArray(dose, { maxLength: 5, selector: (each) => each.amendment }),
        tinySeed: fc.constant(true),
      },
      { requiredKeys: ['vessel', 'job', 'amendments'], noNullPrototype: true },
    );
    fc.assert(
      fc.property(any, (more) => {
        const recipe: Recipe = { ...starterMixes.potting, ...more };
        expect(recipeSchema.safeParse(recipe).error?.issues).toBeUndefined();
        const { recipe: read, problems } = recipeFromLink(
          reader(recipeToLink(recipe)),
          library,
          starterMixes.rooting,
        );
        expect([read, problems]).toEqual([recipe, []]);
      }),
    );
  });

  test('what makes no sense is told, the rest is kept', () => {
    const { recipe, problems } = recipeFromLink(
      reader({
        stage: 'sprout',
        into: 'bathtub',
        parts: 'peat-fine:3,moondust:1,perlite-fine:-2',
        lime: 'chalk:99',
        make: 'many',
      }),
      library,
      starterMixes.germination,
    );
    expect(recipe.components).toEqual([{ material: 'peat-fine', parts: 3 }]);
    expect(recipe.stage).toBe('germination');
    expect(problems).toHaveLength(6);
    expect(problems).toContainEqual({
      say: 'link.number',
      with: { part: 'parts', of: 'perlite-fine', given: '-2', low: 0.0001, high: 1000 },
    });
  });
});

test('a job in trays is cells times their volume, with spare', () => {
  const kind = vesselKind('cell-72');
  expect(litresOf({ trays: 10, sparePct: 10 }, kind)).toBeCloseTo(
    1.1 * 10 * litresOf({ trays: 1, sparePct: 0 }, kind),
    9,
  );
  expect(litresOf({ litres: 33 }, kind)).toBe(33);
});

describe('a test holds only for the mix that it was made on', () => {
  const measured = {
    shrinkagePct: 12,
    airPct: 14,
    ph: 5.9,
    ecSaturatedMSPerCm: 1.4,
    jar: { bufferMeqPerLPerPh: 30, phBeforeLime: 4.1 },
  };
  const before: Recipe = { ...starterMixes.potting, measured };
  const left = (change: Partial<Recipe>): string[] =>
    Object.keys(withValidTests(before, { ...before, ...change }).measured ?? {}).sort();

  test.each<[string, Partial<Recipe>, string[]]>([
    ['another job', { job: { litres: 5 } }, Object.keys(measured).sort()],
    ['other parts', { components: [{ material: 'peat-fine', parts: 1 }] }, []],
    ['another vessel', { vessel: 'pot-9' }, ['ecSaturatedMSPerCm', 'jar', 'ph', 'shrinkagePct']],
    ['firmer', { compactionPct: 10 }, ['ecSaturatedMSPerCm', 'ph', 'shrinkagePct']],
    ['another lime', { lime: null }, ['airPct', 'jar', 'shrinkagePct']],
    ['another feed', { amendments: [] }, ['airPct', 'jar', 'shrinkagePct']],
    ['new tests', { measured: { ph: 6 }, amendments: [] }, ['ph']],
  ])('%s', (_, change, kept) => {
    expect(left(change)).toEqual(kept);
  });
});
