/** Lanczos, g = 7, nine terms (coefficients after Godfrey (from memory)); good to about 1e-13 for x ≥ 1. */
const COEFFICIENTS = [
  0.9999999999998099, 676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406,
  12.507343278686905, -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
];

/** Natural logarithm of Γ(x), x at least 1. */
export function logGamma(x: number): number {
  const z = x - 1;
  let sum = COEFFICIENTS[0]!;
  for (let i = 1; i < COEFFICIENTS.length; i++) sum += COEFFICIENTS[i]! / (z + i);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Logarithm of n over k. */
export function logChoose(n: number, k: number): number {
  return logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);
}
