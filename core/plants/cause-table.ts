/**
 * What can be seen, what it may come from, and how likely. Every number is a judgement of common practice, without a
 * source; they stand here and nowhere else.
 */

/** What the record may hold, and how often it holds that where nothing is wrong in that way. */
export const evidence = {
  ec: { low: 0.2, right: 0.6, high: 0.2 },
  ph: { low: 0.15, right: 0.7, high: 0.15 },
  air: { short: 0.25, right: 0.75 },
  nights: { cold: 0.3, mild: 0.7 },
  age: { long: 0.25, right: 0.75 },
  feed: { due: 0.35, given: 0.65 },
  fresh: { yes: 0.15, no: 0.85 },
  seed: { old: 0.2, good: 0.8 },
  surface: { wet: 0.35, dry: 0.65 },
} as const;
export type EvidenceId = keyof typeof evidence;
export type StateOf<E extends EvidenceId> = keyof (typeof evidence)[E] & string;
export type Found = { [E in EvidenceId]?: StateOf<E> | undefined };

interface Cause {
  /** Probability of what the record holds, where the cause speaks of it. */
  likely: { [E in EvidenceId]?: Partial<Record<StateOf<E>, number>> };
  /** Causes under which what helps against it does harm. */
  harms: readonly CauseId[];
}

export const causeIds = [
  'hungry',
  'sour',
  'sweet',
  'salty',
  'drowned',
  'dry',
  'cold',
  'dark',
  'damping',
  'old-seed',
  'deep',
  'ammonia',
  'circling',
  'gnat-larvae',
  'loose',
] as const;
export type CauseId = (typeof causeIds)[number];

export const causes: Readonly<Record<CauseId, Cause>> = {
  hungry: {
    likely: {
      ec: { low: 0.7, right: 0.28, high: 0.02 },
      feed: { due: 0.9, given: 0.1 },
      age: { long: 0.5, right: 0.5 },
    },
    harms: ['salty', 'ammonia', 'damping'],
  },
  sour: {
    likely: { ph: { low: 0.9, right: 0.09, high: 0.01 } },
    harms: ['sweet'],
  },
  sweet: {
    likely: { ph: { low: 0.01, right: 0.14, high: 0.85 } },
    harms: ['sour'],
  },
  salty: {
    likely: { ec: { low: 0.01, right: 0.14, high: 0.85 } },
    harms: ['drowned', 'damping'],
  },
  drowned: {
    likely: { air: { short: 0.8, right: 0.2 }, surface: { wet: 0.85, dry: 0.15 } },
    harms: ['dry'],
  },
  dry: {
    likely: { surface: { wet: 0.05, dry: 0.95 }, air: { short: 0.05, right: 0.95 } },
    harms: ['drowned', 'damping'],
  },
  cold: {
    likely: { nights: { cold: 0.9, mild: 0.1 } },
    harms: [],
  },
  dark: {
    likely: {},
    harms: [],
  },
  damping: {
    likely: {
      surface: { wet: 0.9, dry: 0.1 },
      fresh: { yes: 0.35, no: 0.65 },
      air: { short: 0.5, right: 0.5 },
    },
    harms: [],
  },
  'old-seed': {
    likely: { seed: { old: 0.85, good: 0.15 } },
    harms: [],
  },
  deep: {
    likely: { seed: { old: 0.2, good: 0.8 }, surface: { wet: 0.4, dry: 0.6 } },
    harms: [],
  },
  ammonia: {
    likely: { fresh: { yes: 0.85, no: 0.15 }, ec: { low: 0.05, right: 0.45, high: 0.5 } },
    harms: [],
  },
  circling: {
    likely: { age: { long: 0.9, right: 0.1 }, feed: { due: 0.6, given: 0.4 } },
    harms: [],
  },
  'gnat-larvae': {
    likely: { surface: { wet: 0.9, dry: 0.1 }, fresh: { yes: 0.3, no: 0.7 } },
    harms: [],
  },
  loose: {
    likely: {},
    harms: [],
  },
};

interface Sign {
  /** Weights of its causes. */
  from: Partial<Record<CauseId, number>>;
}
export const signs = {
  'yellow-old': {
    from: { hungry: 6, circling: 3, drowned: 2, cold: 1, sour: 1 },
  },
  'yellow-veins': {
    from: { sweet: 6, drowned: 2, cold: 1, salty: 1 },
  },
  'yellow-edges': { from: { salty: 5, sour: 2, dry: 3, ammonia: 1 } },
  purple: { from: { cold: 6, hungry: 2, sour: 1, drowned: 1 } },
  stretched: { from: { dark: 9, ammonia: 0.5 } },
  spotted: { from: { damping: 4, dark: 2, circling: 2, drowned: 2 } },
  stunted: {
    from: { cold: 3, salty: 3, hungry: 3, drowned: 2, sour: 2, ammonia: 2, circling: 2 },
  },
  'wilt-wet': { from: { drowned: 5, damping: 3, salty: 3, 'gnat-larvae': 2 } },
  'stem-rot': { from: { damping: 8, drowned: 2, ammonia: 1 } },
  'green-film': { from: { drowned: 6, dark: 0.5, sweet: 0.5 } },
  mould: { from: { ammonia: 5, damping: 3, drowned: 3 } },
  gnats: { from: { 'gnat-larvae': 8, drowned: 2, ammonia: 1 } },
  'burnt-tips': { from: { salty: 6, ammonia: 3, dry: 3 } },
  uneven: { from: { 'old-seed': 4, deep: 3, dry: 3, cold: 2, salty: 1 } },
  'none-up': {
    from: { 'old-seed': 4, cold: 3, deep: 3, dry: 2, salty: 2, ammonia: 2, drowned: 2 },
  },
  roots: { from: { circling: 9, dry: 0.5 } },
  falls: { from: { loose: 8, dry: 2 } },
} as const satisfies Record<string, Sign>;
export type SignId = keyof typeof signs;
export const signIds = Object.keys(signs) as SignId[];

/** Amounts of water for a planting, of which a remedy speaks. */
export interface Drench {
  litres: number;
  leachLitres: number;
}
