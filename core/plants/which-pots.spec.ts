import fc from 'fast-check';
import { whichPots } from '#core/plants/which-pots';

test('the largest plants get the largest pots until they are gone, and the rest the next ones', () => {
  const { taken, without } = whichPots(50, [
    { litres: 0.5, count: 40 },
    { litres: 1, count: 20 },
  ]);
  expect(taken.map(({ litres, plants }) => [litres, plants])).toEqual([
    [1, 20],
    [0.5, 30],
  ]);
  expect(without).toBe(0);
  expect(whichPots(70, [{ litres: 1, count: 20 }]).without).toBe(50);
  expect(() => whichPots(0, [])).toThrow('plants');
});

test('every plant is in one pot or told of, and no pot is used twice', () => {
  const pot = fc.record({ litres: fc.double({ min: 0.1, max: 20, noNaN: true }), count: fc.nat(300) });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 900 }), fc.array(pot, { maxLength: 5 }), (plants, pots) => {
      const { taken, without } = whichPots(plants, pots);
      expect(taken.reduce((sum, each) => sum + each.plants, 0) + without).toBe(plants);
      for (const each of taken) expect(each.plants).toBeLessThanOrEqual(each.count);
      // None has a smaller pot while a larger one stands empty.
      const first = taken.findIndex((each) => each.plants < each.count);
      if (first >= 0) for (const each of taken.slice(first + 1)) expect(each.plants).toBe(0);
    }),
  );
});
