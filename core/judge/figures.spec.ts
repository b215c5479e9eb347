import { figuresOf, MODEL, movedSince } from '#core/judge/figures';
import { readingsOf } from '#core/judge/readings';
import { evaluateMix } from '#core/mix/evaluate';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library, material } from '#testing/library';

const input = mixInputOf(starterMixes.germination, library);
const readings = readingsOf(input, evaluateMix(input));

test('figures of today have not moved; a changed material moves what depends on it and nothing else', () => {
  const then = figuresOf(input);
  expect(then.model).toBe(MODEL);
  expect(movedSince(then, readings)).toEqual([]);
  const saltier = {
    ...input,
    components: input.components.map((c, i) =>
      i === 0 ? { ...c, material: { ...c.material, saltsMeqPerL: c.material.saltsMeqPerL + 5 } } : c,
    ),
  };
  const moved = movedSince(then, readingsOf(saltier, evaluateMix(saltier)));
  expect(moved.map((m) => m.id)).toEqual(['ecSaturated']);
  expect(moved[0]!.to).toBeGreaterThan(moved[0]!.from);
});

test('what cannot be computed has no figures, and nothing is said to have moved', () => {
  const sand = { material: material('sand-sharp'), parts: 1 };
  const firmed = figuresOf({ ...input, components: [sand], compaction: 0.5 });
  expect(firmed.values).toEqual({});
  expect(movedSince(firmed, readings)).toEqual([]);
});
