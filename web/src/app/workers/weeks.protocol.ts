import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping, type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { type FoundRule } from '#core/water/rule';
import { type Progress } from './calls';

/** The two go side by side: neither stops the other. */
export type Reckoned = 'lives' | 'rule';

/** Each ends with null once a newer call of its kind has begun, or it was stopped. */
export interface WeeksApi {
  lives(
    ...given: [input: MixInput, keeping: Keeping, spreads: Spreads, draws: number, progress: Progress]
  ): Promise<{ typical: Life; band: LifeBand } | null>;
  rule(input: MixInput, keeping: Keeping, progress: Progress): Promise<FoundRule | null>;
  stop(): void;
}
