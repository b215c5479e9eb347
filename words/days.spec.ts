import { dayFrom } from '#words/days';

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
