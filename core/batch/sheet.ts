import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { type Evaluation } from '#core/mix/evaluate';
import { type Dose } from '#core/mix/ph';
import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** Amounts for a batch of finished mix. */
export interface BatchSheet {
  /** Finished mix, in the vessels, after shrinkage and firming. */
  litres: number;
  components: { material: string; looseLitres: number; massKg: number }[];
  amendments: { amendment: string; grams: number }[];
  waterLitres: number;
}

/** Doses of which something is weighed: lime that nothing needs is none. */
export const dosesGiven = ({ doses }: Pick<Evaluation, 'doses'>): readonly Dose[] =>
  doses.filter((d) => d.gPerL > 0);

/**
 * What to scoop, weigh and pour for so much finished mix.
 * Loose litres are litres × D × f; mass is at the moisture as bought; water is what lifts the mix from
 * as-bought moisture to the target saturation, never below 0.
 * @param litres 0.001–1,000,000
 */
export function batchSheet(evaluation: Evaluation, litres: number, moisture: Moisture): BatchSheet {
  checkRange('litres', litres, ...limits.batchLitres);
  const { composition } = evaluation;
  return {
    litres,
    components: composition.parts.map(({ material }, i) => {
      const looseLitres = litres * composition.densification * composition.shares[i]!;
      const dryKg = (looseLitres * material.dryBulkDensityGPerL) / 1000;
      return { material: material.id, looseLitres, massKg: dryKg / (1 - material.moistureWetBasis) };
    }),
    amendments: dosesGiven(evaluation).map((d) => ({
      ...{ amendment: d.amendment.id, grams: d.gPerL * litres },
    })),
    waterLitres: Math.max(
      0,
      litres * (targetSaturation[moisture] * composition.totalPorosity - composition.waterAsBought),
    ),
  };
}
