import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';
import { daysAfter } from '#core/units/day';

/** A step as it runs on the bench: from this day up to, not including, the other. */
export interface RunStep {
  from: string;
  to: string;
}

/**
 * "Sown today, ready when?": the steps of a crop from its first day on, in the same days as counted back.
 * @param weeks of each step, 0.1–520
 */
export function forward(from: string, weeks: readonly number[]): { steps: RunStep[]; readyOn: string } {
  let day = from;
  const steps = weeks.map((week, i) => {
    const to = daysAfter(day, Math.round(7 * checkRange(`weeks.${i}`, week, ...limits.stepWeeks)));
    const step = { from: day, to };
    day = to;
    return step;
  });
  return { steps, readyOn: day };
}
