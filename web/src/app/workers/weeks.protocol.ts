import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping, type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { type FoundRule } from '#core/water/rule';

export type WeeksRequest =
  | { kind: 'lives'; id: number; input: MixInput; keeping: Keeping; spreads: Spreads; draws: number }
  | { kind: 'rule'; id: number; input: MixInput; keeping: Keeping }
  | { kind: 'stop' };

/** Answers carry the number of the request: an older one is dropped. */
export type WeeksAnswer =
  | { kind: 'progress'; id: number; share: number }
  | { kind: 'lives'; id: number; typical: Life; band: LifeBand }
  | { kind: 'rule'; id: number; found: FoundRule }
  | { kind: 'impossible'; id: number; why: string };
