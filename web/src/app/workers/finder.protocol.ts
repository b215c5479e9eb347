import { type Lead, type Missing, type Neighbour } from '#core/finder/compare';
import { type Conflict, type FinderJob, type Formulated } from '#core/finder/formulate';
import { type ReadingId } from '#core/judge/readings';
import { type SearchResult } from '#core/finder/search';
import { type Material } from '#core/material/material';
import { type MixInput } from '#core/mix/evaluate';
import { type Swap, type SwapHelp } from '#core/finder/swap';
import { type Spreads } from '#core/spread/spreads';
import { type Progress } from './calls';

/** A recipe in full, and its parts by index on the shelf. */
export interface Told {
  found: Formulated;
  parts: Uint8Array;
}

/** What was found, in full; a recipe that is in both lists is one object. */
export interface ToldAll {
  every: Told[];
  perSet: Told[];
  conflict: Conflict | null;
}

/** Why a recipe is where it is. */
export interface WhyThere {
  binding: { id: ReadingId; costs: number } | null;
  neighbours: Neighbour[];
  missing: Missing | null;
  /** What the first has over the familiar recipe; null where there is none on this shelf, or it is the first. */
  overFamiliar: Lead | null;
}

/** A search, and the odds of what it found, end with null once a newer search has begun, or it was stopped. */
export interface FinderApi {
  /** @param share which share of all recipes this worker tries: number `worker` of `of` */
  search(
    ...given: [job: FinderJob, keep: number, share: { worker: number; of: number }, progress: Progress]
  ): Promise<SearchResult | null>;
  odds(inputs: MixInput[], spreads: Spreads, seed: number, draws: number): Promise<number[] | null>;
  tell(job: FinderJob, result: SearchResult, keep: number): ToldAll;
  why(
    ...given: [
      job: FinderJob,
      one: Told,
      first: Uint8Array,
      familiar: Uint8Array | null,
      elsewhere: Material[],
    ]
  ): WhyThere;
  swaps(input: MixInput, from: string, candidates: Material[], help: SwapHelp): Swap[];
  stop(): void;
}
