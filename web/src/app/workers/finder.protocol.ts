import { type Refusal } from '#core/units/check';
import { type Lead, type Missing, type Neighbour } from '#core/finder/compare';
import { type Conflict, type FinderJob, type Formulated } from '#core/finder/formulate';
import { type ReadingId } from '#core/judge/readings';
import { type SearchResult } from '#core/finder/search';
import { type Material } from '#core/material/material';
import { type MixInput } from '#core/mix/evaluate';
import { type Swap, type SwapHelp } from '#core/finder/swap';
import { type Spreads } from '#core/spread/spreads';

export type FinderRequest =
  | { kind: 'search'; id: number; job: FinderJob; keep: number; worker: number; of: number }
  | { kind: 'odds'; id: number; inputs: MixInput[]; spreads: Spreads; seed: number; draws: number }
  | { kind: 'swaps'; id: number; input: MixInput; from: string; candidates: Material[]; help: SwapHelp }
  | { kind: 'tell'; id: number; job: FinderJob; result: SearchResult; keep: number }
  | {
      kind: 'why';
      id: number;
      job: FinderJob;
      one: Told;
      first: Uint8Array;
      familiar: Uint8Array | null;
      elsewhere: Material[];
    }
  | { kind: 'stop' };

/** A recipe in full, and its parts by index on the shelf. */
export interface Told {
  found: Formulated;
  parts: Uint8Array;
}

/** Why a recipe is where it is. */
export interface Why {
  binding: { id: ReadingId; costs: number } | null;
  neighbours: Neighbour[];
  missing: Missing | null;
  /** What the first has over the familiar recipe; null where there is none on this shelf, or it is the first. */
  overFamiliar: Lead | null;
}

/** Answers carry the number of the request: an older one is dropped. */
export type FinderAnswer =
  | { kind: 'progress'; id: number; worker: number; share: number; tried: number }
  | { kind: 'found'; id: number; worker: number; result: SearchResult }
  | { kind: 'told'; id: number; every: Told[]; perSet: Told[]; conflict: Conflict | null }
  | { kind: 'why'; id: number; parts: Uint8Array; why: Why }
  | { kind: 'odds'; id: number; odds: number[] }
  | { kind: 'swaps'; id: number; swaps: Swap[] }
  | { kind: 'impossible'; id: number; why: Refusal | string };
