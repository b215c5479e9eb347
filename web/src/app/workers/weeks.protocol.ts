import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Clock } from '#core/weeks/clock';
import { type Keeping } from '#core/weeks/keeping';
import { type Life } from '#core/weeks/life';
import { type LifeBand } from '#core/weeks/life-band';
import { type FoundRule } from '#core/weeks/rule';
import { type Progress } from './calls';

/** The two go side by side: neither stops the other. */
export type Reckoned = 'lives' | 'rule';

/** The one life under the mean weather, what the clock says of it, and many lives. */
export interface Lived {
  typical: Life;
  clock: Clock;
  band: LifeBand;
}

/** Each ends with null once a newer call of its kind has begun, or it was stopped. */
export interface WeeksApi {
  lives(
    ...given: [input: MixInput, keeping: Keeping, spreads: Spreads, draws: number, progress: Progress]
  ): Promise<Lived | null>;
  rule(
    ...given: [input: MixInput, keeping: Keeping, spreads: Spreads, progress: Progress]
  ): Promise<FoundRule | null>;
  stop(): void;
}
