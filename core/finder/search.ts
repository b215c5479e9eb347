import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { BestOf, compareFound, type FoundRecipe } from '#core/finder/best-of';
import { peatShareOf } from '#core/material/families';
import { gcd, spreadOut } from '#core/finder/parts';
import { type FastEvaluation } from '#core/finder/fast-evaluation';
import { limits } from '#core/units/limits';
import { checkWhole, OutOfRange } from '#core/units/check';

export const MOST_PARTS = limits.finderParts[1];

export interface Limits {
  /** Parts in all, 1–20. */
  maxTotal: number;
  /** By index on the shelf. */
  min: readonly number[];
  max: readonly number[];
  /** Different materials at most. */
  materialsMax: number;
  /** Share of peat by volume of parts, 0–1. */
  peatMax: number;
  /** Nothing is kept that misses a window. */
  onlyMet?: boolean;
}

/** Nearest that a recipe came to meeting all windows but one. */
export interface NearMiss {
  value: number;
  beyond: number;
  parts: Uint8Array;
}

export interface SearchResult {
  /** Recipes within the limits: all of these were looked at or proved unable to enter. */
  tried: number;
  /** Of these, left out because their preferences alone were worse than all that was kept. */
  provedWorse: number;
  /** The same proportions in smaller numbers. */
  commonDivisor: number;
  overLimits: number;
  noPores: number;
  /** Meeting every window. */
  feasible: number;
  best: FoundRecipe[];
  /** The best of every set of materials, best first. */
  perSet: FoundRecipe[];
  /** How many recipes met just these windows, by mask of met bits. */
  metCounts: Float64Array;
  /** By scored reading: the recipe that misses only this window, by least. */
  nearest: (NearMiss | null)[];
}

/** Up to four materials are enumerated by the inner loop without a pause; the others form the tasks before it. */
const INNER = 4;

/**
 * Every set of whole parts up to a total with no common divisor, within the limits. Runs in steps, so that it can be
 * told how far it is, stopped, and shared among workers: task t belongs to worker t mod of.
 */
export class Search {
  private readonly n: number;
  private readonly outer: number;
  private readonly prefix: number[];
  private prefixSum: number;
  private exhausted = false;
  private task = 0;
  private readonly counts = { tried: 0, provedWorse: 0, commonDivisor: 0, overLimits: 0, noPores: 0 };
  private readonly metCounts = new Float64Array(256);
  private readonly nearest: (NearMiss | null)[];
  private readonly best: BestOf;
  /** By bits of the materials used. */
  private readonly perSet: (FoundRecipe | undefined)[];
  private readonly scratch: FoundRecipe;
  private readonly members: number[] = [];
  private readonly amounts: number[] = [];
  private readonly peat: number[];
  private readonly bounded: boolean;

  /**
   * @param keep how many of the best to hold, 1–500
   * @throws OutOfRange for limits that contradict each other
   */
  constructor(
    private readonly fast: FastEvaluation,
    private readonly limits: Limits,
    keep: number,
    private readonly share = { worker: 0, of: 1 },
  ) {
    checkLimits(fast, limits);
    this.n = fast.size;
    this.outer = Math.max(0, this.n - INNER);
    this.prefix = limits.min.slice(0, this.outer);
    this.prefixSum = this.prefix.reduce((a, b) => a + b, 0);
    this.best = new BestOf(keep);
    this.scratch = { score: 0, parts: new Uint8Array(this.n) };
    this.nearest = fast.scored.map(() => null);
    this.perSet = new Array<FoundRecipe | undefined>(1 << this.n);
    this.peat = fast.spec.shelved.map((s) => peatShareOf(s.material));
    this.bounded = Object.values(fast.spec.preferences).some((w) => w > 0);
  }

  /** Looks at whole tasks until about so many recipes are done. @returns whether the search is over */
  step(recipes: number): boolean {
    const until = this.looks() + recipes;
    while (!this.exhausted && this.looks() < until) {
      if (this.task % this.share.of === this.share.worker) this.runTask();
      this.task++;
      this.nextPrefix();
    }
    return this.exhausted;
  }

  /** Rough share done: where the first material's count stands. */
  get progress(): number {
    if (this.exhausted) return 1;
    const { min, max, maxTotal } = this.limits;
    if (this.outer === 0) return 0;
    const [low, high] = [min[0]!, Math.min(max[0]!, maxTotal)];
    // The first counts hold most of the recipes: what is left shrinks with a high power of what remains.
    const left = 1 - (this.prefix[0]! - low) / (high - low + 1);
    return 1 - left ** this.n;
  }

  result(): SearchResult {
    return {
      ...this.counts,
      feasible: this.metCounts[this.fast.allMet]!,
      best: this.best.sorted(),
      perSet: this.perSet.filter((found) => found !== undefined).sort(compareFound),
      metCounts: this.metCounts,
      nearest: this.nearest,
    };
  }

  /** Recipes so far. */
  get tried(): number {
    return this.counts.tried;
  }

  private looks(): number {
    const { tried, commonDivisor, overLimits } = this.counts;
    return tried + commonDivisor + overLimits;
  }

  private nextPrefix(): void {
    const { min, max, maxTotal } = this.limits;
    for (let i = this.outer - 1; i >= 0; i--) {
      if (this.prefix[i]! < max[i]! && this.prefixSum < maxTotal) {
        this.prefix[i]!++;
        this.prefixSum++;
        return;
      }
      this.prefixSum -= this.prefix[i]! - min[i]!;
      this.prefix[i] = min[i]!;
    }
    this.exhausted = true;
  }

  private runTask(): void {
    this.members.length = 0;
    this.amounts.length = 0;
    let divisor = 0;
    for (let i = 0; i < this.outer; i++) {
      const parts = this.prefix[i]!;
      if (parts === 0) continue;
      this.members.push(i);
      this.amounts.push(parts);
      divisor = gcd(divisor, parts);
    }
    if (this.members.length > this.limits.materialsMax) return;
    this.inner(this.outer, this.limits.maxTotal - this.prefixSum, divisor);
  }

  private inner(at: number, left: number, divisor: number): void {
    if (at === this.n) {
      this.leaf(divisor);
      return;
    }
    const { min, max, materialsMax } = this.limits;
    const most = Math.min(max[at]!, left);
    let parts = min[at]!;
    if (parts === 0) {
      this.inner(at + 1, left, divisor);
      parts = 1;
    }
    if (this.members.length >= materialsMax) return;
    this.members.push(at);
    this.amounts.push(0);
    for (; parts <= most; parts++) {
      this.amounts[this.amounts.length - 1] = parts;
      this.inner(at + 1, left - parts, gcd(divisor, parts));
    }
    this.members.pop();
    this.amounts.pop();
  }

  private leaf(divisor: number): void {
    if (divisor !== 1) {
      if (divisor > 1) this.counts.commonDivisor++;
      return;
    }
    const { members, amounts, fast } = this;
    if (this.limits.peatMax < 1 && this.peatShare() > this.limits.peatMax + 1e-12) {
      this.counts.overLimits++;
      return;
    }
    this.counts.tried++;
    let set = 0;
    for (const member of members) set |= 1 << member;
    const existing = this.perSet[set];
    const unusual = fast.unusualCost(members, amounts);
    if (this.bounded && existing) {
      const least = fast.leastScore(members, amounts, unusual);
      if (least > this.best.worst && least > existing.score + 1e-12) {
        this.counts.provedWorse++;
        return;
      }
    }
    if (!fast.look(members, amounts, unusual)) {
      this.counts.noPores++;
      return;
    }
    const { score, met } = fast.looked;
    this.metCounts[met]!++;
    const enters = score <= this.best.worst;
    const counts = met === fast.allMet || !this.limits.onlyMet;
    if (counts && (enters || !existing || score <= existing.score + 1e-12)) {
      const { costPerL } = fast.looked;
      // Looked at in place; only what is kept becomes a thing of its own.
      const { scratch } = this;
      scratch.score = score;
      if (Number.isNaN(costPerL)) delete scratch.cost;
      else scratch.cost = costPerL;
      scratch.parts.fill(0);
      for (let i = 0; i < members.length; i++) scratch.parts[members[i]!] = amounts[i]!;
      const ranks = enters && this.best.wants(scratch);
      const leads = !existing || compareFound(scratch, existing) < 0;
      if (ranks || leads) {
        const found = { ...scratch, parts: scratch.parts.slice() };
        if (ranks) this.best.take(found);
        if (leads) this.perSet[set] = found;
      }
    }
    const missed = fast.allMet & ~met;
    if (missed !== 0 && (missed & (missed - 1)) === 0) this.noteNearMiss(31 - Math.clz32(missed));
  }

  private noteNearMiss(r: number): void {
    const { fast } = this;
    const beyond = fast.looked.penalties[r]!;
    const existing = this.nearest[r]!;
    if (existing && existing.beyond < beyond) return;
    const parts = spreadOut(this.members, this.amounts, this.n);
    this.nearest[r] = nearer(existing, { value: fast.looked.values[r]!, beyond, parts });
  }

  private peatShare(): number {
    let [peat, total] = [0, 0];
    for (let i = 0; i < this.members.length; i++) {
      total += this.amounts[i]!;
      peat += this.peat[this.members[i]!]! * this.amounts[i]!;
    }
    return peat / total;
  }
}

/** What the workers found, as if one had done it all. */
export function merged(results: readonly SearchResult[], keep: number): SearchResult {
  const sum = (of: (r: SearchResult) => number): number => results.reduce((s, r) => s + of(r), 0);
  const best = new BestOf(keep);
  for (const found of results.flatMap((r) => r.best)) best.take(found);
  return {
    tried: sum((r) => r.tried),
    provedWorse: sum((r) => r.provedWorse),
    commonDivisor: sum((r) => r.commonDivisor),
    overLimits: sum((r) => r.overLimits),
    noPores: sum((r) => r.noPores),
    feasible: sum((r) => r.feasible),
    best: best.sorted(),
    perSet: bestOfSets(results.flatMap((r) => r.perSet)),
    metCounts: results[0]!.metCounts.map((_, mask) => sum((r) => r.metCounts[mask]!)),
    nearest: results[0]!.nearest.map((_, r) =>
      results.reduce<NearMiss | null>((a, { nearest }) => nearer(a, nearest[r]!), null),
    ),
  };
}

function bestOfSets(all: readonly FoundRecipe[]): FoundRecipe[] {
  const sets = new Map<string, FoundRecipe>();
  for (const found of all) {
    const set = found.parts.map((p) => Math.min(p, 1)).join('');
    const existing = sets.get(set);
    if (!existing || compareFound(found, existing) < 0) sets.set(set, found);
  }
  return [...sets.values()].sort(compareFound);
}

/** The one that misses by less; of two that miss by as much, the simpler. */
function nearer(a: NearMiss | null, b: NearMiss | null): NearMiss | null {
  if (a === null || b === null) return a ?? b;
  const found = (miss: NearMiss): FoundRecipe => ({ score: miss.beyond, parts: miss.parts });
  return compareFound(found(b), found(a)) < 0 ? b : a;
}

function checkLimits(fast: FastEvaluation, { maxTotal, min, max, materialsMax, peatMax }: Limits): void {
  checkWhole('maxTotalParts', maxTotal, ...limits.finderParts);
  checkWhole('limits.materialsMax', materialsMax, ...limits.finderMaterials);
  if (!(peatMax >= 0 && peatMax <= 1))
    throw new OutOfRange('limits.peatPctMax', peatMax * 100, allow('allowed.number', { low: 0, high: 100 }));
  fast.spec.shelved.forEach(({ material: { id } }, i) => {
    checkWhole(`limits.minParts.${id}`, min[i]!, 0, MOST_PARTS);
    checkWhole(`limits.maxParts.${id}`, max[i]!, 0, MOST_PARTS);
    if (min[i]! > max[i]!)
      throw new OutOfRange(
        `limits.minParts.${id}`,
        min[i],
        allow('allowed.number', { low: 0, high: max[i]! }),
      );
  });
  const floor = min.reduce((a, b) => a + b, 0);
  if (floor > maxTotal)
    throw new OutOfRange('limits.minParts', floor, allow('allowed.parts-in-all', { most: maxTotal }));
  const must = min.filter((m) => m > 0).length;
  if (must > materialsMax)
    throw new OutOfRange(
      'limits.materialsMax',
      materialsMax,
      allow('allowed.as-many-as-have-minimum', { low: must }),
    );
  if (max.every((m) => m === 0))
    throw new OutOfRange('limits.maxParts', 0, allow('allowed.above-nothing-of-one', none));
}
