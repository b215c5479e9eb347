import fc from 'fast-check';
import {
  coolingFrom,
  heatCapacity,
  heatLost,
  hotWater,
  hoursUntil,
  moreHotWater,
} from '#core/batch/hot-water';
import { compose } from '#core/mix/composition';
import { material, materials } from '#testing/library';
import { published } from '#testing/published';

const peat = compose([{ material: material('peat-fine'), parts: 1 }], 0);

test('ten litres of peat to 60 °C, by hand', () => {
  // 0.95 kg dry × 1.3 + 0.777 kg water × 4.186 = 4.489 kJ/K; × 45 K = 202 kJ; boiling water gives 4.186 × 40 = 167.4 kJ/kg.
  const water = (0.95 * 0.45) / 0.55;
  const byHand = ((0.95 * 1.3 + water * 4.186) * 45) / (4.186 * 40);
  const ours = hotWater(peat, 10, 15, 100, 60);
  published({
    what: 'boiling water for 10 L of peat from 15 to 60 °C',
    source: 'heat balance by hand; specific heats of the CRC Handbook (from memory)',
    published: byHand,
    ours: ours.waterLitres,
    unit: 'L',
    within: 1e-9,
  });
  expect(ours.finalSaturation).toBeCloseTo((water + byHand) / 9.15, 9);
});

test('heat is neither made nor lost', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...materials),
      fc.integer({ min: 5, max: 30 }),
      fc.integer({ min: 31, max: 55 }),
      (m, mixC, targetC) => {
        const c = compose([{ material: m, parts: 1 }], 0);
        let result;
        try {
          result = hotWater(c, 20, mixC, 100, targetC);
        } catch (error) {
          expect(String(error)).toContain('hot water holds');
          return;
        }
        const cDry = m.make === 'organic' ? 1.3 : 0.85;
        const gained =
          (20 * (m.dryBulkDensityGPerL / 1000) * cDry + 20 * c.waterAsBought * 4.186) * (targetC - mixC);
        expect(result.waterLitres * 4.186 * (100 - targetC)).toBeCloseTo(gained, 6);
        expect(result.finalSaturation).toBeLessThanOrEqual(1 + 1e-9);
      },
    ),
  );
});

test('a target past saturation answers with what is reachable', () => {
  expect(() => hotWater(peat, 10, 15, 70, 68)).toThrow(/targetC must be hot water holds .*6\d\.\d/);
  const most = Number(/"celsius":([\d.]+)/.exec(messageOf(() => hotWater(peat, 10, 15, 70, 68)))![1]);
  expect(hotWater(peat, 10, 15, 70, most).finalSaturation).toBeGreaterThan(0.95);
  expect(() => hotWater(peat, 10, 15, 60, 60)).toThrow('below water {"celsius":60}');
  expect(hotWater(peat, 10, 25, 100, 20)).toMatchObject({ waterLitres: 0, finalC: 25 });
});

test('cooling runs through its two readings', () => {
  const cooling = coolingFrom(65, 50, 1.5, 15);
  expect(hoursUntil(cooling, 50)).toBeCloseTo(1.5, 12);
  // Newton: half the excess over the surroundings takes the same time each time.
  expect(hoursUntil(cooling, 27.5) - hoursUntil(cooling, 40)).toBeCloseTo(hoursUntil(cooling, 40), 9);
  expect(hoursUntil(cooling, 10)).toBe(Infinity);
  expect(() => coolingFrom(65, 70, 1, 15)).toThrow('laterC must be between readings');
});

function messageOf(act: () => unknown): string {
  try {
    act();
  } catch (error) {
    return String(error);
  }
  return '';
}

test('a probe that reads less: pouring what is asked for brings it there, and what was lost is what was lost', () => {
  const [litres, kJPerK] = [20, heatCapacity(peat, 20)];
  const bare = hotWater(peat, litres, 15, 100, 60).waterLitres;
  // Balance by hand: a quarter of the heat of what is poured goes into the tub.
  const after = (poured: number, lost: number): number => {
    const gives = poured * 4.186 * (1 - lost);
    // mix × (T − 15) = gives × (100 − T)
    return (kJPerK * 15 + gives * 100) / (kJPerK + gives);
  };
  const read = after(bare, 0.25);
  expect(read).toBeLessThan(60);
  expect(heatLost(kJPerK, bare, 15, read)).toBeCloseTo(0.25, 9);
  const more = moreHotWater(kJPerK, bare, read, 60);
  const [mass, poured] = [kJPerK + bare * 4.186, more * 4.186];
  expect((mass * read + poured * 100) / (mass + poured)).toBeCloseTo(60, 9);
  expect(moreHotWater(kJPerK, bare, 61, 60)).toBe(0);
});
