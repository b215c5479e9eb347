import { allow } from '#core/units/allowed';
import {
  coirShareOf,
  earthyShareOf,
  grittyShareOf,
  peatShareOf,
  weightInBlock,
} from '#core/material/families';
import { type Material } from '#core/material/material';
import { overSizeShare } from '#core/material/over-size';
import { pieceLimitMm } from '#core/vessel/piece-limit';
import { retentionOf, waterOf } from '#core/material/retention';
import { packingTable } from '#core/mix/packing';
import { acidSumsOf, type AcidSums } from '#core/mix/ph';
import { columnOf, looseSuction, type Pressing, retentionProfile } from '#core/mix/water-air';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';
import { type Vessel } from '#core/vessel/vessel';
import { MOST_SEARCHED, type Shelved } from '#core/finder/fast-spec';

/** Numbers of a shelf, one column for each property, by index on the shelf, with the sums that make water quick. */
export class FastTable {
  readonly size: number;
  readonly packing;
  readonly solid: Float64Array;
  readonly density: Float64Array;
  /** Sums that make an acidity; see AcidSums. */
  readonly acid: readonly AcidSums[];
  /** θ_r of each. */
  readonly residual: Float64Array;
  readonly salts: Float64Array;
  readonly n: Float64Array;
  readonly drawdown: Float64Array;
  /** Weight in a block, and that times how well it binds. */
  readonly blockWeight: Float64Array;
  readonly cohesion: Float64Array;
  /** Share in pieces too large for the vessel, %. */
  readonly overSize: Float64Array;
  /** Water at 10 and 50 cm of the finished mix, of the loose material. */
  readonly water10: Float64Array;
  readonly water50: Float64Array;
  /** 1 where it is earthy, is coir, is loam or sand or grit, has peat in it, wants using up; else 0. */
  readonly earthy: Float64Array;
  readonly coir: Float64Array;
  readonly gritty: Float64Array;
  readonly peat: Float64Array;
  readonly useUp: Float64Array;
  readonly cost: Float64Array;
  private readonly heights: number;
  /** θ by material and height; sums of weight × θ from a height up; sums of weight below a height. */
  private readonly theta: Float64Array[];
  private readonly waterAbove: Float64Array[];
  private readonly weightBelow: Float64Array;

  /** @throws RangeError for an empty or too long shelf, or a price out of range */
  constructor(shelved: readonly Shelved[], vessel: Vessel, compaction: number) {
    if (shelved.length < 1 || shelved.length > MOST_SEARCHED)
      throw new OutOfRange(
        'materials',
        shelved.length,
        allow('allowed.things', { low: 1, high: MOST_SEARCHED, what: 'materials' }),
      );
    this.size = shelved.length;
    const column = columnOf(vessel);
    this.heights = column.heightsMm.length;
    const of = (read: (m: Material) => number): Float64Array =>
      Float64Array.from(shelved, (s) => read(s.material));
    this.packing = packingTable(shelved.map((s) => s.material));
    const suctionScale = looseSuction(1 / (1 - compaction));
    this.theta = shelved.map((s) => retentionProfile(s.material, column, 0, suctionScale));
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
    this.acid = shelved.map((s) => acidSumsOf(s.material));
    this.residual = of((m) => retentionOf(m).thetaR);
    this.salts = of((m) => m.saltsMeqPerL);
    this.n = of((m) => m.availableNMgPerL);
    this.drawdown = of((m) => m.drawdownMgNPerL);
    this.blockWeight = of(weightInBlock);
    this.cohesion = of((m) => weightInBlock(m) * m.cohesion);
    const mostMm = pieceLimitMm(vessel);
    this.overSize = of((m) => 100 * overSizeShare(m, mostMm));
    this.water10 = of((m) => waterOf(m, 10 * suctionScale));
    this.water50 = of((m) => waterOf(m, 50 * suctionScale));
    this.earthy = of(earthyShareOf);
    this.coir = of(coirShareOf);
    this.gritty = of(grittyShareOf);
    this.peat = of(peatShareOf);
    this.cost = Float64Array.from(shelved, (s) =>
      checkRange('costPerL', s.costPerL ?? 0, ...limits.pricePerUnit),
    );
    this.useUp = Float64Array.from(shelved, (s) => (s.useUp ? 1 : 0));
  }

  /**
   * Mean of `pressed(g)` over the vessel, g = (TP₀/Φ) Σ f θ: full below the height where g first falls under the unfirmed
   * pores, and a straight line in g above it.
   */
  drainedWater(
    members: ArrayLike<number>,
    parts: ArrayLike<number>,
    total: number,
    held: number,
    pressing: Pressing,
  ): number {
    const m = members.length;
    const scale = held / total;
    const { loosePores, pores, residual } = pressing;
    let low = 0;
    let high = this.heights;
    while (low < high) {
      const middle = (low + high) >> 1;
      let water = 0;
      for (let i = 0; i < m; i++) water += parts[i]! * this.theta[members[i]!]![middle]!;
      if (water * scale < loosePores) high = middle;
      else low = middle + 1;
    }
    let above = 0;
    for (let i = 0; i < m; i++) above += parts[i]! * this.waterAbove[members[i]!]![low]!;
    const full = this.weightBelow[low]!;
    const free = loosePores - residual;
    if (free <= 1e-9) return pores;
    const bound = Math.min(pores, pressing.firmed * residual);
    return (
      pores * full +
      bound * (1 - full) +
      ((pores - bound) / free) * Math.max(0, scale * above - residual * (1 - full))
    );
  }
}
