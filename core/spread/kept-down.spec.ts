import { approaches, windowsOfApproach } from '#core/recipe/approaches';
import { mixInputOf } from '#core/recipe/recipe';
import { GOOD_ODDS, keptDown } from '#core/spread/kept-down';
import { sampleReadings } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { library } from '#testing/library';

test.each(
  approaches.flatMap((s) => Object.entries(s.mixes).map(([stage, mix]) => [s.id, stage, mix, s] as const)),
)('%s for %s reaches eight in ten, or says which test would bring it there', (_, __, mix, s) => {
  const input = mixInputOf(mix, { ...library, windows: windowsOfApproach(s) });
  const sampled = sampleReadings(input, defaultSpreads, 1, 500);
  const said = keptDown(input, sampled, defaultSpreads, 1);
  if (sampled.allInside >= GOOD_ODDS) {
    expect(said).toEqual([]);
    return;
  }
  // Each test lifts further; together they get there.
  const steps = [sampled.allInside, ...said.map((each) => each.lifted)];
  expect(steps).toEqual([...steps].sort((a, b) => a - b));
  expect(steps.at(-1)).toBeGreaterThanOrEqual(GOOD_ODDS);
});

test('a mix that was tested already is not told to test again', () => {
  const input = mixInputOf(
    approaches.find((s) => s.id === 'limed-peat-perlite')!.mixes.germination!,
    library,
  );
  const [first] = keptDown(input, sampleReadings(input, defaultSpreads, 1, 500), defaultSpreads, 1);
  expect(first).toMatchObject({ id: 'ph', test: 'jar' });
  const tested = { ...input, measured: { ph: 5.75 } };
  expect(keptDown(tested, sampleReadings(tested, defaultSpreads, 1, 500), defaultSpreads, 1)).toEqual([]);
});
