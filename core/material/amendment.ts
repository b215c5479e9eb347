export const amendmentKinds = ['lime', 'salt', 'trace', 'wetting', 'coated', 'organic', 'mineral'] as const;
export type AmendmentKind = (typeof amendmentKinds)[number];

export const amendmentForms = ['', 'pellet', 'ash'] as const;
export type AmendmentForm = (typeof amendmentForms)[number];

/** What is dosed in grams per litre. Label percentages as they stand on the bag. */
export interface Amendment {
  id: string;
  name: string;
  kind: AmendmentKind;
  /** Shape in which it comes where that matters: pellets react in spots, ash varies from fire to fire. */
  form: AmendmentForm;
  nPct: number;
  p2O5Pct: number;
  k2OPct: number;
  caPct: number;
  mgPct: number;
  sPct: number;
  /** Calcium carbonate equivalent, % of pure calcium carbonate. */
  ccePct: number;
  passing2360UmPct: number;
  passing250UmPct: number;
  /** Soluble cations, meq per g. */
  solubleSaltsMeqPerG: number;
  organicNReleaseFraction: number;
  releaseRatePerWeek20C: number;
  longevityWeeks21C: number;
  bulkDensityGPerMl: number;
  caution: 'dust' | 'caustic' | 'oxidiser' | '';
  /** Share of what lies between 0.25 and 2.36 mm that counts within a crop: half of ground lime, a fifth of shell. */
  coarseCredit: number;
  /** Most that a litre of water dissolves of it, g; 0 where all of it dissolves. */
  solubilityGPerL: number;
  /** Ammonium, and what turns to it, of the nitrogen, %. */
  nh4ShareOfNPct: number;
  /** Weight of one grain, mg; 0 where it does not come in grains. */
  grainMg: number;
  /** Most that is given, g/L, under seed, cuttings and seedlings, and in pots; 0 where there is no limit. */
  mostYoungGPerL: number;
  mostPottingGPerL: number;
  /** Why no more. */
  ceilingReason: string;
  /** Its label names trace elements. */
  traces?: boolean | undefined;
}

/** 50.04 g of calcium carbonate hold one equivalent. */
const MEQ_PER_G_CACO3 = 1000 / 50.04;

/**
 * Acid neutralised per gram of product once it has reacted, meq/g:
 * calcium carbonate equivalent × fineness, where all that passes 0.25 mm counts whole and what lies
 * between 0.25 and 2.36 mm counts as its `coarseCredit`, half for ground lime (US agronomic convention; Argo & Fisher 2002).
 */
export function neutralisingMeqPerG(product: Amendment): number {
  const fine = product.passing250UmPct / 100;
  const coarse = product.passing2360UmPct / 100 - fine;
  return MEQ_PER_G_CACO3 * (product.ccePct / 100) * (fine + coarse * product.coarseCredit);
}

/** How much of pure ground calcium carbonate a product is worth, %: its strength with its fineness in it. */
export const limingPct = (product: Amendment): number =>
  (100 * neutralisingMeqPerG(product)) / MEQ_PER_G_CACO3;

/** Label oxide to element (atomic weights). */
export const P_PER_P2O5 = 0.4364;
export const K_PER_K2O = 0.8301;
