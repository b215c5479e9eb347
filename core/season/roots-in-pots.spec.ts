import { coldestNight } from '#core/season/roots-in-pots';
import { crops } from '#testing/season';

// Havis, HortScience 11:385 (1976); Studer et al., HortScience 13:57 (1978) (from memory).
test.each([
  ['box', -4, -2],
  ['holly', -7, -5],
  ['viburnum', -9, -7],
  ['oak', -7, -5],
  ['pine', -12, -9],
])('roots of %s in a pot set the limit of the night', (id, low, high) => {
  const crop = crops.get(id)!;
  const { potC, groundC } = coldestNight(crop);
  expect(potC).toBeGreaterThanOrEqual(low);
  expect(potC).toBeLessThanOrEqual(high);
  expect(groundC).toBe(crop.coldestC);
  expect(groundC).toBeLessThan(potC);
});

test('a tender plant and one that is not known have one limit', () => {
  expect(coldestNight({ id: 'tomato', coldestC: 10 })).toEqual({ potC: 10, groundC: 10 });
  expect(coldestNight({ id: 'own-shrub', coldestC: -12 })).toEqual({ potC: -12, groundC: -12 });
});
