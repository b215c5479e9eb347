import { verdictOf } from '#core/advise/findings';
import { evaluateMix } from '#core/mix/evaluate';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { withKnown } from '#core/recipe/known';
import { sketch } from '#core/recipe/sketch';
import { followsOf } from '#core/season/follows';
import { MixFaults } from '#core/season/mix-faults';
import { type KeptMix } from '#core/season/needs';
import { seasonOf } from '#core/season/season';
import { aLine, crops, someSettings } from '#testing/season';
import { library } from '#testing/library';

/** Right in a deep pot; in a plug it drowns. */
const heavy = sketch('germination', 'pot-11', { 'peat-fine': 3, 'sand-fine': 1 }, { ph: 5.8 });
const kept = (recipe: Recipe): ReadonlyMap<number, KeptMix> =>
  new Map([[4, { id: 4, name: 'House', recipe }]]);
const into = (vessel: string, mix?: number) =>
  seasonOf(
    someSettings,
    [
      aLine({
        crop: 'tomato',
        steps: [{ vessel, stage: 'germination', weeks: 4, lossPct: 5, ...(mix && { mix }) }],
      }),
    ],
    crops,
    library.vessels,
  ).sowings[0]!;

test('a mix of the season is judged in the vessel that it goes into, not in that of its recipe', () => {
  const faults = new MixFaults(kept(heavy), null, library);
  const [fault] = faults.of(into('cell-288', 4));
  expect([fault!.mix, fault!.kind.id, verdictOf(fault!.judgement)]).toEqual(['House', 'cell-288', 'stop']);
  expect(fault!.judgement.flags[0]!.code).toBe('air-low');
  // The approach's own mix is right in its cells.
  expect(faults.of(into('cell-72'))).toEqual([]);
});

test('what works in one vessel is told of another', () => {
  const there = sketch('seedling', 'cell-72', { 'peat-fine': 3, 'sand-fine': 1 }, { ph: 5.8 });
  const quiet = ['air-low', 'drowns-here', 'lime-underdose'].reduce(
    (recipe, code) =>
      withKnown(recipe, { code, severity: 'warn', why: 'Watered by weight', on: '2031-03-04' }),
    there,
  );
  const said = (recipe: Recipe, vessel: string) =>
    new MixFaults(kept(recipe), null, library).of(into(vessel, 4)).map((f) => verdictOf(f.judgement));
  expect(said(there, 'cell-72')).toEqual(['watch']);
  expect(said(quiet, 'cell-72')).toEqual([]);
  expect(said(quiet, 'cell-128')).toEqual(said(there, 'cell-128'));
  expect(said(quiet, 'cell-128')).not.toEqual([]);
});

test('a saved mix that is changed: what the season takes otherwise is its litres, before and after', () => {
  const before = sketch('seedling', 'cell-72', { 'peat-fine': 4, 'perlite-coarse': 2 }, { ph: 5.8 });
  const after = sketch('seedling', 'cell-72', { 'peat-fine': 4, pumice: 2 }, { ph: 5.8 });
  const follows = followsOf(before, after, 90, library);
  // Two of six parts, loose: the finished litres swelled by what vanishes in mixing.
  const loose = (recipe: Recipe): number =>
    evaluateMix(mixInputOf(recipe, library)).composition.densification * 90;
  expect(
    follows
      .slice(0, 2)
      .map(({ item }) => item)
      .sort(),
  ).toEqual(['perlite-coarse', 'pumice']);
  const of = (item: string) => follows.find((each) => each.item === item)!;
  expect(of('perlite-coarse')).toMatchObject({ kind: 'material', to: 0 });
  expect(of('perlite-coarse').from).toBeCloseTo(loose(before) / 3, 6);
  expect(of('pumice').to).toBeCloseTo(loose(after) / 3, 6);
  expect(followsOf(before, before, 90, library)).toEqual([]);
});
