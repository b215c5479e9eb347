import { logChoose } from '#core/stats/log-gamma';

/** Smallest N with P(Binomial(N, p) ≥ wanted) ≥ confidence. The chance grows with N, so halving finds it. */
export function smallestTrials(p: number, wanted: number, confidence: number): number {
  if (p >= 1) return wanted;
  let low = wanted - 1;
  let high = Math.ceil(wanted / p);
  while (atLeast(high, p, wanted) < confidence) {
    low = high;
    high = Math.ceil(high * 1.1) + 1;
  }
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (atLeast(middle, p, wanted) >= confidence) high = middle;
    else low = middle;
  }
  return high;
}

/** P(Binomial(n, p) ≥ k), summed outwards from k on the shorter side; exact to rounding. */
export function atLeast(n: number, p: number, k: number): number {
  if (k <= 0) return 1;
  if (k > n) return 0;
  if (p >= 1) return 1;
  const logPmf = (x: number): number => logChoose(n, x) + x * Math.log(p) + (n - x) * Math.log1p(-p);
  const below = k - 1 < n * p;
  let sum = 0;
  // Terms fall off away from the mean: stop when they no longer count.
  for (let x = below ? k - 1 : k; x >= 0 && x <= n; x += below ? -1 : 1) {
    const term = Math.exp(logPmf(x));
    sum += term;
    if (term < sum * 1e-17 || (term === 0 && sum === 0)) break;
  }
  return below ? 1 - Math.min(1, sum) : Math.min(1, sum);
}
