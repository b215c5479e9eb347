import { readOut, said } from '#core/units/said';
import { usWords } from '#core/units/us-words';

// Factors: NIST SP 811; the pairs are common ones of kitchen and trade tables.
test.each([
  ['Let it cool below 30 °C with the lid ajar.', 'Let it cool below 86 °F with the lid ajar.'],
  ['Above about 82 °C compost gives off ammonium.', 'Above about 180 °F compost gives off ammonium.'],
  ['from 60–70 °C', 'from 140–158 °F'],
  ['−5 °C at night', '23 °F at night'],
  ['9 cm pot', '3 ½ in pot'],
  ['15 cm pot', '6 in pot'],
  ['bits of 5 mm', 'bits of 0.20 in'],
  ['41 mg/L of nitrogen', '41 ppm of nitrogen'],
  ['in mg/L', 'in ppm'],
  ['water at 10 cm less at 50 cm', 'water at 4 in less at 19 ¾ in'],
  ['5 L bucket', '1.32 gal bucket'],
  ['2 g/L, pH', '3.37 lb/yd³, pH'],
  ['Perlite, coarse (2-5 mm)', 'Perlite, coarse (0.08-0.20 in)'],
  ['a night of -4 °C', 'a night of 25 °F'],
  ['−4 °C', '25 °F'],
])('%s → %s', (metric, us) => expect(usWords(metric)).toBe(us));

test.each(['0.32 mS/cm', '12 meq/L', 'pH 5.8 in 10 loads', '40 % of the pores', '3 light trays', '5-10-5'])(
  '%s stays as it is',
  (text) => expect(usWords(text)).toBe(text),
);

test('sentences are read out in one system, quantities and words alike', () => {
  const sentence = said`Pour ${{ volumeL: 3.785411784 * 2 }} of boiling water, hold at 60 °C.`;
  expect(readOut(sentence, 'us').replace('\u00a0', ' ')).toBe(
    'Pour 2.00 gal of boiling water, hold at 140 °F.',
  );
  expect(readOut(sentence, 'metric')).toContain('60 °C');
});
