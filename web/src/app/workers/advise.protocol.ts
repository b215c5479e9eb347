import { type AdviseMessage } from '#core/advise/advise-facts';
import { type AskedBy } from '#core/advise/attempts';
import { type Finding } from '#core/advise/findings';
import { type ReadingId } from '#core/judge/readings';
import { type Recipe } from '#core/recipe/recipe';
import { type Stocked } from './spread.protocol';

/** A way out as it is offered: what it says, and the recipe with it done. */
export interface WayTold {
  says: AdviseMessage;
  edits: number;
  recipe: Recipe;
  /** Readings before and after, of those that change. */
  moves: { of: ReadingId; from: number; to: number; fits: boolean }[];
}

/** What there is to press for a subject. */
export interface WaysTold {
  subject: Finding['subject'];
  ways: WayTold[];
  would: AdviseMessage | null;
}

/** Each ends with null once a newer recipe was asked about. */
export interface AdviseApi {
  /** What recipes are made of from now on. */
  stock(stocked: Stocked): void;
  /** Single changes: at once. */
  advise(recipe: Recipe, by: AskedBy): Promise<WaysTold[] | null>;
  /** With pairs of them, of the recipe that was asked about last. */
  more(): Promise<WaysTold[] | null>;
  /** The smallest change that puts all of that recipe right. */
  mend(): Promise<{ mend: WayTold | null } | null>;
}
