import { daysOfRoom, weeksOfRoom } from '#core/season/pot-on';
import { volumeL } from '#core/vessel/vessel';
import { published } from '#testing/published';
import { crops } from '#testing/season';
import { library } from '#testing/library';

const SOURCE = 'common practice, no source (model § 24)';
const tomato = {
  kind: 'vegetable' as const,
  steps: [{ vessel: 'cell', stage: 'germination' as const, weeks: 4, lossPct: 5 }],
};
const cell = () => 0.06;
const litresOf = (id: string) => {
  const kind = library.vessels.get(id);
  return kind && volumeL(kind.vessel);
};

test('a doubling of the room gives a week more, two for woody plants', () => {
  for (const [litres, weeks] of [
    [0.06, 4],
    [0.37, 6.5],
    [1.1, 8],
    [17, 12],
  ] as const)
    published({
      what: `tomato of 4 weeks in a 60 mL cell: weeks from sowing in ${litres} L`,
      ...{ source: SOURCE, published: weeks, within: 0.3, unit: 'weeks' },
      ours: weeksOfRoom(tomato, litres, cell),
    });
  expect(weeksOfRoom({ ...tomato, kind: 'woody' }, 0.24, cell)).toBeCloseTo(8, 9);
  // Less room is less time, and never none.
  expect(weeksOfRoom(tomato, 0.03, cell)).toBeCloseTo(3, 9);
  expect(weeksOfRoom(tomato, 0.0001, cell)).toBe(1);
});

test('every crop of the library has room for its own path, in every vessel of it', () => {
  for (const crop of crops.values()) {
    let until = 0;
    for (const { vessel, weeks } of crop.steps) {
      const before = until;
      until += weeks;
      const days = daysOfRoom(crop, litresOf(vessel)!, litresOf, 7 * before);
      if (days !== null)
        expect([crop.id, vessel, days >= Math.floor(7 * weeks)]).toEqual([crop.id, vessel, true]);
    }
  }
});

test('more room is never less time; over two years nothing is said, and of no crop only to eight cubic inches', () => {
  for (const crop of crops.values()) {
    let last = 0;
    for (const litres of [0.02, 0.05, 0.1, 0.3, 1, 5, 20, 80]) {
      const days = weeksOfRoom(crop, litres, litresOf);
      expect(days).toBeGreaterThanOrEqual(last - 1e-9);
      last = days;
      const said = daysOfRoom(crop, litres, litresOf, 0);
      if (said !== null) expect(said).toBeLessThanOrEqual(730);
    }
  }
  // A month to the cubic inch.
  expect(daysOfRoom(undefined, 0.016387, litresOf, undefined)).toBe(30);
  expect(daysOfRoom(undefined, 0.2, litresOf, undefined)).toBeNull();
});

test('who does not know how old it was takes its own path', () => {
  const crop = crops.get('tomato')!;
  const [first] = crop.steps;
  expect(daysOfRoom(crop, litresOf('pot-9')!, litresOf, undefined)).toBe(
    daysOfRoom(crop, litresOf('pot-9')!, litresOf, 7 * first!.weeks),
  );
});
