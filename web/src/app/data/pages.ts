import { PAGE } from '#contract/routes';

/** A full page may not be the last. */
export const mayHaveMore = (lines: readonly unknown[] | undefined): boolean =>
  lines !== undefined && lines.length > 0 && lines.length % PAGE === 0;
