import { restDays, sendFor, usualRest } from '#core/package/rest';
import { material } from '#testing/library';
import { addDays, formatISO, parseISO } from 'date-fns';

const before = (day: string, days: number): string =>
  formatISO(addDays(parseISO(day), -days), { representation: 'date' });

test('the next load is sent for so that it has rested when the heap ends', () => {
  const rested = { receivedOn: '2031-01-10', readyOn: '2031-02-21' };
  // As the last one rested: 42 days, whatever is usual.
  expect(sendFor('2031-05-01', material('compost'), [rested])).toEqual({
    on: before('2031-05-01', 42),
    days: 42,
  });
  expect(sendFor('2031-05-01', material('mix-reused'), [])).toEqual({
    ...{ on: before('2031-05-01', restDays['spent-mix']), days: restDays['spent-mix'] },
  });
  // Over New Year and a leap day.
  expect(sendFor('2032-03-10', material('compost'), [rested])!.on).toBe(before('2032-03-10', 42));
});

test('what need not rest is sent for when it is wanted', () => {
  expect(sendFor('2031-05-01', material('perlite-coarse'), [])).toBeNull();
  expect(sendFor('2031-05-01', undefined, [{ receivedOn: '2031-01-01', readyOn: null }])).toBeNull();
});

test('fresh bark rests; aged bark, bagged or not, does not', () => {
  expect(usualRest(material('bark-pine'), false)).toBeNull();
  expect(usualRest(material('bark-hardwood'), false)).toBeNull();
  const fresh = { ...material('bark-pine'), drawdownMgNPerL: 150 };
  expect(usualRest(fresh, false)?.days).toBe(restDays.bark);
  expect(sendFor('2031-05-01', fresh, [])).toEqual({ on: before('2031-05-01', 28), days: 28 });
});
