/** Both ends included. */
export type Range = readonly [low: number, high: number];

/**
 * What a number may be. The one table: schemas at the edge, checks in the core, links and forms all read it here.
 * The unit is in the name; percentages are of the edge, fractions inside are checked as percent / 100.
 */
export const limits = {
  /** Of one material, at the edge. Inside a draw a scoop may come out smaller: see `scoopedParts`. */
  parts: [0.0001, 1000],
  scoopedParts: [1e-6, 1000],
  /** As a person types or steps them; links and remedies may be finer. */
  typedParts: [0.01, 1000],
  /** Floors and ceilings of a search. */
  partsLimit: [0, 20],
  materialsInMix: [1, 30],
  dosesInMix: [0, 30],
  doseGPerL: [0, 1000],
  fillPct: [10, 100],
  layerPct: [1, 99],
  alsoFilled: [0, 12],
  vesselLitres: [0.0001, 5000],
  screenedMm: [0.5, 50],
  compactionPct: [0, 50],
  limeToPh: [3.5, 8],
  /** Dimensions of a vessel; headspace leaves at least the smallest of them to fill. */
  vesselMm: [5, 2000],
  headspaceMm: [0, 1995],
  perTray: [1, 2000],

  trays: [1, 100_000],
  sparePct: [0, 200],
  jobLitres: [0.01, 100_000],
  batchLitres: [0.001, 1_000_000],
  vessels: [1, 1_000_000],

  /** Ends of windows that somebody sets. */
  windowPct: [0, 100],
  windowShare: [0, 1],
  windowPh: [3, 9],
  windowEcMSPerCm: [0, 20],
  windowNMgPerL: [0, 2000],
  windowKgPerL: [0, 3],

  measuredPh: [2.5, 11],
  measuredAirPct: [0, 90],
  measuredEcMSPerCm: [0, 50],
  measuredShrinkagePct: [0, 50],
  jarBufferMeqPerLPerPh: [0.1, 1000],
  jarPhBeforeLime: [2.5, 9],
  saturation: [0, 1.2],

  mixC: [0, 95],
  hotWaterC: [1, 100],
  heatTargetC: [0, 100],
  hotMixLitres: [0.01, 1_000_000],

  germination: [0.01, 1],
  seedsPerCell: [1, 50],
  wantedPlants: [1, 100_000],
  confidence: [0.5, 0.9999],

  finderParts: [1, 20],
  finderMaterials: [1, 10],
  finderTop: [1, 50],
  wish: [0, 100],
  pctOfParts: [0, 100],
  spread: [0, 1],
  exponentSpread: [0, 3],
  draws: [1, 200_000],

  struckKgPerL: [0.01, 3],
  doubt: [0.1, 5],
  mixAgeWeeks: [0, 200],
  stock: [0, 10_000_000],
  bagIngredients: [1, 12],
  printedMgPerL: [0, 5000],
  blendParts: [2, 12],
  packages: [0.01, 100_000],
  vesselUses: [1, 10_000],
  waterWeightKg: [0.005, 500],
  blockFalls: [0, 100],
  sampleG: [1, 50_000],
  pricePerUnit: [0, 1_000_000],
  measureLitres: [0.001, 1000],
  heapedLitres: [0.001, 2000],
  tubLitres: [1, 5000],
  liftKg: [1, 100],
  kettleLitres: [0.2, 200],
  loads: [0, 100_000],
  labels: [1, 500],
  /** Any amounts in one unit, of a yield test. */
  scooped: [0.01, 100_000],
  /** What a stand-in is told lies on it. */
  onInstrument: [-1_000_000, 1_000_000],
  usedCount: [1, 1_000_000],

  /** Packages, money, water and the season. */
  packageVolume: [0.001, 1_000_000],
  loosening: [1, 5],
  packageKg: [0.001, 1_000_000],
  litresPerKg: [0.5, 50],
  waterLitresPerKg: [0, 20],
  bulkDensityGPerL: [5, 2200],
  moisturePctWb: [0, 95],
  screenLossPct: [0, 99],
  price: [0, 10_000_000],
  boughtLitres: [0.001, 10_000_000],
  amount: [0, 10_000_000],
  money: [0, 10_000_000],
  labourMinutes: [0, 1_000_000],
  alkalinityMgPerL: [0, 1000],
  acidTargetPh: [4.5, 7],
  feedNMgPerL: [1, 2000],
  injector: [1, 1000],
  tankLitres: [0.1, 100_000],
  /** The life of a mix in its vessel. */
  lifeDays: [1, 365],
  seed: [0, 2_147_483_647],
  houseC: [2, 40],
  waterEcMSPerCm: [0, 10],
  waterAt: [0.05, 1],
  leachPct: [0, 90],
  lifeFeedNMgPerL: [0, 2000],
  feedFromDay: [0, 366],
  leafCover: [0, 1.5],
  crops: [1, 500],
  cropSteps: [1, 10],
  sowings: [1, 200],
  everyDays: [1, 366],
  plantOutDays: [-366, 366],
  trayM2: [0, 10],
  stepWeeks: [0.1, 520],
  lossPct: [0, 99],
  benchM2: [0, 1_000_000],
} as const satisfies Record<string, Range>;

export type LimitName = keyof typeof limits;
