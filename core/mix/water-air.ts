import { type Material } from '#core/material/material';
import { retentionOf, waterAt, waterOf, type RetentionCurve } from '#core/material/retention';
import { FIRMING_EXPONENT, meanByShare, type Composition } from '#core/mix/composition';
import { checkRange } from '#core/units/check';
import { areaAtMm2, fillDepthMm, volumeL, type Vessel } from '#core/vessel/vessel';

/** A vessel cut into heights at which water is reckoned: weights are shares of its volume and sum to 1. */
export interface Column {
  vessel: Vessel;
  volumeL: number;
  heightsMm: Float64Array;
  weights: Float64Array;
}

/** Gauss–Legendre, 4 points on [0, 1]; Abramowitz & Stegun table 25.4. */
const GAUSS = [
  [0.069431844202974, 0.173927422568727],
  [0.330009478207572, 0.326072577431273],
  [0.669990521792428, 0.326072577431273],
  [0.930568155797026, 0.173927422568727],
] as const;
const PANELS = 10;

const columns = new WeakMap<Vessel, Column>();

/** Prepared once per vessel object: forty heights, crowded nowhere, exact for polynomials of degree 7 per panel. */
export function columnOf(vessel: Vessel): Column {
  const existing = columns.get(vessel);
  if (existing) return existing;
  const depth = fillDepthMm(vessel);
  const volume = volumeL(vessel);
  const heightsMm = new Float64Array(PANELS * GAUSS.length);
  const weights = new Float64Array(PANELS * GAUSS.length);
  for (let panel = 0; panel < PANELS; panel++) {
    GAUSS.forEach(([at, weight], g) => {
      const k = panel * GAUSS.length + g;
      heightsMm[k] = (depth * (panel + at)) / PANELS;
      weights[k] = (areaAtMm2(vessel, heightsMm[k]) * weight * depth) / PANELS / 1e6 / volume;
    });
  }
  const column = { vessel, volumeL: volume, heightsMm, weights };
  columns.set(vessel, column);
  return column;
}

/** What a suction on a firmed mix would have been on the same mix unfirmed, as a share of it. */
export const looseSuction = (firmedDensification: number, exponent = FIRMING_EXPONENT): number =>
  firmedDensification ** -exponent;

const profiles = new WeakMap<Column, Map<number, WeakMap<Material, Float64Array>>>();

/**
 * Water content of a loose material at each height of a drained column.
 * @param suctionScale of the suction in cm (= height in cm above a free base): below 1 where the mix is firmed
 */
export function retentionProfile(
  material: Material,
  column: Column,
  bedSuctionCm = 0,
  suctionScale = 1,
): Float64Array {
  // Beds are asked for one recipe at a time; only the free base is remembered.
  if (bedSuctionCm > 0) return profileOf(retentionOf(material), column, bedSuctionCm, suctionScale);
  let byScale = profiles.get(column);
  if (!byScale) profiles.set(column, (byScale = new Map<number, WeakMap<Material, Float64Array>>()));
  let byMaterial = byScale.get(suctionScale);
  if (!byMaterial) {
    // Firmings that are only drawn once are not worth remembering.
    if (byScale.size > MOST_SCALES) byScale.clear();
    byScale.set(suctionScale, (byMaterial = new WeakMap()));
  }
  let profile = byMaterial.get(material);
  if (!profile)
    byMaterial.set(material, (profile = profileOf(retentionOf(material), column, 0, suctionScale)));
  return profile;
}
const MOST_SCALES = 40;

const profileOf = (
  curve: RetentionCurve,
  column: Column,
  bedSuctionCm: number,
  suctionScale: number,
): Float64Array => column.heightsMm.map((mm) => waterAt(curve, (mm / 10 + bedSuctionCm) * suctionScale));

/** How firming turns the water of the mixed, unfirmed heap into that of the finished mix; see `pressed`. */
export interface Pressing {
  /** Pores of the unfirmed mix and of the finished one. */
  loosePores: number;
  pores: number;
  /** Water of the unfirmed mix that no suction takes: (TP₀/Φ) Σ f θ_r. */
  residual: number;
  /** D_c. */
  firmed: number;
}

export function pressingOf(composition: Composition): Pressing {
  const { firmedDensification: firmed, totalPorosity: pores } = composition;
  return {
    loosePores: 1 - (1 - pores) / firmed,
    pores,
    residual: composition.heldShare * meanByShare(composition, (m) => retentionOf(m).thetaR),
    firmed,
  };
}

/**
 * θ = D_c g_r + (TP − D_c g_r)(g − g_r)/(TP₀ − g_r), never over TP; without firming θ = g.
 * @param g water of the unfirmed mix at the suction that the pressed pores amount to
 */
export function pressed({ loosePores, pores, residual, firmed }: Pressing, g: number): number {
  if (firmed === 1) return Math.min(pores, g);
  const held = Math.min(loosePores, g);
  const bound = Math.min(pores, firmed * residual);
  const free = loosePores - residual;
  return free > 1e-9
    ? Math.min(pores, bound + ((pores - bound) * Math.max(0, held - residual)) / free)
    : pores;
}

/** Water held by the mix at one suction, as a fraction of volume: never more than its pores. */
export function waterHeld(composition: Composition, suctionCm: number): number {
  const loose = suctionCm * looseSuction(composition.firmedDensification, composition.firmingExponent);
  let sum = 0;
  composition.parts.forEach((p, i) => {
    sum += composition.shares[i]! * waterOf(p.material, loose);
  });
  return pressed(pressingOf(composition), composition.heldShare * sum);
}

export interface Drained {
  /** Mean over the vessel at container capacity. */
  water: number;
  air: number;
  /** By height, at `column.heightsMm`. */
  waterProfile: Float64Array;
}

/**
 * Water and air in the vessel after saturation and free drainage to a base at zero suction:
 * θ_cc = (1/V) ∫ A(z) θ(z) dz, θ(z) = min(TP₀, (TP₀/Φ) Σ f_i θ_i(z)), firmed as `pressed` says. Same idea as Fonteno, Acta Hort. 238:67 (1989).
 * @param bedSuctionCm pull of a sand bed or mat below the base, cm of water, 0–100; 0 for a free base
 */
export function drain(composition: Composition, column: Column, bedSuctionCm = 0): Drained {
  checkRange('bedSuctionCm', bedSuctionCm, 0, 100);
  const n = column.heightsMm.length;
  const waterProfile = new Float64Array(n);
  const suctionScale = looseSuction(composition.firmedDensification, composition.firmingExponent);
  const pressing = pressingOf(composition);
  composition.parts.forEach((p, i) => {
    const profile = retentionProfile(p.material, column, bedSuctionCm, suctionScale);
    const share = composition.heldShare * composition.shares[i]!;
    for (let k = 0; k < n; k++) waterProfile[k]! += share * profile[k]!;
  });
  let water = 0;
  for (let k = 0; k < n; k++) {
    waterProfile[k] = pressed(pressing, waterProfile[k]!);
    water += column.weights[k]! * waterProfile[k]!;
  }
  return { water, air: Math.max(0, composition.totalPorosity - water), waterProfile };
}

/** Height above the base, mm, below which air is under 1 % of the volume: the soaked foot. */
export function soakedFootMm(composition: Composition, column: Column, drained: Drained): number {
  let foot = 0;
  for (let k = 0; k < column.heightsMm.length; k++) {
    if (composition.totalPorosity - drained.waterProfile[k]! >= 0.01) break;
    foot = column.heightsMm[k]!;
  }
  return foot;
}

/** Solids, water and air at a height above the base, fractions of volume; between reckoned heights on a straight line. */
export function phasesAt(
  composition: Composition,
  column: Column,
  drained: Drained,
  zMm: number,
): { solid: number; water: number; air: number } {
  const { heightsMm } = column;
  let k = 1;
  while (k < heightsMm.length - 1 && heightsMm[k]! < zMm) k++;
  const t = (zMm - heightsMm[k - 1]!) / (heightsMm[k]! - heightsMm[k - 1]!);
  const [low, high] = [drained.waterProfile[k - 1]!, drained.waterProfile[k]!];
  const water = Math.min(composition.totalPorosity, Math.max(0, low + (high - low) * t));
  return { solid: 1 - composition.totalPorosity, water, air: composition.totalPorosity - water };
}
