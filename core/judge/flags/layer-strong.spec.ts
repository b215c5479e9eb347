import { judgeMix } from '#core/judge/judge';
import { mostGPerL } from '#core/judge/flags/enough';
import { readOut } from '#core/units/said';
import { amendment } from '#testing/library';
import { recipe } from '#testing/recipe';

/** Grams to the litre of the whole pot, each into a layer of it. */
function flagOf(doses: { id: string; gPerL: number; layer?: number }[]) {
  const plain = recipe({ 'peat-medium': 3, 'perlite-coarse': 1 }, { stage: 'potting', vessel: 'pot-15' });
  const amendments = doses.map(({ id, ...dose }) => ({ ...dose, amendment: amendment(id) }));
  return judgeMix({ ...plain, amendments }).flags.find(({ code }) => code === 'layer-strong');
}
const most = (id: string): number => mostGPerL(amendment(id), 'potting');

test('in a quarter of the pot a dose is four times as strong as through all of it', () => {
  const [id, layer] = ['bone-meal', 0.25];
  expect(flagOf([{ id, gPerL: 0.25 * most(id), layer }])).toBeUndefined();
  expect(flagOf([{ id, gPerL: 0.3 * most(id), layer }])?.severity).toBe('warn');
  // Through the whole pot it is none of this rule's.
  expect(flagOf([{ id, gPerL: 0.9 * most(id) }])).toBeUndefined();
});

test('several feeds in one zone are judged together; in two zones each by itself', () => {
  const half = (id: string, layer: number) => ({ id, gPerL: 0.6 * layer * most(id), layer });
  expect(flagOf([half('bone-meal', 0.25)])).toBeUndefined();
  const both = flagOf([half('bone-meal', 0.25), half('kelp-meal', 0.25)]);
  expect(readOut(both!.text, 'metric')).toContain('1.2 times');
  expect(flagOf([half('bone-meal', 0.25), half('kelp-meal', 0.5)])).toBeUndefined();
});
