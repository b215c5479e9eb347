import { type Aims, isMet, penalty, type ScoredId, scoredIds } from '#core/finder/aims';
import { type Blend, starterDoseGPerL } from '#core/finder/starter';
import { MOST_EARTHY_SHARE } from '#core/judge/windows';
import { isEarthy } from '#core/material/families';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { waterOf } from '#core/material/retention';
import { MOST_COMPACTION } from '#core/mix/composition';
import { limeDoseGPerL, limedMeqPerL, phAfter, type Dose } from '#core/mix/ph';
import { elementsOfDoses } from '#core/mix/salts';
import { packingTable, shrinkageOf } from '#core/mix/packing';
import { columnOf, retentionProfile } from '#core/mix/water-air';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';
import { type Vessel } from '#core/vessel/vessel';

export const MOST_ON_SHELF = limits.finderMaterials[1];

/** A material on the shelf, with its price where it is known. */
export interface Shelved {
  material: Material;
  /** Per litre, loose, any currency. */
  costPerL?: number;
  /** Wanted gone: recipes gain by using it. */
  useUp?: boolean;
}

/** What else counts besides the windows; 0 where it does not. Each is about 1 at its worst. */
export interface Preferences {
  price: number;
  peat: number;
  weight: number;
  ingredients: number;
  useUp: number;
  /** Easily available water: 0 from the low end of De Boodt & Verdonck's ideal on, 1 where there is none. */
  water: number;
}
export const noPreferences: Preferences = {
  price: 0,
  peat: 0,
  weight: 0,
  ingredients: 0,
  useUp: 0,
  water: 0,
};

/** Ideal easily available water is 20–30 % by volume: De Boodt & Verdonck, Acta Hort. 26:37 (1972) (from memory). */
export const ENOUGH_EASY_WATER = 0.2;

export interface FastEvaluationSpec {
  vessel: Vessel;
  compaction: number;
  shelved: readonly Shelved[];
  aims: Aims;
  preferences: Preferences;
  /** Dosed to the middle of the pH window; null for none. */
  lime: Amendment | null;
  starter: Blend | null;
  /** Doses that are given, whatever the parts: traces, gypsum. */
  fixedDoses: readonly Dose[];
}

/** What the last call of `look` found. One object, written again each time. */
export interface Looked {
  score: number;
  /** Bit r is set where the r-th scored reading meets its window. */
  met: number;
  /** By index in `scored`; percent, pH, mS/cm, mg/L, mm as the readings are. */
  values: Float64Array;
  /** What each adds to the score. */
  penalties: Float64Array;
  limeGPerL: number;
  starterGPerL: number;
  costPerL: number;
}

/**
 * A shelf, made ready so that a recipe of it is computed without allocation. Gives the same numbers as evaluateMix
 * and readingsOf, to rounding; the one-pass water sum is exact because water falls with height, so there is one
 * height below which the pores are full.
 */
export class FastEvaluation {
  readonly size: number;
  /** Which readings are scored, in order. */
  readonly scored: readonly ScoredId[];
  readonly looked: Looked;
  private readonly packing;
  private readonly solidsScratch;
  private readonly heights: number;
  /** θ by material and height; sums of weight × θ from a height up; sums of weight below a height. */
  private readonly theta: Float64Array[];
  private readonly waterAbove: Float64Array[];
  private readonly weightBelow: Float64Array;
  private readonly solid: Float64Array;
  private readonly density: Float64Array;
  private readonly buffer: Float64Array;
  private readonly ph: Float64Array;
  private readonly salts: Float64Array;
  private readonly n: Float64Array;
  private readonly cohesion: Float64Array;
  private readonly largest: Float64Array;
  private readonly water10: Float64Array;
  private readonly water50: Float64Array;
  private readonly earthy: Float64Array;
  private readonly peat: Float64Array;
  private readonly cost: Float64Array;
  private readonly useUp: Float64Array;
  private readonly referenceCost: number;
  private readonly pricedWhole: boolean;
  private readonly fixed: { meq: number; n: number; salts: number };
  private readonly limeStrength: number;
  private readonly limeN: number;

  /** @throws RangeError for an empty or too long shelf, or a number out of range */
  constructor(readonly spec: FastEvaluationSpec) {
    const { shelved, lime, fixedDoses } = spec;
    if (shelved.length < 1 || shelved.length > MOST_ON_SHELF)
      throw new OutOfRange('materials', shelved.length, `1 to ${MOST_ON_SHELF} materials`);
    checkRange('compaction', spec.compaction, 0, MOST_COMPACTION);
    for (const [name, value] of Object.entries(spec.preferences))
      checkRange(`preferences.${name}`, value as number, 0, 100);
    this.size = shelved.length;
    this.scored = scoredIds.filter((id) => spec.aims[id] !== undefined);
    const column = columnOf(spec.vessel);
    this.heights = column.heightsMm.length;
    const of = (read: (m: Material) => number): Float64Array =>
      Float64Array.from(shelved, (s) => read(s.material));
    this.packing = packingTable(shelved.map((s) => s.material));
    this.solidsScratch = new Float64Array(this.size);
    this.theta = shelved.map((s) => retentionProfile(s.material, column));
    this.waterAbove = this.theta.map((profile) => {
      const sums = new Float64Array(this.heights + 1);
      for (let k = this.heights - 1; k >= 0; k--) sums[k] = sums[k + 1]! + column.weights[k]! * profile[k]!;
      return sums;
    });
    this.weightBelow = new Float64Array(this.heights + 1);
    for (let k = 0; k < this.heights; k++)
      this.weightBelow[k + 1] = this.weightBelow[k]! + column.weights[k]!;
    this.solid = of((m) => 1 - m.totalPorosity);
    this.density = of((m) => m.dryBulkDensityGPerL);
    this.buffer = of((m) => m.bufferMeqPerLPerPh);
    this.ph = of((m) => m.ph);
    this.salts = of((m) => m.saltsMeqPerL);
    this.n = of((m) => m.availableNMgPerL);
    this.cohesion = of((m) => m.cohesion);
    this.largest = of((m) => m.maxParticleMm);
    this.water10 = of((m) => waterOf(m, 10));
    this.water50 = of((m) => waterOf(m, 50));
    this.earthy = of((m) => (isEarthy(m) ? 1 : 0));
    this.peat = of((m) => (m.peatFree ? 0 : 1));
    this.cost = Float64Array.from(shelved, (s) =>
      checkRange('costPerL', s.costPerL ?? 0, ...limits.pricePerUnit),
    );
    this.useUp = Float64Array.from(shelved, (s) => (s.useUp ? 1 : 0));
    this.pricedWhole = shelved.every((s) => s.costPerL !== undefined);
    this.referenceCost = Math.max(...this.cost) || 1;
    this.fixed = {
      meq: limedMeqPerL(fixedDoses),
      n: elementsOfDoses(fixedDoses).n,
      salts: fixedDoses.reduce((sum, d) => sum + d.gPerL * d.amendment.solubleSaltsMeqPerG, 0),
    };
    this.limeStrength = lime ? neutralisingMeqPerG(lime) : 0;
    if (lime && !(this.limeStrength > 0))
      throw new OutOfRange('lime', lime.id, 'a product that neutralises acid');
    this.limeN = lime ? elementsOfDoses([{ amendment: lime, gPerL: 1 }]).n : 0;
    this.looked = {
      score: 0,
      met: 0,
      values: new Float64Array(this.scored.length),
      penalties: new Float64Array(this.scored.length),
      limeGPerL: 0,
      starterGPerL: 0,
      costPerL: 0,
    };
  }

  /**
   * What the preferences alone add to a score, or less. Windows never take away, so a recipe whose preferences are
   * worse than a whole score already kept cannot enter: that is the one bound by which the search leaves work out.
   */
  leastScore(members: ArrayLike<number>, parts: ArrayLike<number>): number {
    const { preferences: p, aims } = this.spec;
    let total = 0;
    let [peat, gone, largest] = [0, 0, 0];
    for (let i = 0; i < members.length; i++) {
      const at = members[i]!;
      total += parts[i]!;
      peat += parts[i]! * this.peat[at]!;
      gone += parts[i]! * this.useUp[at]!;
      if (this.largest[at]! > largest) largest = this.largest[at]!;
    }
    const piece = aims.largestParticle;
    return (
      (p.peat * peat) / total +
      p.useUp * (1 - gone / total) +
      p.ingredients * (members.length - 1) * 0.1 +
      (piece ? penalty(largest, piece) : 0)
    );
  }

  /**
   * Computes and scores one recipe into `looked`.
   * @param members indices on the shelf, ascending, each once
   * @param parts of each member, above 0
   * @returns false when firming would leave no pores
   */
  look(members: ArrayLike<number>, parts: ArrayLike<number>): boolean {
    const { spec, looked } = this;
    const m = members.length;
    const shrinkage = shrinkageOf(this.packing, members, parts, this.solidsScratch);
    const d = 1 / ((1 - shrinkage) * (1 - spec.compaction));
    let total = 0;
    for (let i = 0; i < m; i++) total += parts[i]!;
    let [solid, buffer, acid, ph, salts, n] = [0, 0, 0, 0, 0, 0];
    let [cohesion, largest, w10, w50, earthy, peat] = [0, 0, 0, 0, 0, 0];
    let [cost, gone, density] = [0, 0, 0];
    for (let i = 0; i < m; i++) {
      const at = members[i]!;
      const f = parts[i]! / total;
      solid += f * this.solid[at]!;
      buffer += f * this.buffer[at]!;
      acid += f * this.buffer[at]! * this.ph[at]!;
      ph += f * this.ph[at]!;
      salts += f * this.salts[at]!;
      n += f * this.n[at]!;
      cohesion += f * this.cohesion[at]!;
      if (this.largest[at]! > largest) largest = this.largest[at]!;
      w10 += f * this.water10[at]!;
      w50 += f * this.water50[at]!;
      earthy += f * this.earthy[at]!;
      peat += f * this.peat[at]!;
      cost += f * this.cost[at]!;
      gone += f * this.useUp[at]!;
      density += f * this.density[at]!;
    }
    const pores = 1 - d * solid;
    if (pores <= 0.02) return false;

    const water = this.drainedWater(members, parts, total, d, pores);
    const air = Math.max(0, pores - water);
    const easy = Math.min(pores, d * w10) - Math.min(pores, d * w50);

    const phAim = earthy > MOST_EARTHY_SHARE ? spec.aims.phEarthy : spec.aims.ph;
    acidityScratch.bufferMeqPerLPerPh = d * buffer;
    acidityScratch.phBeforeLime = buffer > 0 ? acid / buffer : ph;
    const limeGPerL = spec.lime
      ? limeDoseGPerL(acidityScratch, spec.lime, (phAim.low + phAim.high) / 2, this.fixed.meq)
      : 0;
    const finalPh = phAfter(acidityScratch, this.fixed.meq + limeGPerL * this.limeStrength);

    const n0 = d * n + this.fixed.n + limeGPerL * this.limeN;
    const salts0 = d * salts + this.fixed.salts + limeGPerL * (spec.lime ? spec.lime.solubleSaltsMeqPerG : 0);
    const { starter } = spec;
    const ecAim = spec.aims.ecSaturated;
    const nAim = spec.aims.n;
    const starterGPerL =
      starter && ecAim && nAim
        ? starterDoseGPerL(
            n0,
            starter.nMgPerG,
            salts0 / pores / 10,
            starter.saltsMeqPerG / pores / 10,
            nAim,
            ecAim,
          )
        : 0;

    const costPerL = d * cost;
    const { values } = looked;
    let score =
      spec.preferences.price * (costPerL / this.referenceCost) +
      spec.preferences.peat * peat +
      spec.preferences.weight * ((d * density + 1000 * water) / 1500) +
      spec.preferences.ingredients * (m - 1) * 0.1 +
      spec.preferences.useUp * (1 - gone) +
      spec.preferences.water * Math.max(0, 1 - easy / ENOUGH_EASY_WATER);
    let met = 0;
    for (let r = 0; r < this.scored.length; r++) {
      const id = this.scored[r]!;
      let value: number;
      switch (id) {
        case 'air':
          value = air * 100;
          break;
        case 'airAfterDrydown':
          value = Math.min(pores, air + easy / 2) * 100;
          break;
        case 'cohesion':
          value = cohesion;
          break;
        case 'ph':
          value = finalPh;
          break;
        case 'ecSaturated':
          value = (salts0 + starterGPerL * (starter ? starter.saltsMeqPerG : 0)) / pores / 10;
          break;
        case 'n':
          value = n0 + starterGPerL * (starter ? starter.nMgPerG : 0);
          break;
        case 'largestParticle':
          value = largest;
          break;
        case 'easilyAvailableWater':
          value = easy * 100;
          break;
      }
      values[r] = value;
      const aim = id === 'ph' ? phAim : spec.aims[id]!;
      const off = penalty(value, aim);
      looked.penalties[r] = off;
      score += off;
      if (isMet(value, aim)) met |= 1 << r;
    }
    looked.score = score;
    looked.met = met;
    looked.limeGPerL = limeGPerL;
    looked.starterGPerL = starterGPerL;
    looked.costPerL = this.pricedWhole ? costPerL : NaN;
    return true;
  }

  /** Every recipe of these materials meets every scored window where `met` equals this. */
  get allMet(): number {
    return (1 << this.scored.length) - 1;
  }

  /** Doses that go with the recipe looked at last. */
  dosesLooked(): Dose[] {
    const { lime, starter, fixedDoses } = this.spec;
    const { limeGPerL, starterGPerL } = this.looked;
    return [
      ...fixedDoses,
      ...(starter?.products ?? []).map((p) => ({ amendment: p.amendment, gPerL: p.share * starterGPerL })),
      ...(lime ? [{ amendment: lime, gPerL: limeGPerL }] : []),
    ].filter((dose) => dose.gPerL > 0);
  }

  /** Mean of min(pores, D Σ f θ) over the vessel: full below the height where the sum first falls under the pores. */
  private drainedWater(
    members: ArrayLike<number>,
    parts: ArrayLike<number>,
    total: number,
    d: number,
    pores: number,
  ): number {
    const m = members.length;
    const scale = d / total;
    let low = 0;
    let high = this.heights;
    while (low < high) {
      const middle = (low + high) >> 1;
      let held = 0;
      for (let i = 0; i < m; i++) held += parts[i]! * this.theta[members[i]!]![middle]!;
      if (held * scale < pores) high = middle;
      else low = middle + 1;
    }
    let above = 0;
    for (let i = 0; i < m; i++) above += parts[i]! * this.waterAbove[members[i]!]![low]!;
    return pores * this.weightBelow[low]! + scale * above;
  }
}

const acidityScratch = { bufferMeqPerLPerPh: 0, phBeforeLime: 0 };
