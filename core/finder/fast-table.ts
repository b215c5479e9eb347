import { isEarthy } from '#core/material/families';
import { type Material } from '#core/material/material';
import { waterOf } from '#core/material/retention';
import { packingTable } from '#core/mix/packing';
import { columnOf, retentionProfile } from '#core/mix/water-air';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';
import { type Vessel } from '#core/vessel/vessel';
import { MOST_ON_SHELF, type Shelved } from '#core/finder/fast-spec';

/** Numbers of a shelf, one column for each property, by index on the shelf, with the sums that make water quick. */
export class FastTable {
  readonly size: number;
  readonly packing;
  readonly solid: Float64Array;
  readonly density: Float64Array;
  readonly buffer: Float64Array;
  readonly ph: Float64Array;
  readonly salts: Float64Array;
  readonly n: Float64Array;
  readonly cohesion: Float64Array;
  readonly largest: Float64Array;
  /** Water at 10 and 50 cm, parts of volume. */
  readonly water10: Float64Array;
  readonly water50: Float64Array;
  /** 1 where it is earthy, has peat in it, wants using up; else 0. */
  readonly earthy: Float64Array;
  readonly peat: Float64Array;
  readonly useUp: Float64Array;
  readonly cost: Float64Array;
  private readonly heights: number;
  /** θ by material and height; sums of weight × θ from a height up; sums of weight below a height. */
  private readonly theta: Float64Array[];
  private readonly waterAbove: Float64Array[];
  private readonly weightBelow: Float64Array;

  /** @throws RangeError for an empty or too long shelf, or a price out of range */
  constructor(shelved: readonly Shelved[], vessel: Vessel) {
    if (shelved.length < 1 || shelved.length > MOST_ON_SHELF)
      throw new OutOfRange('materials', shelved.length, `1 to ${MOST_ON_SHELF} materials`);
    this.size = shelved.length;
    const column = columnOf(vessel);
    this.heights = column.heightsMm.length;
    const of = (read: (m: Material) => number): Float64Array =>
      Float64Array.from(shelved, (s) => read(s.material));
    this.packing = packingTable(shelved.map((s) => s.material));
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
  }

  /** Mean of min(pores, D Σ f θ) over the vessel: full below the height where the sum first falls under the pores. */
  drainedWater(
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
