import { type FastTable } from '#core/finder/fast-table';
import { type AcidSums } from '#core/mix/ph';

/** What a recipe is on the mean of its parts. */
export interface FastMeans extends AcidSums {
  /** Parts in all. */
  total: number;
  solid: number;
  /** θ_r. */
  residual: number;
  salts: number;
  n: number;
  drawn: number;
  /** Sum of weight × cohesion, and of weights; see `weightInBlock`. */
  cohesion: number;
  blockWeight: number;
  overSize: number;
  w10: number;
  w50: number;
  earthy: number;
  coir: number;
  gritty: number;
  peat: number;
  cost: number;
  gone: number;
  density: number;
}

/** An empty one, to be written over again and again. */
export const noMeans = (): FastMeans => ({
  ...{ total: 0, solid: 0, residual: 0, salts: 0, n: 0, drawn: 0, cohesion: 0, blockWeight: 0, overSize: 0 },
  ...{ w10: 0, w50: 0, earthy: 0, coir: 0, gritty: 0, peat: 0, cost: 0, gone: 0, density: 0 },
  ...{ a: 0, b: 0, c: 0, carbonate: 0, carbonatePh: 0, ph: 0 },
});

/**
 * The means of a recipe, written into `into`: nothing is allocated.
 * @param members indices on the shelf @param parts of each member, above 0
 */
export function meansOf(
  table: FastTable,
  members: ArrayLike<number>,
  parts: ArrayLike<number>,
  into: FastMeans,
): FastMeans {
  const many = members.length;
  let total = 0;
  for (let i = 0; i < many; i++) total += parts[i]!;
  let [solid, residual, salts, n, drawn] = [0, 0, 0, 0, 0];
  let [a, b, c, carbonate, carbonatePh, ph] = [0, 0, 0, 0, 0, 0];
  let [cohesion, blockWeight, overSize, w10, w50] = [0, 0, 0, 0, 0];
  let [earthy, coir, gritty, peat] = [0, 0, 0, 0];
  let [cost, gone, density] = [0, 0, 0];
  for (let i = 0; i < many; i++) {
    const at = members[i]!;
    const f = parts[i]! / total;
    solid += f * table.solid[at]!;
    residual += f * table.residual[at]!;
    const acid = table.acid[at]!;
    a += f * acid.a;
    b += f * acid.b;
    c += f * acid.c;
    carbonate += f * acid.carbonate;
    carbonatePh += f * acid.carbonatePh;
    ph += f * acid.ph;
    salts += f * table.salts[at]!;
    n += f * table.n[at]!;
    drawn += f * table.drawdown[at]!;
    cohesion += f * table.cohesion[at]!;
    blockWeight += f * table.blockWeight[at]!;
    overSize += f * table.overSize[at]!;
    w10 += f * table.water10[at]!;
    w50 += f * table.water50[at]!;
    earthy += f * table.earthy[at]!;
    coir += f * table.coir[at]!;
    gritty += f * table.gritty[at]!;
    peat += f * table.peat[at]!;
    cost += f * table.cost[at]!;
    gone += f * table.useUp[at]!;
    density += f * table.density[at]!;
  }
  into.total = total;
  into.solid = solid;
  into.residual = residual;
  into.salts = salts;
  into.n = n;
  into.drawn = drawn;
  into.cohesion = cohesion;
  into.blockWeight = blockWeight;
  into.overSize = overSize;
  into.w10 = w10;
  into.w50 = w50;
  into.earthy = earthy;
  into.coir = coir;
  into.gritty = gritty;
  into.peat = peat;
  into.cost = cost;
  into.gone = gone;
  into.density = density;
  into.a = a;
  into.b = b;
  into.c = c;
  into.carbonate = carbonate;
  into.carbonatePh = carbonatePh;
  into.ph = ph;
  return into;
}
