/** FNV-1a, so that every property of every material has a stream of its own. */
export function streamOf(key: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < key.length; i++) hash = Math.imul(hash ^ key.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** Uniform in (0, 1): a counter-based generator, so that draw n of a stream is the same in every recipe. */
export function uniformAt(seed: number, stream: number, draw: number): number {
  let h = (seed ^ stream) >>> 0;
  h = Math.imul(h ^ (draw + 0x9e3779b9), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 16) ^ Math.imul(draw, 0x27d4eb2f), 0x165667b1);
  h ^= h >>> 15;
  h = Math.imul(h, 0x2c1b3c6d);
  h ^= h >>> 12;
  return ((h >>> 0) + 0.5) / 4294967296;
}

/** Share of a standard normal below x; Abramowitz & Stegun 26.2.17, within 7.5e-8 (from memory). */
export function normalCdf(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const upper = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return x < 0 ? upper : 1 - upper;
}

/** Standard normal by inverting the distribution: P. J. Acklam's rational approximation, relative error below 1.2e-9 (from memory). */
export function normalQuantile(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ];
  const b = [
    -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572,
  ];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const poly = (k: readonly number[], x: number): number => k.reduce((sum, each) => sum * x + each, 0);
  const LOW = 0.02425;
  if (p < LOW) {
    const q = Math.sqrt(-2 * Math.log(p));
    return poly(c, q) / (poly(d, q) * q + 1);
  }
  if (p > 1 - LOW) return -normalQuantile(1 - p);
  const q = p - 0.5;
  const r = q * q;
  return (poly(a, r) * q) / (poly(b, r) * r + 1);
}

export const normalAt = (seed: number, stream: number, draw: number): number =>
  normalQuantile(uniformAt(seed, stream, draw));
