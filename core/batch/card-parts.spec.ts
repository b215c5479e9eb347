import { cardParts } from '#core/batch/card-parts';
import { plannedOf } from '#core/batch/planned';
import { snapshotBatch } from '#core/batch/snapshot';
import { library } from '#testing/library';

test('so much is scooped that the batch comes out whole: the card, what is planned and the screen say the same', () => {
  const snapshot = snapshotBatch(
    {
      ...{ stage: 'germination', vessel: 'cell-72', compactionPct: 0, job: { litres: 90 } },
      components: [
        { material: 'leaf-mould', parts: 1, screenedMm: 6 },
        { material: 'perlite-fine', parts: 1 },
      ],
      ...{ amendments: [], lime: null },
    },
    library,
    { units: 'metric', scoop: 'bucket-10l' },
  );
  const [mould, perlite] = cardParts(snapshot, 10);
  const through = snapshot.sheet.components[0]!.looseLitres;
  expect(mould!.screen!.overLitres).toBeGreaterThan(0);
  expect(mould!.litres - mould!.screen!.overLitres).toBeCloseTo(through, 9);
  expect(mould!.litres).toBeCloseTo(plannedOf(snapshot, 'leaf-mould'), 9);
  const step = snapshot.steps.find(({ id }) => id.startsWith('screen-'))!.text as {
    with: { onLitres: number };
  };
  expect(mould!.litres).toBeCloseTo(step.with.onLitres, 9);
  // As heavy to the litre as what goes through.
  expect(mould!.massKg / mould!.litres).toBeCloseTo(snapshot.sheet.components[0]!.massKg / through, 9);
  expect(perlite!.screen).toBeNull();
  expect(perlite!.litres).toBe(snapshot.sheet.components[1]!.looseLitres);
});
