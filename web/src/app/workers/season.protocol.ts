import { type Refusal } from '#core/units/check';
import { type FinderJob } from '#core/finder/formulate';
import { type Fit, type FitItem } from '#core/season/fit-bench';
import { type Spreads } from '#core/spread/spreads';

export type SeasonRequest =
  | { kind: 'fit'; id: number; items: FitItem[]; benchM2: number }
  | { kind: 'few'; id: number; jobs: FinderJob[]; spreads: Spreads }
  | { kind: 'stop' };

/** A base in one case: what goes in, and in how many of ten worlds every window holds. */
export interface BaseInCase {
  of: number;
  odds: number;
  doses: { name: string; gPerL: number }[];
}
export interface BaseTold {
  parts: { name: string; parts: number }[];
  cases: BaseInCase[];
}
export interface FewTold {
  tried: number;
  impossible: number[];
  chosen: BaseTold[];
  further: { base: BaseTold; gains: { of: number; from: number; to: number }[] }[];
}

/** Answers carry the number of the request: an older one is dropped. */
export type SeasonAnswer =
  | { kind: 'fit'; id: number; fit: Fit }
  | { kind: 'progress'; id: number; share: number; tried: number }
  | { kind: 'few'; id: number; told: FewTold }
  | { kind: 'impossible'; id: number; why: Refusal | string };
