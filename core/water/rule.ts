import { type MixInput } from '#core/mix/evaluate';
import { type Keeping, lifeOf, type Trouble, troubles } from '#core/water/life';

export type WateringRule = Keeping['rule'];

export interface FoundRule {
  rule: WateringRule;
  /** How often it waters over all days. */
  waterings: number;
  /** What no rule of those tried mends, with its first day; empty where all stays inside. */
  left: { trouble: Trouble; first: number }[];
  tried: number;
}

const grid = {
  waterAt: [0.8, 0.7, 0.6, 0.5, 0.4, 0.3],
  leachPct: [0, 10, 20, 30],
  feedNMgPerL: [0, 25, 50, 75, 100, 150, 200],
  feedFromDay: [0, 7, 14, 21, 28, 42],
} as const;

/** Every rule that is tried, the least work first. */
export const rules: readonly WateringRule[] = grid.waterAt.flatMap((waterAt) =>
  grid.feedNMgPerL.flatMap((feedNMgPerL) =>
    grid.leachPct.flatMap((leachPct) =>
      (feedNMgPerL === 0 ? [0] : grid.feedFromDay).map((feedFromDay) => ({
        ...{ waterAt, leachPct, feedNMgPerL, feedFromDay },
      })),
    ),
  ),
);

/**
 * The rule of watering and feeding that keeps all inside its windows with the fewest waterings; of those alike the one
 * that feeds least. Where none does, the one under which the fewest things go wrong, and they the latest. Tried piece by
 * piece, so that a worker can tell how far it is and be stopped.
 */
export class RuleSearch {
  private done = 0;
  private best: { rule: WateringRule; waterings: number; left: FoundRule['left']; score: number[] } | null =
    null;

  constructor(
    private readonly input: MixInput,
    private readonly keeping: Keeping,
  ) {}

  get share(): number {
    return this.done / rules.length;
  }

  /** @returns whether all are tried @throws RangeError as lifeOf */
  try(count: number): boolean {
    for (const rule of rules.slice(this.done, this.done + count)) {
      const { days, first } = lifeOf(this.input, { ...this.keeping, rule });
      const left = troubles.flatMap((trouble) =>
        first[trouble] === null ? [] : [{ trouble, first: first[trouble] }],
      );
      const waterings = days.reduce((sum, day) => sum + Number(day.watered), 0);
      const sooner = left.reduce((sum, each) => sum + days.length - each.first, 0);
      const score = [left.length, sooner, waterings, rule.feedNMgPerL, rule.leachPct, -rule.feedFromDay];
      if (this.best === null || before(score, this.best.score)) this.best = { rule, waterings, left, score };
    }
    this.done = Math.min(rules.length, this.done + count);
    return this.done === rules.length;
  }

  /** The best so far. @returns null before anything was tried */
  result(): FoundRule | null {
    if (!this.best) return null;
    const { rule, waterings, left } = this.best;
    return { rule, waterings, left, tried: this.done };
  }
}

function before(a: readonly number[], b: readonly number[]): boolean {
  const at = a.findIndex((value, i) => value !== b[i]);
  return at >= 0 && a[at]! < b[at]!;
}
