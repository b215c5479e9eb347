import { dateIn, dayFrom } from '#words/days';

test.each([
  ['2031-03-03', 'today'],
  ['2031-03-04', 'tomorrow'],
  ['2031-03-02', 'yesterday'],
  ['2031-03-07', 'Friday'],
  ['2031-03-09', 'Sunday'],
  // A week away the weekday could be either.
  ['2031-03-10', '10 Mar'],
  ['2031-02-28', '28 Feb'],
  // 300 days after the third of March is the 28th of December.
  ['2031-12-28', '28 Dec'],
  ['2031-12-29', '29 Dec 2031'],
  ['2030-05-07', '7 May'],
  ['2030-05-06', '6 May 2030'],
])('%s, on the third of March 2031, is %s', (day, says) => {
  expect(dayFrom(day, '2031-03-03', 'en')).toBe(says);
});

test.each([
  ['2031-05-09', 'short', '9 May'],
  ['2031-05-09', 'dated', '9 May 2031'],
  ['2031-05-09', 'weekdayDay', 'Fri 9'],
  ['2031-05-09', 'weekdayDated', 'Fri 9 May 2031'],
  ['2031-05-09', 'weekdayLong', 'Friday 9 May'],
  ['2031-05-09T04:35:00Z', 'time', '14:05'],
  ['2031-05-09T04:35:00Z', 'datedMoment', '9 May 2031, 14:05'],
  // Midnight is no twenty-fourth hour.
  ['2031-05-08T14:30:00Z', 'moment', '9 May, 00:00'],
] as const)('%s as %s is written %s, in the zone of the tests', (at, how, says) => {
  expect(dateIn(at, how, 'en')).toBe(says);
});
