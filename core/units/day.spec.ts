import { format } from 'date-fns';
import fc from 'fast-check';
import { dayIn, daysAfter, isTimeZone } from '#core/units/day';

test('one moment, three days: dawn east of UTC is tomorrow there, an evening west is yesterday', () => {
  const dawn = new Date('2031-03-03T20:00:00Z');
  expect(dayIn(dawn, 'Australia/Adelaide')).toBe('2031-03-04');
  expect(dayIn(dawn, 'UTC')).toBe('2031-03-03');
  expect(dayIn(new Date('2031-03-04T02:00:00Z'), 'America/Los_Angeles')).toBe('2031-03-03');
});

test('a zone that there is not is named', () => {
  expect(() => dayIn(new Date(0), 'Mars/Olympus')).toThrow('timeZone must be time zone');
  expect([isTimeZone('Mars/Olympus'), isTimeZone('Pacific/Auckland')]).toEqual([false, true]);
});

test('days count on across months, leap days, years and summer time, there and back', () => {
  expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29');
  expect(daysAfter('2027-12-31', 1)).toBe('2028-01-01');
  // Clocks change in Adelaide on 6 April 2031 and in London on 30 March.
  expect(daysAfter('2031-04-05', 2)).toBe('2031-04-07');
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 40_000 }), fc.integer({ min: -5000, max: 5000 }), (from, days) => {
      const day = daysAfter('1990-01-01', from);
      expect(daysAfter(daysAfter(day, days), -days)).toBe(day);
      expect(daysAfter(day, 0)).toBe(day);
    }),
  );
});

test('agrees with date-fns in the zone of the machine', () => {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  fc.assert(
    fc.property(
      fc.date({ min: new Date('1990-01-01'), max: new Date('2060-01-01'), noInvalidDate: true }),
      (at) => {
        expect(dayIn(at, zone)).toBe(format(at, 'yyyy-MM-dd'));
      },
    ),
  );
});
