import { numberWritten } from '#core/units/written';
import { inches, inchesOfRule } from '#words/inches';

test('a measure off a rule keeps its eighths, and can be typed back', () => {
  for (let eighths = 1; eighths < 100; eighths++) {
    const text = inchesOfRule((eighths / 8) * 25.4);
    expect(numberWritten(text)).toBe(eighths / 8);
  }
  expect(inchesOfRule(60.325)).toBe('2 ⅜');
  expect(inchesOfRule(45)).toBe('1.77');
  expect(inches(60.325)).toBe('2 ½');
});
