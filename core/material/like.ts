import { type MaterialRow, materialFromRow, materialToRow } from '#core/material/material';
import { withSalts } from '#core/material/salty';
import { screened } from '#core/material/screened';
import { type LimitName, limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** What a grower can say of a material of their own; what is left out is as the kin has it. */
export interface LikeAnswers {
  /** A struck measure of it weighs so much, as it lies there. */
  struckKgPerL?: number | undefined;
  /** Water in it, % of its wet weight. */
  moisturePct?: number | undefined;
  /** Largest piece, or the screen that it went through. */
  largestMm?: number | undefined;
  ph?: number | undefined;
  /** EC of one part shaken with five parts of water by volume, mS/cm (EN 13037). */
  ec1to5MSPerCm?: number | undefined;
  living?: boolean | undefined;
}

export const likeLimits: Record<Exclude<keyof LikeAnswers, 'living'>, LimitName> = {
  struckKgPerL: 'struckKgPerL',
  moisturePct: 'moisturePctWb',
  largestMm: 'screenedMm',
  ph: 'measuredPh',
  ec1to5MSPerCm: 'measuredEcMSPerCm',
};

/** How much wider the band of a material is that is known only by its kin. Common practice, no source. */
export const DOUBT_OF_KIN = 1.5;

/**
 * A material like another one, but for what is said of it.
 * @throws RangeError for a number out of range, or a weight that leaves no dry matter or more than rock
 * @example likeThis(compost, { id: 'own-heap', name: 'Our heap' }, { struckKgPerL: 0.7, moisturePct: 40, ph: 7.2 })
 */
export function likeThis(
  kin: MaterialRow,
  { id, name }: { id: string; name: string },
  answers: LikeAnswers,
): MaterialRow {
  for (const [asked, limit] of Object.entries(likeLimits) as [keyof typeof likeLimits, LimitName][]) {
    const value = answers[asked];
    const [low, high] = limits[limit];
    if (value !== undefined) checkRange(asked, value, low, high);
  }
  const { largestMm, struckKgPerL, moisturePct, ph, ec1to5MSPerCm, living } = answers;
  const base = materialFromRow(kin);
  const finer =
    largestMm !== undefined && largestMm < base.maxParticleMm ? screened(base, largestMm).material : base;
  const row = materialToRow({ ...finer, id, name });
  // A coarser one than its kin: its largest piece is another, the rest stays until a test says otherwise.
  if (largestMm !== undefined && largestMm > row.maxParticleMm) row.maxParticleMm = largestMm;
  if (moisturePct !== undefined) row.moistureAsBoughtPctWb = moisturePct;
  if (struckKgPerL !== undefined) {
    const dry = 1000 * struckKgPerL * (1 - row.moistureAsBoughtPctWb / 100);
    row.dryBulkDensityGPerL = checkRange('dryBulkDensityGPerL', dry, ...limits.bulkDensityGPerL);
  }
  if (ph !== undefined) row.ph = ph;
  if (ec1to5MSPerCm !== undefined) {
    const water = (row.dryBulkDensityGPerL * row.moistureAsBoughtPctWb) / (100 - row.moistureAsBoughtPctWb);
    Object.assign(row, withSalts(row, ec1to5MSPerCm * 10 * (5 + water / 1000)));
  }
  if (living !== undefined) row.living = living;
  row.doubt = DOUBT_OF_KIN;
  // What tests told of the kin they did not tell of another one.
  if (id !== kin.id) delete row.sure;
  return row;
}
