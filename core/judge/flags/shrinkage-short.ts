import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** The job needs more in the scoop than in the vessels. */
export const shrinkageShort: Rule = ({ input, evaluation }) => {
  const { shrinkage } = evaluation.composition;
  if (shrinkage < 0.08 || input.litres === undefined) return null;
  const loose = input.litres * evaluation.composition.densification;
  return {
    code: 'shrinkage-short',
    severity: 'note',
    text: said`Parts do not add up: ${Math.round(shrinkage * 100)} % vanishes in mixing. A tub filled to ${{ volumeL: input.litres }} with loose parts comes out short.`,
    remedy: said`Scoop ${{ volumeL: loose }} in all: the card counts it in.`,
  };
};
