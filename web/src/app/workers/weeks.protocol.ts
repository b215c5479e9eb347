import { type Refusal } from '#core/units/check';
import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping, type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { type FoundRule } from '#core/water/rule';

/** The two go side by side: neither stops the other. */
export type Reckoned = 'lives' | 'rule';
export type WeeksRequest =
  | { kind: 'lives'; id: number; input: MixInput; keeping: Keeping; spreads: Spreads; draws: number }
  | { kind: 'rule'; id: number; input: MixInput; keeping: Keeping }
  | { kind: 'stop'; of: Reckoned };

/** Answers carry the number of the request: an older one is dropped. */
export type WeeksAnswer =
  | { kind: 'progress'; of: Reckoned; id: number; share: number }
  | { kind: 'lives'; id: number; typical: Life; band: LifeBand }
  | { kind: 'rule'; id: number; found: FoundRule }
  | { kind: 'impossible'; of: Reckoned; id: number; why: Refusal | string };
