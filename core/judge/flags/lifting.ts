import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** A wet tub that nobody should lift alone. */
export const lifting: Rule = ({ input, evaluation }) => {
  if (input.litres === undefined) return null;
  const kg =
    (input.litres *
      (evaluation.composition.dryBulkDensityGPerL + 450 * evaluation.composition.totalPorosity)) /
    1000;
  if (kg < 25) return null;
  return {
    code: 'lifting',
    severity: 'note',
    text: said`The batch weighs about ${{ massG: kg * 1000 }} moist.`,
    remedy: said`Mix it in loads, as the card has it; lift with two or use a barrow.`,
  };
};
