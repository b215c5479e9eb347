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

/** How each is found out where the record does not hold it. */
export const tests: Readonly<Record<EvidenceId, string>> = {
  ec: 'Pour water through a cell and read the EC of what drains',
  ph: 'Read the pH of what drains from a cell',
  air: 'Do the drain test: fill, soak, drain, and measure what runs out',
  nights: 'Lay a thermometer among them for a night',
  age: 'Tip one out and look whether its roots go around',
  feed: 'Look up when they were fed last',
  fresh: 'Smell the mix, and look up how long it rested',
  seed: 'Lay ten seeds on damp paper',
  surface: 'Feel whether the top stays wet from one day to the next',
};

export interface Remedy {
  text: string;
  /** Causes under which it does harm. */
  harms: readonly CauseId[];
}
interface Cause {
  name: string;
  why: string;
  /** Probability of what the record holds, where the cause speaks of it. */
  likely: { [E in EvidenceId]?: Partial<Record<StateOf<E>, number>> };
  remedy: Remedy;
  /** What to change in the mix next time. */
  next: string;
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

/** {leach} and {litres} are amounts for the planting. */
export const causes: Readonly<Record<CauseId, Cause>> = {
  hungry: {
    name: 'Hungry: its nitrogen is used up',
    why: 'pale from the oldest leaves upwards, feed due, few salts left',
    likely: {
      ec: { low: 0.7, right: 0.28, high: 0.02 },
      feed: { due: 0.9, given: 0.1 },
      age: { long: 0.5, right: 0.5 },
    },
    remedy: {
      text: 'Feed once with about 100 mg nitrogen in each litre of water, {litres} L for all of them, by the label.',
      harms: ['salty', 'ammonia', 'damping'],
    },
    next: 'More feed that lasts, or the first liquid feed a week sooner',
  },
  sour: {
    name: 'Too acid',
    why: 'pH below its window: roots stop, and magnesium and calcium are missing',
    likely: { ph: { low: 0.9, right: 0.09, high: 0.01 } },
    remedy: {
      text: 'Water once with 1 g of fine lime stirred into each litre, {litres} L in all, and rinse the leaves.',
      harms: ['sweet'],
    },
    next: 'More lime',
  },
  sweet: {
    name: 'Too alkaline: iron is locked up',
    why: 'pH above its window: young leaves yellow between green veins',
    likely: { ph: { low: 0.01, right: 0.14, high: 0.85 } },
    remedy: {
      text: 'Give chelated iron by its label, {litres} L in all, and water with softer or acidified water.',
      harms: ['sour'],
    },
    next: 'Less lime, or less compost',
  },
  salty: {
    name: 'Too salty',
    why: 'EC above its window: edges burn and seed stays shut',
    likely: { ec: { low: 0.01, right: 0.14, high: 0.85 } },
    remedy: {
      text: 'Leach with {leach} L of plain water for all of them, slowly, and let them drain.',
      harms: ['drowned', 'damping'],
    },
    next: 'Less feed or compost',
  },
  drowned: {
    name: 'Too little air at the roots',
    why: 'the mix holds more water than air in this vessel, or is watered too often',
    likely: { air: { short: 0.8, right: 0.2 }, surface: { wet: 0.85, dry: 0.15 } },
    remedy: {
      text: 'Let the top dry before watering again, and stand them where air goes under.',
      harms: ['dry'],
    },
    next: 'Coarser: more perlite, bark or grit',
  },
  dry: {
    name: 'Dried out between waterings',
    why: 'small cells and light mixes dry within a day',
    likely: { surface: { wet: 0.05, dry: 0.95 }, air: { short: 0.05, right: 0.95 } },
    remedy: {
      text: 'Water from below until the top is moist, and lift one to learn its weight.',
      harms: ['drowned', 'damping'],
    },
    next: 'Holds more water: more fine peat, coir or vermiculite',
  },
  cold: {
    name: 'Too cold',
    why: 'nights under its own limit: phosphorus is not taken up and growth stands',
    likely: { nights: { cold: 0.9, mild: 0.1 } },
    remedy: { text: 'Cover them at night, or bring them in.', harms: [] },
    next: 'Nothing in the mix: begin later or warmer',
  },
  dark: {
    name: 'Too little light, or too warm for the light',
    why: 'stems stretch towards it',
    likely: {},
    remedy: { text: 'Move them into more light, cooler, and brush them over once a day.', harms: [] },
    next: 'Nothing in the mix',
  },
  damping: {
    name: 'Damping off: fungi at the soil',
    why: 'wet top, still air, dirty vessels or unripe compost',
    likely: {
      surface: { wet: 0.9, dry: 0.1 },
      fresh: { yes: 0.35, no: 0.65 },
      air: { short: 0.5, right: 0.5 },
    },
    remedy: {
      text: 'Take out what has fallen and its neighbours, water from below only, give air; it does not heal.',
      harms: [],
    },
    next: 'Clean vessels, ripe compost or none, grit on top',
  },
  'old-seed': {
    name: 'Old or poor seed',
    why: 'fewer come up than the bag says, whatever the mix',
    likely: { seed: { old: 0.85, good: 0.15 } },
    remedy: { text: 'Sow again with fresh seed, or three to a cell.', harms: [] },
    next: 'Nothing in the mix',
  },
  deep: {
    name: 'Covered too deep, or needs light to come up',
    why: 'fine seed has no strength for more than its own height',
    likely: { seed: { old: 0.2, good: 0.8 }, surface: { wet: 0.4, dry: 0.6 } },
    remedy: { text: 'Scratch a little of the cover off one tray and see.', harms: [] },
    next: 'Finer on top, or no cover',
  },
  ammonia: {
    name: 'Fresh organic feed or unripe compost',
    why: 'ammonia and gas while it still works',
    likely: { fresh: { yes: 0.85, no: 0.15 }, ec: { low: 0.05, right: 0.45, high: 0.5 } },
    remedy: {
      text: 'Give air and keep them warm and just moist; the next sowing waits two weeks.',
      harms: [],
    },
    next: 'Let it rest two to three weeks, or less of it',
  },
  circling: {
    name: 'Stayed too long: the roots go around',
    why: 'older in this vessel than its size allows',
    likely: { age: { long: 0.9, right: 0.1 }, feed: { due: 0.6, given: 0.4 } },
    remedy: { text: 'Pot up now, tease the roots apart, and water well before.', harms: [] },
    next: 'Nothing in the mix: pot up sooner, or a larger vessel',
  },
  'gnat-larvae': {
    name: 'Larvae of fungus gnats in the roots',
    why: 'they live in wet tops of peat and compost',
    likely: { surface: { wet: 0.9, dry: 0.1 }, fresh: { yes: 0.3, no: 0.7 } },
    remedy: {
      text: 'Let the top dry between waterings, sand on top, yellow cards; nematodes by their label.',
      harms: [],
    },
    next: 'Less raw compost, grit on top',
  },
  loose: {
    name: 'The block does not bind',
    why: 'too little fine peat or compost, or pressed too dry',
    likely: {},
    remedy: { text: 'Leave them in the tray until the roots hold them, and lift with a blade.', harms: [] },
    next: 'More fine black peat or compost, wetter when pressed',
  },
};

interface Sign {
  name: string;
  /** Weights of its causes. */
  from: Partial<Record<CauseId, number>>;
}
export const signs = {
  'yellow-old': {
    name: 'Yellow all over, old leaves first',
    from: { hungry: 6, circling: 3, drowned: 2, cold: 1, sour: 1 },
  },
  'yellow-veins': {
    name: 'Young leaves yellow, veins green',
    from: { sweet: 6, drowned: 2, cold: 1, salty: 1 },
  },
  'yellow-edges': { name: 'Yellow or brown edges', from: { salty: 5, sour: 2, dry: 3, ammonia: 1 } },
  purple: { name: 'Purple leaves', from: { cold: 6, hungry: 2, sour: 1, drowned: 1 } },
  stretched: { name: 'Long and thin', from: { dark: 9, ammonia: 0.5 } },
  spotted: { name: 'Crowded and spotted', from: { damping: 4, dark: 2, circling: 2, drowned: 2 } },
  stunted: {
    name: 'Stand still',
    from: { cold: 3, salty: 3, hungry: 3, drowned: 2, sour: 2, ammonia: 2, circling: 2 },
  },
  'wilt-wet': { name: 'Wilt although wet', from: { drowned: 5, damping: 3, salty: 3, 'gnat-larvae': 2 } },
  'stem-rot': { name: 'Stems rot at the soil', from: { damping: 8, drowned: 2, ammonia: 1 } },
  'green-film': { name: 'Green film or moss on top', from: { drowned: 6, dark: 0.5, sweet: 0.5 } },
  mould: { name: 'Mould on top', from: { ammonia: 5, damping: 3, drowned: 3 } },
  gnats: { name: 'Small black flies', from: { 'gnat-larvae': 8, drowned: 2, ammonia: 1 } },
  'burnt-tips': { name: 'Burnt tips', from: { salty: 6, ammonia: 3, dry: 3 } },
  uneven: { name: 'Come up unevenly', from: { 'old-seed': 4, deep: 3, dry: 3, cold: 2, salty: 1 } },
  'none-up': {
    name: 'None came up',
    from: { 'old-seed': 4, cold: 3, deep: 3, dry: 2, salty: 2, ammonia: 2, drowned: 2 },
  },
  roots: { name: 'Roots go around', from: { circling: 9, dry: 0.5 } },
  falls: { name: 'The block falls apart', from: { loose: 8, dry: 2 } },
} as const satisfies Record<string, Sign>;
export type SignId = keyof typeof signs;
export const signIds = Object.keys(signs) as SignId[];
