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
