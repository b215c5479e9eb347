import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';
import { type Material } from '#core/material/material';

/**
 * van Genuchten (1980) water retention with m = 1 − 1/n and an air entry: full up to it, from there on
 * S = S_vg(h)/S_vg(h_e) (Vogel et al., Adv. Water Resour. 24:133 (2001); Ippisch et al., Adv. Water Resour. 29:1780
 * (2006); from memory). θ in fractions of volume, suction in cm of water.
 */
export interface RetentionCurve {
  thetaS: number;
  thetaR: number;
  alphaPerCm: number;
  n: number;
  /** 0 for the curve without one. */
  airEntryCm: number;
}

export interface RetentionPoint {
  suctionCm: number;
  water: number;
}

/** Fits never guess silently: either a curve with its largest miss, or why the data cannot be used. */
export type RetentionFit =
  { outcome: 'fitted'; curve: RetentionCurve; largestMiss: number } | { outcome: 'unusable'; reason: string };

const LN_ALPHA = [Math.log(1e-4), Math.log(2)] as const;
const LN_N1 = [Math.log(0.02), Math.log(20)] as const;

/** Effective saturation at a suction above 0 of the curve without an air entry. */
const withoutEntry = (alphaPerCm: number, n: number, suctionCm: number): number =>
  (1 + (alphaPerCm * suctionCm) ** n) ** (1 / n - 1);

/** Effective saturation at a suction, 0–1. Nothing drains at the air entry or below it. */
function effectiveSaturation(alphaPerCm: number, n: number, suctionCm: number, airEntryCm: number): number {
  if (suctionCm <= 0 || suctionCm <= airEntryCm) return 1;
  const bare = withoutEntry(alphaPerCm, n, suctionCm);
  return airEntryCm > 0 ? bare / withoutEntry(alphaPerCm, n, airEntryCm) : bare;
}

/** Water content at a suction. */
export function waterAt(curve: RetentionCurve, suctionCm: number): number {
  const se = effectiveSaturation(curve.alphaPerCm, curve.n, suctionCm, curve.airEntryCm);
  return curve.thetaR + (curve.thetaS - curve.thetaR) * se;
}

/**
 * Least squares through measured points, with θs = total porosity, 0 ≤ θr ≤ the driest point, α ≤ 2 per cm.
 * θr is linear once α and n are given, so it is solved in closed form and only α and n are searched:
 * a coarse grid first (no start value to get wrong), then damped Gauss–Newton from its best cells.
 * @param points at least two, suctions above 0, water contents from 0 to thetaS that do not rise with suction
 * @param airEntryCm where the first pore empties, at least 0
 */
export function fitRetention(
  points: readonly RetentionPoint[],
  thetaS: number,
  airEntryCm = 0,
): RetentionFit {
  const reason = unusable(points, thetaS, airEntryCm);
  if (reason) return { outcome: 'unusable', reason };
  const ceiling = Math.min(...points.map((p) => p.water));
  const count = points.length;
  // Called some thousand times for one fit, so without lists of its own: effective saturation at the points.
  const se = new Float64Array(count);

  /** Fills `se` and gives the residual water content that fits best with it. */
  const thetaRFor = (alphaPerCm: number, n: number): number => {
    const atEntry = airEntryCm > 0 ? withoutEntry(alphaPerCm, n, airEntryCm) : 1;
    let top = 0;
    let bottom = 0;
    for (let i = 0; i < count; i++) {
      const { suctionCm, water } = points[i]!;
      se[i] = suctionCm <= airEntryCm ? 1 : withoutEntry(alphaPerCm, n, suctionCm) / atEntry;
      const dry = 1 - se[i]!;
      top += dry * (water - thetaS * se[i]!);
      bottom += dry * dry;
    }
    return bottom > 0 ? Math.min(ceiling, Math.max(0, top / bottom)) : 0;
  };
  /** Fills `into` with what the curve misses at the points, and gives the sum of squares. */
  const residuals: Residuals = (lnAlpha, lnN1, into) => {
    const thetaR = thetaRFor(Math.exp(lnAlpha), 1 + Math.exp(lnN1));
    let cost = 0;
    for (let i = 0; i < count; i++) {
      const miss = thetaR + (thetaS - thetaR) * se[i]! - points[i]!.water;
      into[i] = miss;
      cost += miss * miss;
    }
    return cost;
  };

  const misses = new Float64Array(count);
  const starts: Found[] = [];
  const STEPS = 24;
  for (let i = 0; i <= STEPS; i++) {
    const x = LN_ALPHA[0] + ((LN_ALPHA[1] - LN_ALPHA[0]) * i) / STEPS;
    for (let j = 0; j <= STEPS; j++) {
      const y = LN_N1[0] + ((LN_N1[1] - LN_N1[0]) * j) / STEPS;
      starts.push({ x, y, cost: residuals(x, y, misses) });
    }
  }
  starts.sort((a, b) => a.cost - b.cost);
  const best = starts
    .slice(0, 4)
    .map((start) => refine(residuals, start, count))
    .reduce((a, b) => (b.cost < a.cost ? b : a));

  const alphaPerCm = Math.exp(best.x);
  const n = 1 + Math.exp(best.y);
  const thetaR = thetaRFor(alphaPerCm, n);
  residuals(best.x, best.y, misses);
  const largestMiss = Math.max(...misses.map(Math.abs));
  return { outcome: 'fitted', curve: { thetaS, thetaR, alphaPerCm, n, airEntryCm }, largestMiss };
}

function unusable(points: readonly RetentionPoint[], thetaS: number, airEntryCm: number): string | null {
  if (!(airEntryCm >= 0)) return `air entry must be at least 0 cm, was ${airEntryCm}`;
  if (points.length < 2) return `at least 2 points are needed, got ${points.length}`;
  if (!(thetaS > 0 && thetaS <= 1)) return `total porosity must be above 0 and at most 1, was ${thetaS}`;
  const sorted = [...points].sort((a, b) => a.suctionCm - b.suctionCm);
  let wetter = thetaS;
  for (const p of sorted) {
    if (!(p.suctionCm > 0)) return `suction must be above 0 cm, was ${p.suctionCm}`;
    if (!(p.water >= 0 && p.water <= wetter + 1e-9)) {
      return `water at ${p.suctionCm} cm must be from 0 to ${wetter}, was ${p.water}`;
    }
    wetter = p.water;
  }
  return null;
}

/** A place of the search, ln α and ln (n − 1), with its sum of squares. */
interface Found {
  x: number;
  y: number;
  cost: number;
}
type Residuals = (x: number, y: number, into: Float64Array) => number;

function refine(residuals: Residuals, start: Found, count: number): Found {
  let { x, y, cost } = start;
  let damping = 1e-2;
  const H = 1e-6;
  const [r, rx, ry] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let step = 0; step < 200 && cost > 1e-18; step++) {
    residuals(x, y, r);
    residuals(x + H, y, rx);
    residuals(x, y + H, ry);
    let [xx, xy, yy, gx, gy] = [0, 0, 0, 0, 0];
    for (let i = 0; i < count; i++) {
      const [dx, dy] = [(rx[i]! - r[i]!) / H, (ry[i]! - r[i]!) / H];
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
      gx += dx * r[i]!;
      gy += dy * r[i]!;
    }
    const a = xx * (1 + damping) + 1e-15;
    const c = yy * (1 + damping) + 1e-15;
    const det = a * c - xy * xy;
    if (!(Math.abs(det) > 1e-40)) break;
    const nx = clamp(x - (c * gx - xy * gy) / det, LN_ALPHA);
    const ny = clamp(y - (a * gy - xy * gx) / det, LN_N1);
    const next = residuals(nx, ny, r);
    if (next < cost) {
      const gain = (cost - next) / cost;
      [x, y, cost] = [nx, ny, next];
      damping = Math.max(1e-12, damping / 5);
      if (gain < 1e-12) break;
    } else {
      damping *= 4;
      if (damping > 1e12) break;
    }
  }
  return { x, y, cost };
}

const clamp = (value: number, [low, high]: readonly [number, number]): number =>
  Math.min(high, Math.max(low, value));

const curves = new WeakMap<Material, RetentionCurve>();
const heldAt = new WeakMap<Material, Map<number, number>>();

/** Water of a loose material at a suction, remembered: recipes ask for the same few suctions again and again. */
export function waterOf(material: Material, suctionCm: number): number {
  let existing = heldAt.get(material);
  if (!existing) heldAt.set(material, (existing = new Map<number, number>()));
  let water = existing.get(suctionCm);
  if (water === undefined) existing.set(suctionCm, (water = waterAt(retentionOf(material), suctionCm)));
  return water;
}

/**
 * The curve of a material through its three table points (De Boodt & Verdonck's suctions), fitted once per object.
 * @throws RangeError when its points cannot be used
 */
export function retentionOf(material: Material): RetentionCurve {
  const existing = curves.get(material);
  if (existing) return existing;
  const fit = fitRetention(
    [
      { suctionCm: 10, water: material.waterAt10Cm },
      { suctionCm: 50, water: material.waterAt50Cm },
      { suctionCm: 100, water: material.waterAt100Cm },
    ],
    material.totalPorosity,
    material.airEntryCm,
  );
  if (fit.outcome === 'unusable')
    throw new OutOfRange(`${material.id}: water`, fit.reason, allow('allowed.drawn-through', none));
  curves.set(material, fit.curve);
  return fit.curve;
}

/** Gives a material a curve that was not fitted to its own points, as when a typical material is varied. */
export function adoptCurve(material: Material, curve: RetentionCurve): void {
  curves.set(material, curve);
}
