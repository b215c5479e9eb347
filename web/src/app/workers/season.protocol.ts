import { type FinderJob } from '#core/finder/formulate';
import { type Fit, type FitItem } from '#core/season/fit-bench';
import { type Spreads } from '#core/spread/spreads';
import { type Progress } from './calls';

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

/** The search for the fewest mixes ends with null once a newer call has begun, or it was stopped. */
export interface SeasonApi {
  fit(items: FitItem[], benchM2: number): Fit;
  few(jobs: FinderJob[], spreads: Spreads, progress: Progress): Promise<FewTold | null>;
  stop(): void;
}
