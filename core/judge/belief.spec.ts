import { beliefs, beliefsOf } from '#core/judge/belief';
import { library } from '#testing/library';
import { beliefList } from '#words/en/places/mix/belief-list';

const of = (materials: string[], products: string[], shape: 'block' | 'rect' = 'rect') =>
  beliefsOf(materials, products, shape);

test('what is said of a material is answered where it is chosen, and nowhere else', () => {
  expect(of(['peat-fine', 'sand-sharp'], [], 'block')).toEqual(['sand-in-block']);
  expect(of(['peat-fine', 'sand-sharp'], [])).toEqual([]);
  expect(of(['peat-fine', 'grit-granite'], [])).toEqual(['gravel-below']);
  expect(of(['peat-fine'], ['gypsum'])).toEqual(['lime-rot']);
  expect(of(['peat-fine'], ['eggshell-crushed'])).toEqual(['lime-rot', 'shell-mould']);
  expect(of(['peat-fine', 'perlite-coarse'], ['blood-meal'])).toEqual([]);
});

test('every one of them is met by something of the library, and is asked and answered with where it is from', () => {
  const materials = [...library.materials.keys()];
  const products = [...library.amendments.keys()];
  expect(new Set([...of(materials, products), ...of(materials, products, 'block')])).toEqual(
    new Set(beliefs),
  );
  for (const each of beliefs) {
    const [asks, holds, source] = (['asks', 'holds', 'source'] as const).map(
      (key) => beliefList[`${each}.${key}`],
    ) as [string, string, string];
    expect(asks).toMatch(/\?$/);
    expect(holds.length).toBeGreaterThan(40);
    expect(source).toMatch(/from memory|no source|not shown/i);
  }
});
