import { millimetresIn } from '#core/units/factors';
import { fixed } from '#core/units/show';

const QUARTERS = ['', ' ¼', ' ½', ' ¾'];

/** Millimetres as inches stand on a rule: quarters from an inch on, eighths have no sign of their own, hundredths below. */
export function inches(mm: number): string {
  const exact = mm / millimetresIn.inch;
  if (exact < 1) return fixed(exact, 2);
  const quarters = Math.round(exact * 4);
  return `${Math.floor(quarters / 4)}${QUARTERS[quarters % 4]!}`;
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];
/** Between a rule's eighths, inches. */
const OFF_RULE = 0.01;

/**
 * A measure as it was read off a rule, to the eighth; with two decimals where it lies between them.
 * @example inchesOfRule(60.325) // '2 ⅜'
 */
export function inchesOfRule(mm: number): string {
  const exact = mm / millimetresIn.inch;
  const eighths = Math.round(exact * 8);
  if (Math.abs(eighths / 8 - exact) > OFF_RULE || eighths === 0) return fixed(exact, 2);
  const whole = Math.floor(eighths / 8);
  return [whole > 0 ? String(whole) : '', EIGHTHS[eighths % 8]!].filter(Boolean).join(' ');
}
