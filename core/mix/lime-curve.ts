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
export function debyeSum(x: number): number {
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

/** Points of the same, so far apart, and its slope there: between them a cubic through both, right to 1e-10. */
const STEP = 0.02;
const POINTS = 600;
let points: Float64Array | null = null;

const slopeOf = (x: number): number => (x === 0 ? 1 : x / Math.expm1(x));

function tabled(): Float64Array {
  points = new Float64Array(2 * POINTS);
  for (let i = 0; i < POINTS; i++) {
    points[2 * i] = debyeSum(i * STEP);
    points[2 * i + 1] = STEP * slopeOf(i * STEP);
  }
  return points;
}

/** The finder asks for it a million times over. @param x at least 0 */
function debye(x: number): number {
  const at = Math.floor(x / STEP);
  if (!(at < POINTS - 1)) return debyeSum(x);
  const all = points ?? tabled();
  const t = x / STEP - at;
  const low = all[2 * at]!;
  const s = t * t * (3 - 2 * t);
  return (
    low + s * (all[2 * at + 2]! - low) + t * (1 - t) * ((1 - t) * all[2 * at + 1]! - t * all[2 * at + 3]!)
  );
}

/** ∫ (b − a pH) / share dpH up to a pH, but for a constant. @param y the pH on the scale of lime */
function limeTo(a: number, b: number, ph: number, y = limeScale(ph)): number {
  const even = (b - CARBONATE_STOPS_PH * a) * y;
  if (a === 0) return even;
  const u = CARBONATE_STOPS_PH - ph;
  return even - a * ((u * u) / 2 + debye(K * u) / (K * K));
}

/**
 * Lime that takes a mix from one pH to another, meq/L: ∫ (b − a pH) / share dpH, for buffers that take b − a pH.
 * @param from, to under 7.5, from at most to
 */
export const limeBetween = (a: number, b: number, from: number, to: number): number =>
  limeTo(a, b, to) - limeTo(a, b, from);

/** pH that so much lime brings a mix to from another, by Newton's method on the scale of lime. @param meqPerL at least 0 */
export function limedFrom(a: number, b: number, from: number, meqPerL: number): number {
  if (from >= CARBONATE_STOPS_PH || meqPerL <= 0) return from;
  const start = limeScale(from);
  let y = start + meqPerL / (b - a * from);
  if (a === 0) return Math.max(from, phOfLimeScale(y));
  const before = limeTo(a, b, from, start);
  for (let i = 0; i < 8; i++) {
    // So near to the end that no digit is left: nothing dissolves any more.
    const ph = Math.min(phOfLimeScale(y), CARBONATE_STOPS_PH - 1e-12);
    const step = (limeTo(a, b, ph, y) - before - meqPerL) / (b - a * ph);
    y = Math.max(start, y - step);
    if (Math.abs(step) < 1e-9) break;
  }
  return Math.max(from, phOfLimeScale(y));
}
