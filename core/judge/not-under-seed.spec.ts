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
      expect(flag!.text.join('').length).toBeGreaterThan(40);
    }
    expect(codes(part, 'potting')).toEqual([]);
  },
);

test('green-waste compost is none of them', () => {
  expect(codes('compost', 'germination')).toEqual([]);
});
