import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import {
  type Aim,
  isMetWithin,
  penalty,
  penaltyWithin,
  type ScoredId,
  scoredIds,
  stepped,
} from '#core/finder/aims';
import { starterDoseGPerL } from '#core/finder/starter';
import { grittyMoves, grittySlope, isPhByWater, PH_BY_WATER, phHighAt, phLowAt } from '#core/mix/windows';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { MOST_COMPACTION } from '#core/mix/composition';
import {
  acidityOf,
  limeDoseGPerL,
  linearAcidity,
  phAfter,
  type Dose,
  type AgainstAcid,
  givenBy,
} from '#core/mix/ph';
import { pressed, type Pressing } from '#core/mix/water-air';
import { dosedSaltsMeqPerL, elementsOfDoses, MOST_HARMLESS_EC, sparing } from '#core/mix/salts';
import { shrinkageOf } from '#core/mix/packing';
import { checkRange, OutOfRange } from '#core/units/check';
import { meansOf, noMeans } from '#core/finder/fast-means';
import { FastTable } from '#core/finder/fast-table';
import { type Unusual, UsualShares } from '#core/finder/usual-shares';
import {
  ENOUGH_EASY_WATER,
  type FastEvaluationSpec,
  type LookedRecipe,
  wishNames,
} from '#core/finder/fast-spec';

/**
 * A shelf, made ready so that a recipe of it is computed without allocation. Gives the same numbers as evaluateMix
 * and readingsOf, to rounding; the one-pass water sum is exact because water falls with height, so there is one
 * height below which the pores are full.
 */
export class FastEvaluation {
  readonly size: number;
  /** Which readings are scored, in order. */
  readonly scored: readonly ScoredId[];
  readonly looked: LookedRecipe;
  /** Windows of what is scored, all of one shape. */
  private readonly aims: readonly Aim[];
  private readonly table: FastTable;
  private readonly solidsScratch: Float64Array;
  private readonly referenceCost: number;
  private readonly pricedWhole: boolean;
  private readonly fixed: { given: AgainstAcid; n: number; salts: number };
  /** Whether something is given that dissolves only in part. */
  private readonly gypsum: boolean;
  private readonly limeStrength: number;
  private readonly limeN: number;
  private readonly usual: UsualShares | null;
  private readonly means = noMeans();
  /** Where the windows of the recipe looked at end, and whether pH slides. */
  private readonly slide = { ph: false, phLow: 0, phHigh: 0, airLow: 0, ecHigh: 0, nHigh: 0 };
  /** How far loam, sand and grit move ends at most; null where nothing slides. */
  private readonly moves: { air: number; ph: number; ec: number; n: number } | null;
  /** Every reading of the recipe looked at, scored or not. */
  private readonly read = Object.fromEntries(scoredIds.map((id) => [id, 0.1])) as Record<ScoredId, number>;

  /** @throws RangeError for an empty or too long shelf, or a number out of range */
  constructor(readonly spec: FastEvaluationSpec) {
    const { shelved, lime, fixedDoses } = spec;
    checkRange('compaction', spec.compaction, 0, MOST_COMPACTION);
    this.table = new FastTable(shelved, spec.vessel, spec.compaction);
    for (const [name, value] of Object.entries(spec.preferences))
      checkRange(`preferences.${name}`, value as number, 0, 100);
    this.size = shelved.length;
    this.scored = scoredIds.filter((id) => spec.aims[id] !== undefined);
    this.aims = this.scored.map((id) => {
      const { low, high, kind, room = 0, roomIsShare = false, soft } = spec.aims[id]!;
      return { low, high, kind, room, roomIsShare, soft };
    });
    this.solidsScratch = new Float64Array(this.size);
    this.pricedWhole = shelved.every((s) => s.costPerL !== undefined);
    this.referenceCost = Math.max(...this.table.cost) || 1;
    this.fixed = {
      given: givenBy(fixedDoses),
      n: elementsOfDoses(fixedDoses).n,
      salts: dosedSaltsMeqPerL(fixedDoses),
    };
    this.gypsum = fixedDoses.some((dose) => dose.amendment.solubilityGPerL > 0);
    this.limeStrength = lime ? neutralisingMeqPerG(lime) : 0;
    if (lime && !(this.limeStrength > 0))
      throw new OutOfRange('lime', lime.id, allow('allowed.neutralises-acid', none));
    this.limeN = lime ? elementsOfDoses([{ amendment: lime, gPerL: 1 }]).n : 0;
    this.usual =
      spec.usual &&
      new UsualShares(
        spec.usual.stage,
        spec.vessel,
        shelved.map((s) => s.material),
        spec.usual.habits,
      );
    const { slides } = spec.aims;
    this.slide.ph = slides?.ids.includes('ph') ?? false;
    const moves = slides && grittyMoves(slides.stage);
    this.moves = moves && {
      air: slides.ids.includes('air') ? moves.airLow : 0,
      ph: moves.phLow,
      ec: slides.ids.includes('ecSaturated') ? moves.ecHigh : 0,
      n: slides.ids.includes('n') ? moves.nHigh : 0,
    };
    this.looked = {
      score: 0,
      unusual: 0,
      wishes: new Float64Array(wishNames.length),
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
  leastScore(members: ArrayLike<number>, parts: ArrayLike<number>, unusual: number): number {
    const { table } = this;
    const { preferences: p, aims } = this.spec;
    let total = 0;
    let [peat, gone, overSize] = [0, 0, 0];
    for (let i = 0; i < members.length; i++) {
      const at = members[i]!;
      total += parts[i]!;
      peat += parts[i]! * table.peat[at]!;
      gone += parts[i]! * table.useUp[at]!;
      overSize += parts[i]! * table.overSize[at]!;
    }
    const piece = aims.overSize;
    return (
      (p.peat * peat) / total +
      p.useUp * (1 - gone / total) +
      p.ingredients * (members.length - 1) * 0.1 +
      this.farCost(members, parts, total) +
      unusual +
      this.rounded(piece ? penalty(overSize / total, piece) : 0)
    );
  }

  /** What a recipe's habits add to its score: 0 where nothing is unusual or nobody asks. */
  unusualCost(members: ArrayLike<number>, parts: ArrayLike<number>): number {
    if (!this.usual) return 0;
    let total = 0;
    for (let i = 0; i < members.length; i++) total += parts[i]!;
    return this.usual.cost(members, parts, total);
  }

  /** What it costs to leave the recipe that is to be kept near to: as much as is not the same in both. */
  private farCost(members: ArrayLike<number>, parts: ArrayLike<number>, total: number): number {
    const { nearTo, preferences } = this.spec;
    if (!nearTo || preferences.near === 0) return 0;
    let same = 0;
    for (let i = 0; i < members.length; i++) same += Math.min(parts[i]! / total, nearTo[members[i]!]!);
    return preferences.near * (1 - same);
  }

  /** Where a recipe is chosen for itself small differences count for nothing; where it is to be like another, they do. */
  private rounded(windows: number): number {
    return this.usual ? stepped(windows) : windows;
  }

  /**
   * Computes and scores one recipe into `looked`.
   * @param members indices on the shelf, ascending, each once
   * @param parts of each member, above 0
   * @param unusual what its habits add, where that is known already
   * @returns false when firming would leave no pores
   */
  look(
    members: ArrayLike<number>,
    parts: ArrayLike<number>,
    unusual = this.unusualCost(members, parts),
  ): boolean {
    const { spec, looked, table } = this;
    const shrinkage = shrinkageOf(table.packing, members, parts, this.solidsScratch);
    const mixed = 1 / (1 - shrinkage);
    const firmed = 1 / (1 - spec.compaction);
    const d = mixed * firmed;
    const mean = meansOf(table, members, parts, this.means);
    const { total, solid } = mean;
    const pores = 1 - d * solid;
    if (pores <= 0.02) return false;

    pressing.pores = pores;
    pressing.loosePores = 1 - mixed * solid;
    const held = pressing.loosePores / (1 - solid);
    pressing.residual = held * mean.residual;
    pressing.firmed = firmed;
    const water = table.drainedWater(members, parts, total, held, pressing);
    const air = Math.max(0, pores - water);
    const easy = pressed(pressing, held * mean.w10) - pressed(pressing, held * mean.w50);

    const { ph: phAim } = spec.aims;
    const { slide, moves } = this;
    acidityOf(mean, d, acidityScratch);
    const byWater = slide.ph && isPhByWater(acidityScratch);
    const gritty = moves ? grittySlope(mean.gritty) : 0;
    const phLow = slide.ph ? phLowAt(phAim.low + gritty * (moves?.ph ?? 0), mean.earthy) : phAim.low;
    const phHigh = slide.ph ? phHighAt(phAim.high, mean.earthy, mean.coir) : phAim.high;
    const { given } = this.fixed;
    const target = (phLow + phHigh) / 2;
    const limeGPerL = spec.lime && !byWater ? limeDoseGPerL(acidityScratch, spec.lime, target, given) : 0;
    // Dosed to a pH it comes to that pH.
    const finalPh = limeGPerL > 0 ? target : phAfter(acidityScratch, given);

    const n0 = d * (mean.n - mean.drawn) + this.fixed.n + limeGPerL * this.limeN;
    const salts0 =
      d * mean.salts + this.fixed.salts + limeGPerL * (spec.lime ? spec.lime.solubleSaltsMeqPerG : 0);
    const { starter } = spec;
    const gypsumEc = this.gypsum ? sparing(spec.fixedDoses, pores).ecMSPerCm : 0;
    const harmless = Math.min(MOST_HARMLESS_EC, gypsumEc);
    const ecAim = spec.aims.ecSaturated;
    const nAim = spec.aims.n;
    const starterGPerL =
      starter && ecAim && nAim
        ? starterDoseGPerL(
            n0,
            starter.nMgPerG,
            salts0 / pores / 10 + gypsumEc - harmless,
            starter.saltsMeqPerG / pores / 10,
            nAim,
            ecAim,
          )
        : 0;

    const costPerL = d * mean.cost;
    const { read } = this;
    const p = spec.preferences;
    const { wishes } = looked;
    wishes[0] = p.price * (costPerL / this.referenceCost);
    wishes[1] = p.peat * mean.peat;
    wishes[2] = p.weight * ((d * mean.density + 1000 * water) / 1500);
    wishes[3] = p.ingredients * (members.length - 1) * 0.1;
    wishes[4] = p.useUp * (1 - mean.gone);
    wishes[5] = p.water * Math.max(0, 1 - easy / ENOUGH_EASY_WATER);
    wishes[6] = this.farCost(members, parts, total);
    read.air = air * 100;
    read.airAfterDrydown = Math.min(pores, air + easy / 2) * 100;
    read.cohesion = mean.cohesion / mean.blockWeight;
    read.ph = finalPh;
    read.ecSaturated = (salts0 + starterGPerL * (starter ? starter.saltsMeqPerG : 0)) / pores / 10 + gypsumEc;
    read.n = Math.max(0, n0 + starterGPerL * (starter ? starter.nMgPerG : 0));
    read.overSize = mean.overSize;
    read.easilyAvailableWater = easy * 100;
    read.wetDensity = (d * mean.density) / 1000 + water;
    slide.phLow = byWater ? PH_BY_WATER.low : phLow;
    slide.phHigh = byWater ? PH_BY_WATER.high : phHigh;
    slide.airLow = gritty * (moves?.air ?? 0);
    slide.ecHigh = gritty * (moves?.ec ?? 0) + harmless;
    slide.nHigh = gritty * (moves?.n ?? 0);
    this.scoreOf(unusual);
    looked.limeGPerL = limeGPerL;
    looked.starterGPerL = starterGPerL;
    looked.costPerL = this.pricedWhole ? costPerL : NaN;
    return true;
  }

  /** Scores what was read against the windows, and adds what its habits and the wishes do. */
  private scoreOf(unusual: number): void {
    const { looked, read, slide } = this;
    const { values, wishes } = looked;
    let windows = 0;
    let met = 0;
    for (let r = 0; r < this.scored.length; r++) {
      const id = this.scored[r]!;
      const aim = this.aims[r]!;
      const value = read[id];
      values[r] = value;
      const low = id === 'ph' ? slide.phLow : id === 'air' ? aim.low + slide.airLow : aim.low;
      const high =
        id === 'ph'
          ? slide.phHigh
          : id === 'ecSaturated'
            ? aim.high + slide.ecHigh
            : id === 'n'
              ? aim.high + slide.nHigh
              : aim.high;
      const off = penaltyWithin(value, low, high, aim);
      looked.penalties[r] = off;
      windows += off;
      if (isMetWithin(value, low, high, aim)) met |= 1 << r;
    }
    looked.unusual = unusual;
    looked.score = this.rounded(windows) + looked.unusual;
    for (const wish of wishes) looked.score += wish;
    looked.met = met;
  }

  /** Every recipe of these materials meets every scored window where `met` equals this. */
  get allMet(): number {
    return (1 << this.scored.length) - 1;
  }

  /** What is unusual about a recipe. */
  unusual(members: ArrayLike<number>, parts: ArrayLike<number>): Unusual[] {
    return this.usual?.said(members, parts) ?? [];
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
}

const acidityScratch = linearAcidity(0, 0);
const pressing: Pressing = { loosePores: 0, pores: 0, residual: 0, firmed: 1 };
