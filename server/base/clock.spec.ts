import { clockFrom } from '#server/base/clock';

test('the machine’s own, or one set at the start that goes on; what is no moment is named', () => {
  let machine = Date.parse('2026-11-30T12:00:00Z');
  const [own, set] = [clockFrom('', () => machine), clockFrom('2031-03-03T20:00:00Z', () => machine)];
  machine += 90_000;
  expect([own().toISOString(), set().toISOString()]).toEqual([
    '2026-11-30T12:01:30.000Z',
    '2031-03-03T20:01:30.000Z',
  ]);
  expect(() => clockFrom('tomorrow')).toThrow('WELCOME_NOW must be moment');
});
