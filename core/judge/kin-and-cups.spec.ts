import { readOut } from '#core/units/said';
import { judgeMix } from '#core/judge/judge';
import { library } from '#testing/library';
import { recipe } from '#testing/recipe';

const codes = (part: string, stage: 'germination' | 'rooting' | 'potting') =>
  judgeMix(recipe({ 'peat-fine': 3, [part]: 1 }, { stage, vessel: 'pot-9' }), { library }).flags.filter(
    (flag) => flag.code === 'not-under-seed',
  );

test.each(['compost-kitchen', 'coffee-grounds', 'mulch-wood'])(
  '%s warns under seed, and says why',
  (part) => {
    for (const stage of ['germination', 'rooting'] as const) {
      const [flag] = codes(part, stage);
      expect(flag!.severity).toBe('warn');
      expect(readOut(flag!.text, 'metric').length).toBeGreaterThan(40);
    }
    expect(codes(part, 'potting')).toEqual([]);
  },
);

test('green-waste compost is none of them', () => {
  expect(codes('compost', 'germination')).toEqual([]);
});

test('a cup without holes is a stop, whatever the mix; with holes it is not', () => {
  const cup = (holes?: boolean) =>
    judgeMix(
      recipe(
        { 'peat-fine': 3, 'perlite-coarse': 1 },
        { vessel: { shape: 'round', topMm: 80, baseMm: 60, depthMm: 90, headspaceMm: 5, holes } },
      ),
      { library },
    ).flags.find((flag) => flag.code === 'no-holes');
  expect(cup(false)?.severity).toBe('stop');
  expect([cup(true), cup()]).toEqual([undefined, undefined]);
});
