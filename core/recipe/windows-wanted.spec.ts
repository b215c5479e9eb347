import { readingsOf } from '#core/judge/readings';
import { evaluateMix } from '#core/mix/evaluate';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { approaches, windowsOfApproach } from '#core/recipe/approaches';
import { askedByOwner, askedTogether, type OwnWindows, windowsWanted } from '#core/recipe/windows-wanted';
import { library } from '#testing/library';

const own: OwnWindows = {
  stages: { potting: { airPct: { low: 20, high: 40 } } },
  crops: { 'acid-lovers': { ph: { low: 4, high: 5 } } },
};

test('what the nursery set outranks the approach, a crop group outranks the stage', () => {
  const living = approaches.find((s) => s.id === 'living-compost')!;
  const asked = askedTogether(windowsOfApproach(living), askedByOwner(own));
  expect(windowsWanted('potting', undefined, asked)).toMatchObject({
    airPct: { low: 20, high: 40, source: 'your own window' },
    ph: { low: 5.8, high: 7.4 },
  });
  expect(windowsWanted('potting', 'acid-lovers', asked)!.ph).toMatchObject({ low: 4, high: 5 });
  expect(windowsWanted('germination', 'acid-lovers', undefined)!.ph).toMatchObject({ low: 4.5, high: 5.5 });
  expect(windowsWanted('germination', undefined, asked)).toBeUndefined();
});

test('a recipe is read by what is wanted of it; the windows slide no more where they were set', () => {
  const read = (crops?: 'acid-lovers') => {
    const mix = { ...starterMixes.potting, ...(crops && { crops }) };
    const input = mixInputOf(mix, { ...library, windows: askedByOwner(own) });
    return Object.fromEntries(readingsOf(input, evaluateMix(input)).map((r) => [r.id, r]));
  };
  expect(read()['air']).toMatchObject({ low: 20, high: 40 });
  expect(read()['ph']).toMatchObject({ low: 5.5, high: 6.5, verdict: 'ok' });
  expect(read('acid-lovers')['ph']).toMatchObject({ low: 4, high: 5, verdict: 'high' });
});
