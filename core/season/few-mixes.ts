import { allow } from '#core/units/allowed';
import { type FastEvaluation } from '#core/finder/fast-evaluation';
import { fastAndLimits, formulated, type FinderJob, type Formulated } from '#core/finder/formulate';
import { gathered, gcd } from '#core/finder/parts';
import { OutOfRange } from '#core/units/check';

/** A base: whole parts, with the cases in whose windows it stands once lime and charge are added to it. */
export interface Base {
  /** By index on the shelf. */
  parts: Uint8Array;
  /** Bit c is set where it does for case c. */
  mask: number;
  /** What it costs in each case, lower being further inside; Infinity where it does not do. */
  scores: number[];
}

export interface Further {
  base: Base;
  /** Cases that it is better for than all chosen before, and how much. */
  gains: { of: number; from: number; to: number }[];
}

export interface FewMixesFound {
  tried: number;
  /** Cases that nothing on the shelf does for. */
  impossible: number[];
  /** As few as there can be. */
  chosen: Base[];
  /** What each further one would gain, the most first. */
  further: Further[];
}

/** So many kinds of steps at most: as many bits as a mask has. */
export const MOST_CASES = 24;
const FURTHER = 3;
/** Less is not worth another tub. */
const WORTH = 0.25;

/**
 * Every recipe of whole parts, with no common divisor.
 * @param parts written anew for each; to be copied where it is kept
 */
function* recipesOf(n: number, maxTotal: number, most: number): Generator<Uint8Array> {
  const parts = new Uint8Array(n);
  function* fill(i: number, left: number, used: number, divisor: number): Generator<Uint8Array> {
    if (i === n) {
      if (divisor === 1) yield parts;
      return;
    }
    yield* fill(i + 1, left, used, divisor);
    if (used === most) return;
    for (let amount = 1; amount <= left; amount++) {
      parts[i] = amount;
      yield* fill(i + 1, left - amount, used + 1, gcd(divisor, amount));
    }
    parts[i] = 0;
  }
  yield* fill(0, maxTotal, 0, 0);
}

/**
 * The fewest bases that keep every kind of step inside its windows: every recipe of the shelf is looked at in every case
 * with the lime and charge that it wants there, and the smallest covering is found by trying, fewest first.
 * Runs in steps, so that it can be told how far it is and stopped.
 */
export class FewMixes {
  private readonly fast: FastEvaluation[];
  private readonly recipes: Generator<Uint8Array>;
  private readonly whole: number;
  /** The best of every set of cases that something does for, and of every case. */
  private readonly byMask = new Map<number, Base>();
  private readonly byCase: (Base | undefined)[];
  tried = 0;

  /**
   * @param jobs one for each kind of step, on one shelf and within the same limits
   * @throws OutOfRange for none, or more than 24
   */
  constructor(private readonly jobs: readonly FinderJob[]) {
    const [first] = jobs;
    if (!first || jobs.length > MOST_CASES)
      throw new OutOfRange(
        'steps',
        jobs.length,
        allow('allowed.things', { low: 1, high: MOST_CASES, what: 'step-kinds' }),
      );
    this.fast = jobs.map((job) => fastAndLimits(job).fast);
    this.recipes = recipesOf(first.shelved.length, first.maxTotal, first.materialsMax);
    this.whole = countOf(first.shelved.length, first.maxTotal, first.materialsMax);
    this.byCase = jobs.map(() => undefined);
  }

  /** About how far it is, 0–1. */
  get progress(): number {
    return Math.min(1, this.tried / this.whole);
  }

  /** @returns whether all have been looked at */
  step(count: number): boolean {
    for (let i = 0; i < count; i++) {
      const next = this.recipes.next();
      if (next.done) {
        this.tried = this.whole;
        return true;
      }
      this.tried++;
      this.take(next.value);
    }
    return false;
  }

  private take(parts: Uint8Array): void {
    const { members, amounts } = gathered(parts);
    let mask = 0;
    const scores = this.fast.map((fast, c) => {
      if (!fast.look(members, amounts)) return Infinity;
      const { met, score } = fast.looked;
      if (met !== fast.allMet) return Infinity;
      mask |= 1 << c;
      return score;
    });
    if (mask === 0) return;
    const base: Base = { parts, mask, scores };
    const existing = this.byMask.get(mask);
    const better = !existing || totalOf(base) < totalOf(existing);
    const leads = scores.some((score, c) => score < (this.byCase[c]?.scores[c] ?? Infinity));
    if (!better && !leads) return;
    base.parts = parts.slice();
    if (better) this.byMask.set(mask, base);
    scores.forEach((score, c) => {
      if (score < (this.byCase[c]?.scores[c] ?? Infinity)) this.byCase[c] = base;
    });
  }

  result(): FewMixesFound {
    const bases = [...this.byMask.values()];
    const can = bases.reduce((all, { mask }) => all | mask, 0);
    const impossible = this.jobs.flatMap((_, c) => (can & (1 << c) ? [] : [c]));
    const chosen = can === 0 ? [] : fewestCovering(bases, can);
    const candidates = [...bases, ...this.byCase.flatMap((each) => each ?? [])];
    const further: Further[] = [];
    const now = this.jobs.map((_, c) => Math.min(...chosen.map((each) => each.scores[c]!)));
    while (further.length < FURTHER) {
      const best = candidates
        .map((base) => ({
          base,
          gains: base.scores.flatMap((to, of) => (to < now[of]! - 1e-9 ? [{ of, from: now[of]!, to }] : [])),
        }))
        .reduce<Further | null>((a, b) => (a === null || gainOf(b) > gainOf(a) ? b : a), null);
      if (!best || gainOf(best) < WORTH) break;
      further.push(best);
      for (const { of, to } of best.gains) now[of] = to;
    }
    return { tried: this.tried, impossible, chosen, further };
  }

  /** A base in a case, in full: judged by every rule, with its lime and charge. */
  formulated(base: Base, of: number): Formulated {
    return formulated(this.jobs[of]!, this.fast[of]!, base.parts);
  }
}

const gainOf = ({ gains }: Further): number => gains.reduce((sum, { from, to }) => sum + from - to, 0);
const totalOf = ({ scores }: Base): number =>
  scores.reduce((sum, score) => (score === Infinity ? sum : sum + score), 0);

/** How many recipes there are about: those with a common divisor among them. */
function countOf(n: number, total: number, most: number): number {
  let count = 0;
  let ways = 1;
  // Choose k of n materials; k whole parts of at least 1 that sum to at most the total: total over k.
  let sums = 1;
  for (let k = 1; k <= Math.min(n, most, total); k++) {
    ways = (ways * (n - k + 1)) / k;
    sums = (sums * (total - k + 1)) / k;
    count += ways * sums;
  }
  return Math.max(1, count);
}

/**
 * The smallest set of masks that together hold all bits of `whole`; of equally small ones that of the best scores.
 * What another does for as well, and more, is not needed to cover; so only the largest masks are tried.
 */
export function fewestCovering(bases: readonly Base[], whole: number): Base[] {
  const largest = bases.filter(
    (base) =>
      !bases.some((other) => other !== base && other.mask !== base.mask && (base.mask & ~other.mask) === 0),
  );
  let best: { chosen: Base[]; score: number } | null = null;
  const look = (chosen: Base[], covered: number, left: number): void => {
    if ((covered & whole) === whole) {
      const score = chosen[0]!.scores.reduce((sum, _, c) => {
        const least = Math.min(...chosen.map((base) => base.scores[c]!));
        return least === Infinity ? sum : sum + least;
      }, 0);
      if (!best || score < best.score) best = { chosen: [...chosen], score };
      return;
    }
    if (left === 0) return;
    const missing = whole & ~covered;
    const bit = missing & -missing;
    for (const base of largest) if (base.mask & bit) look([...chosen, base], covered | base.mask, left - 1);
  };
  for (let size = 1; best === null; size++) look([], 0, size);
  return (best as { chosen: Base[] }).chosen;
}
