/**
 * How lime acts: of each bit of carbonate the share 1 − 10^(−0.5 (7.5 − pH)) does, since a mix that breathes holds about
 * 1 % CO₂ in its air and carbonate stops near pH 7.5 (calcite at pCO₂ 10⁻², from memory). Model section 23.
 */

/** Carbonate brings a mix near this and never to it. */
export const CARBONATE_STOPS_PH = 7.5;
/** No dose of lime brings a mix soundly over this. */
export const HIGHEST_SOUND_PH = 6.8;
const K = 0.5 * Math.LN10;

/** Share of a bit of lime that acts at a pH, 0–1. @example shareActing(5.5) // 0.9 */
export const shareActing = (ph: number): number =>
  ph >= CARBONATE_STOPS_PH ? 0 : 1 - Math.exp(-K * (CARBONATE_STOPS_PH - ph));

/**
 * pH on a scale on which lime lifts a mix of one buffer by equal steps, ∫ dpH / share: dose = buffer × the difference.
 * @param ph under 7.5
 */
export const limeScale = (ph: number): number => -Math.log(Math.expm1(K * (CARBONATE_STOPS_PH - ph))) / K;

/** And back. */
export const phOfLimeScale = (y: number): number => CARBONATE_STOPS_PH - Math.log1p(Math.exp(-K * y)) / K;

/** ∫₀ˣ t/(eᵗ − 1) dt, the first Debye function times x; Abramowitz & Stegun 27.1. */
function debye(x: number): number {
  if (x < 2) {
    const q = x * x;
    return (
      x * (1 - x / 4 + q * (1 / 36 - q * (1 / 3600 - q * (1 / 211680 - q * (1 / 10886400 - q / 526901760)))))
    );
  }
  let sum = (Math.PI * Math.PI) / 6;
  const q = Math.exp(-x);
  for (let n = 1, power = q; n * x < 30; n++, power *= q) sum -= power * (x / n + 1 / (n * n));
  return sum;
}

/**
 * Lime that takes a mix from one pH to another, meq/L: ∫ (b − a pH) / share dpH, for buffers that take b − a pH.
 * @param from, to under 7.5, from at most to
 */
export function limeBetween(a: number, b: number, from: number, to: number): number {
  const even = (b - CARBONATE_STOPS_PH * a) * (limeScale(to) - limeScale(from));
  if (a === 0) return even;
  const [u0, u1] = [CARBONATE_STOPS_PH - from, CARBONATE_STOPS_PH - to];
  return even + a * ((u0 * u0 - u1 * u1) / 2 + (debye(K * u0) - debye(K * u1)) / (K * K));
}

/** pH that so much lime brings a mix to from another, by Newton's method on the scale of lime. @param meqPerL at least 0 */
export function limedFrom(a: number, b: number, from: number, meqPerL: number): number {
  if (from >= CARBONATE_STOPS_PH || meqPerL <= 0) return from;
  const start = limeScale(from);
  let y = start + meqPerL / (b - a * from);
  if (a === 0) return Math.max(from, phOfLimeScale(y));
  for (let i = 0; i < 8; i++) {
    // So near to the end that no digit is left: nothing dissolves any more.
    const ph = Math.min(phOfLimeScale(y), CARBONATE_STOPS_PH - 1e-12);
    const step = (limeBetween(a, b, from, ph) - meqPerL) / (b - a * ph);
    y = Math.max(start, y - step);
    if (Math.abs(step) < 1e-10) break;
  }
  return Math.max(from, phOfLimeScale(y));
}
