import { type Allowed } from '#core/units/allowed';

/** What is wrong with a row of a table. */
export interface RowFacts {
  /** In the file, the header being the first; null where it is not known yet. */
  line: number | null;
  /** As the file calls it. */
  column: string | null;
  allowed: Allowed;
  /** What stood there. */
  was?: unknown;
}
