import { checkRange } from '#core/units/check';

/** A figure and how far it scatters, one standard deviation. */
export interface Estimate {
  mean: number;
  sd: number;
}

const FIGURE = [-1e9, 1e9] as const;
const SPREAD = [1e-9, 1e9] as const;

/**
 * What own tests make of a figure of the book: normal with normal, each weighted by 1/σ².
 * @example learn({ mean: 46, sd: 12 }, [55, 52, 58].map((value) => ({ value, sd: 5 }))) // 54.5 ± 2.8
 */
export function learn(prior: Estimate, tests: readonly { value: number; sd: number }[]): Estimate {
  checkRange('prior.mean', prior.mean, ...FIGURE);
  let weight = 1 / checkRange('prior.sd', prior.sd, ...SPREAD) ** 2;
  let sum = prior.mean * weight;
  tests.forEach(({ value, sd }, i) => {
    const each = 1 / checkRange(`tests.${i}.sd`, sd, ...SPREAD) ** 2;
    weight += each;
    sum += each * checkRange(`tests.${i}.value`, value, ...FIGURE);
  });
  return { mean: sum / weight, sd: Math.sqrt(1 / weight) };
}
