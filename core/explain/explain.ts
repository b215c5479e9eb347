import { type Judgement } from '#core/judge/judge';
import { type ReadingId } from '#core/judge/readings';
import { amountSums, type AmountId } from '#core/explain/amount-sums';
import { moversOf, type Mover } from '#core/explain/movers';
import { readingSums } from '#core/explain/reading-sums';
import { type Sum, type SumOf } from '#core/explain/sum';

export type ExplainedId = ReadingId | AmountId;

const sums: Record<ExplainedId, SumOf> = { ...readingSums, ...amountSums };

/** Where a number comes from: what goes in, the sum done again, and what would change it most. How is said by its id. */
export interface Explanation extends Sum {
  id: ExplainedId;
  movers: Mover[];
}

/** Explains a number. Movers are found by computing the recipe again with one thing changed. */
export function explain({ input, evaluation }: Judgement, id: ExplainedId): Explanation {
  return { id, ...sums[id](input, evaluation), movers: moversOf(input, sums[id]) };
}
