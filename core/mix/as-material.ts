import { coirShareOf, earthyShareOf, grittyShareOf } from '#core/material/families';
import { type Carried, type Material, type MaterialRow, materialToRow } from '#core/material/material';
import { waterOf } from '#core/material/retention';
import { type Composition, meanByShare } from '#core/mix/composition';
import { type Evaluation } from '#core/mix/evaluate';
import { targetSaturation } from '#core/mix/moisture';
import { limedMeqPerL, type Dose } from '#core/mix/ph';
import { q10, releasedMgPerL } from '#core/mix/release';
import { MG_PER_MEQ_N } from '#core/mix/salts';
import { waterHeld } from '#core/mix/water-air';
import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** A mix is known by its parts: its figures scatter a little more than theirs. Common practice, no source. */
const DOUBT_OF_MIX = 1.2;
/** Of its parts, from which on the whole behaves so. */
const CRUSHES_FROM = 0.25;

/** What a mix has lived through before it goes into another. */
export interface Age {
  weeks: number;
  /** Mean temperature of it, 2–40 °C. */
  celsius: number;
}

const clamp = (value: number, [low, high]: readonly [number, number]): number =>
  Math.min(high, Math.max(low, value));

/** Feed that is still to come, after so many weeks. Coated feed keeps its pace; organic feed follows its curve. */
function stillCarried(doses: readonly Dose[], { weeks, celsius }: Age): Carried[] {
  return doses.flatMap(({ amendment, gPerL }): Carried[] => {
    if (amendment.kind === 'coated') {
      const lasts = amendment.longevityWeeks21C - weeks * q10(celsius, 21);
      if (lasts <= 0 || gPerL === 0) return [];
      const rest = gPerL * (lasts / amendment.longevityWeeks21C);
      return [{ amendment: { ...amendment, longevityWeeks21C: lasts }, gPerL: rest }];
    }
    if (amendment.kind !== 'organic' || gPerL === 0) return [];
    const rest = gPerL * Math.exp(-amendment.releaseRatePerWeek20C * q10(celsius, 20) * weeks);
    return rest > 1e-3 ? [{ amendment, gPerL: rest }] : [];
  });
}

/**
 * A mix as a part of another: its figures from its recipe, before it is firmed; its peat share and its feed come along,
 * with what was set free by now in the water (nothing is taken as leached in the tub).
 * @param evaluation of the mix, at its own firming: that of its parts is undone
 * @param age since mixing; 0 weeks for fresh
 * @throws RangeError for an age out of range
 * @example asMaterial(evaluateMix(seedMix), loose, { id: 'own-seed-mix', name: 'Seed mix, 4 weeks' }, { weeks: 4, celsius: 18 })
 */
export function asMaterial(
  { ph, doses, carried, acidity, elementsMgPerL: e, ...evaluation }: Evaluation,
  loose: Composition,
  { id, name }: { id: string; name: string },
  age: Age,
): MaterialRow {
  checkRange('weeks', age.weeks, ...limits.mixAgeWeeks);
  const feeds = [...doses, ...carried];
  // Per litre of loose mix: what was reckoned firmed is spread over more of it.
  const perLoose = loose.densification / evaluation.composition.densification;
  const mean = (of: (m: Material) => number): number => loose.densification * meanByShare(loose, of);
  const freed = (nutrient: 'n' | 'p' | 'k'): number =>
    releasedMgPerL(feeds, nutrient, age.weeks, age.celsius) - releasedMgPerL(feeds, nutrient, 0, age.celsius);
  const leading = loose.parts[loose.shares.indexOf(Math.max(...loose.shares))]!.material;
  const [n, p, k] = [freed('n'), freed('p'), freed('k')];
  const dosedNh4 = doses.reduce(
    (sum, d) =>
      sum +
      d.gPerL *
        d.amendment.nPct *
        10 *
        (d.amendment.nh4ShareOfNPct / 100) *
        (d.amendment.kind === 'salt' ? 1 : 0),
    0,
  );
  const slope = acidity.bufferMeqPerLPerPh > 0 ? acidity.a / acidity.bufferMeqPerLPerPh : 0;
  const taken = Math.max(0, acidity.b * ph - (acidity.a * ph * ph) / 2 - acidity.c);
  const water = 1000 * targetSaturation.sowing * loose.totalPorosity;
  const any = (of: (m: Material) => boolean): boolean => loose.parts.some((part) => of(part.material));
  const share = (of: (m: Material) => number): number => meanByShare(loose, of);
  const [w10, w50, w100] = [10, 50, 100].map((h) => Math.min(loose.totalPorosity, waterHeld(loose, h)));
  const row = {
    id,
    name,
    family: leading.family,
    role: leading.role,
    make: leading.make,
    dryBulkDensityGPerL: loose.dryBulkDensityGPerL,
    totalPorosity: loose.totalPorosity,
    waterAt10Cm: w10!,
    waterAt50Cm: w50!,
    waterAt100Cm: w100!,
    airEntryCm: 0,
    particleMm: Math.exp(share((m) => Math.log(m.particleMm))),
    maxParticleMm: evaluation.largestParticleMm,
    packingFraction: clamp(
      mean((m) => m.packingFraction),
      [0.2, 0.8],
    ),
    ph,
    bufferMeqPerLPerPh: acidity.bufferMeqPerLPerPh * perLoose,
    bufferSlopePerPh: clamp(slope, [0, 0.35]),
    carbonateMeqPerL: Math.max(0, acidity.carbonateMeqPerL + limedMeqPerL(doses) - taken) * perLoose,
    moistureWetBasis: water / (water + loose.dryBulkDensityGPerL),
    cohesion: evaluation.cohesion,
    saltsMeqPerL: (evaluation.saltsMeqPerL + n / MG_PER_MEQ_N) * perLoose,
    availableNMgPerL: (e.n + n) * perLoose,
    availablePMgPerL: (e.p + p) * perLoose,
    availableKMgPerL: (e.k + k) * perLoose,
    availableCaMgPerL: e.ca * perLoose,
    availableMgMgPerL: e.mg * perLoose,
    nh4NMgPerL: dosedNh4 * perLoose + mean((m) => m.nh4NMgPerL),
    naMgPerL: mean((m) => m.naMgPerL),
    clMgPerL: mean((m) => m.clMgPerL),
    drawdownMgNPerL: evaluation.drawdownMgNPerL * perLoose,
    peatFree: evaluation.peat === 0,
    renewableWithinDecades: !any((m) => !m.renewableWithinDecades),
    dusty: false,
    crushes: share((m) => (m.crushes ? 1 : 0)) > CRUSHES_FROM,
    living: any((m) => m.living),
    doubt: DOUBT_OF_MIX,
    madeOf: {
      peat: evaluation.peat,
      coir: share(coirShareOf),
      earthy: share(earthyShareOf),
      gritty: share(grittyShareOf),
    },
    ...(feeds.length > 0 && {
      carries: stillCarried(feeds, age).map((each) => ({ ...each, gPerL: each.gPerL * perLoose })),
    }),
  };
  return materialToRow({ ...row, airEntryCm: airEntryOf(row, waterHeld(loose, NEAR_SATURATION_CM)) });
}

/** Where the three points of a row say nothing: a wet cell stands at about this suction. */
const NEAR_SATURATION_CM = 4;
const MOST_AIR_ENTRY_CM = 12;

/** The air entry with which the curve through the points holds so much water near saturation, by halving. */
function airEntryOf(row: Material, water: number): number {
  let [low, high] = [0, MOST_AIR_ENTRY_CM];
  for (let i = 0; i < 14; i++) {
    const airEntryCm = (low + high) / 2;
    if (waterOf({ ...row, airEntryCm }, NEAR_SATURATION_CM) < water) low = airEntryCm;
    else high = airEntryCm;
  }
  return low < 0.01 ? 0 : low;
}
