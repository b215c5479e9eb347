import { allow } from '#core/units/allowed';
import { logChoose } from '#core/stats/log-gamma';
import { checkRange, OutOfRange } from '#core/units/check';

/** Two-sided 95 %. */
const Z95 = 1.959963984540054;

/** Interval of a counted share: E. B. Wilson, J. Am. Stat. Assoc. 22:209 (1927). */
export function wilson(hits: number, of: number, z = Z95): { low: number; high: number } {
  checkCount(hits, of);
  const p = hits / of;
  const z2 = (z * z) / of;
  const centre = (p + z2 / 2) / (1 + z2);
  const half = (z * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of))) / (1 + z2);
  return { low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}

/**
 * Fisher's exact test of two counted shares, two-sided: the sum over all tables no likelier than the one seen.
 * @returns p value
 */
export function fisher(hitsA: number, ofA: number, hitsB: number, ofB: number): number {
  checkCount(hitsA, ofA);
  checkCount(hitsB, ofB);
  const hits = hitsA + hitsB;
  const logP = (a: number): number =>
    logChoose(ofA, a) + logChoose(ofB, hits - a) - logChoose(ofA + ofB, hits);
  const seen = logP(hitsA);
  let p = 0;
  for (let a = Math.max(0, hits - ofB); a <= Math.min(ofA, hits); a++) {
    const each = logP(a);
    if (each <= seen + 1e-7) p += Math.exp(each);
  }
  return Math.min(1, p);
}

function checkCount(hits: number, of: number): void {
  checkRange('of', of, 1, 1_000_000);
  if (!Number.isInteger(hits) || hits < 0 || hits > of)
    throw new OutOfRange('hits', hits, allow('allowed.whole', { low: 0, high: of }));
}
