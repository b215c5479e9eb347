/** Kinds of material whose share the trade keeps within bounds. */
export const edgeIds = [
  'sand',
  'vermiculite',
  'perlite',
  'hulls',
  'compost',
  'castings',
  'loam',
  'wood',
  'coffee',
  'mulch',
  'fresh-bark',
  'peat-and-coir',
] as const;
export type EdgeId = (typeof edgeIds)[number];

/** What an approach finds usual otherwise than the trade at large; shares 0–1. */
export interface OwnHabits {
  edges?: Partial<Record<EdgeId, number>>;
  /** Mineral mixes stand on pumice and grit: nothing else has to lead. */
  noBaseNeeded?: boolean;
  /** A living mix: at least so much of compost and castings, where the shelf has any; a share of the parts, 0–1. */
  livingAtLeast?: number;
}
