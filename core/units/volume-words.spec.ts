import { litresWritten } from '#core/units/volume-words';

// NIST Handbook 44, Appendix C: 1 ft³ = 28.316846592 L, 1 yd³ = 764.554857984 L, 1 liquid quart = 0.946352946 L exactly.
test.each([
  ['1 ft³', 28.316846592],
  ['2 cu. ft.', 56.633693184],
  ['1 yd3', 764.554857984],
  ['0,5 cubic yards', 382.277428992],
  ['12 quarts', 11.356235352],
  ['5 gal', 18.92705892],
  ['80 L', 80],
  ['250ml', 0.25],
  ['1 m³', 1000],
])('%s', (text, litres) => {
  expect(litresWritten(text)).toBeCloseTo(litres, 8);
});

test.each(['5', '', 'two gallons', '3 kg', '1.2.3 L', '5 yards of rope', '-2 L'])(
  '"%s" is no volume',
  (text) => {
    expect(litresWritten(text)).toBeUndefined();
  },
);
