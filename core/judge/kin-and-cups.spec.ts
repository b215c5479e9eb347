import { readOut } from '#core/units/said';
import { evaluateMix } from '#core/mix/evaluate';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
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

test('dust-fine seed wants a fine top, unless that is what it is sown on', () => {
  const note = (parts: Record<string, number>, tinySeed: boolean) =>
    judgeMix({ ...recipe(parts), ...(tinySeed && { tinySeed }) }, { library }).flags.find(
      (flag) => flag.code === 'tiny-seed',
    );
  expect(note({ 'peat-fine': 3, 'perlite-coarse': 1 }, true)?.severity).toBe('note');
  expect(note({ 'peat-fine': 3, 'perlite-coarse': 1 }, false)).toBeUndefined();
  expect(note({ 'vermiculite-fine': 1 }, true)).toBeUndefined();
});

test('a pot filled half takes less, and is judged at its depth', () => {
  const at = (fillPct?: number) =>
    mixInputOf(
      {
        ...starterMixes.potting,
        vessel: 'pot-15',
        job: { vessels: 10, sparePct: 0 },
        ...(fillPct && { fillPct }),
      },
      library,
    );
  expect(at(50).litres! / at().litres!).toBeGreaterThan(0.35);
  expect(at(50).litres! / at().litres!).toBeLessThan(0.5);
  // Less height above the foot: less air.
  expect(evaluateMix(at(50)).drained.air).toBeLessThan(evaluateMix(at()).drained.air);
  expect(() => at(5)).toThrow('fillPct must be a number from 10 to 100, was 5');
});
