import { convertEc } from '#core/mix/salts';
import { evaluateMix } from '#core/mix/evaluate';
import { DOUBT_OF_KIN, likeThis } from '#core/material/like';
import { materialFromRow, materialToRow } from '#core/material/material';
import { sampleReadings } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { material, vesselKind } from '#testing/library';

const compost = materialToRow(material('compost'));
const heap = { id: 'own-heap', name: 'Our heap' };

test('nothing said: the kin under another name, in more doubt', () => {
  expect(likeThis(compost, heap, {})).toEqual({ ...compost, ...heap, doubt: DOUBT_OF_KIN });
});

test('a struck bucket of 7 kg in 10 L with 40 % water is 420 g of dry matter to the litre', () => {
  const row = likeThis(compost, heap, { struckKgPerL: 0.7, moisturePct: 40 });
  expect([row.dryBulkDensityGPerL, row.moistureAsBoughtPctWb]).toEqual([expect.closeTo(420, 9), 40]);
});

test('an EC read 1:5 is the EC that the mix gives by that method, and the ions go with it', () => {
  const row = likeThis(compost, heap, { ec1to5MSPerCm: 1.1, moisturePct: 0 });
  const mix = evaluateMix({
    ...{ stage: 'potting', compaction: 0, amendments: [], vessel: vesselKind('pot-11').vessel },
    components: [{ material: materialFromRow(row), parts: 1 }],
  });
  const at = { totalPorosity: mix.composition.totalPorosity, water: 0 };
  expect(convertEc(mix.ecSaturatedMSPerCm, 'saturated', 'oneToFive', at)).toBeCloseTo(1.1, 9);
  expect(row.availableKMgPerL / row.availableNMgPerL).toBeCloseTo(
    compost.availableKMgPerL / compost.availableNMgPerL,
    9,
  );
});

test('finer than its kin it holds more water, coarser it only has larger pieces', () => {
  const fine = likeThis(compost, heap, { largestMm: 5 });
  expect(fine.maxParticleMm).toBe(5);
  expect(fine.waterAt10CmPct).toBeGreaterThan(compost.waterAt10CmPct);
  const coarse = likeThis(compost, heap, { largestMm: 25 });
  expect([coarse.maxParticleMm, coarse.waterAt10CmPct]).toEqual([25, compost.waterAt10CmPct]);
});

test('what is known only by its kin has a wider band', () => {
  const width = (row: typeof compost): number => {
    const { bands } = sampleReadings(
      {
        ...{ stage: 'potting', compaction: 0, amendments: [], vessel: vesselKind('pot-11').vessel },
        components: [{ material: materialFromRow(row), parts: 1 }],
      },
      defaultSpreads,
      1,
      400,
    );
    const ec = bands.find((b) => b.id === 'ecSaturated')!;
    return ec.high - ec.low;
  };
  expect(width({ ...compost, doubt: 1.5 })).toBeGreaterThan(1.2 * width(compost));
});

test.each([
  [{ ph: 14 }, 'ph must be a number from 2.5 to 11, was 14'],
  [{ struckKgPerL: 0 }, 'struckKgPerL must be a number from 0.01 to 3, was 0'],
  [{ largestMm: 80 }, 'largestMm must be a number from 0.5 to 50, was 80'],
  [{ struckKgPerL: 0.02, moisturePct: 90 }, 'dryBulkDensityGPerL must be a number from 5 to 2200'],
])('%j is refused', (answers, message) => {
  expect(() => likeThis(compost, heap, answers)).toThrow(message);
});

test('what tests told of a kin is not told of another; a change of the same one keeps it', () => {
  const tested = { ...compost, sure: { phUnits: 0.2 } };
  expect(likeThis(tested, heap, {}).sure).toBeUndefined();
  expect(likeThis(tested, { id: compost.id, name: 'Same' }, {}).sure).toEqual({ phUnits: 0.2 });
});
