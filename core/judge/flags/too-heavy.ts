import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Common practice, no source. */
const MOST_KG_PER_L = 1.3;

/** Wet, it is a load for backs and benches. */
export const tooHeavy: Rule = ({ evaluation }) => {
  const kgPerL = evaluation.wetWeightG / 1000 / evaluation.column.volumeL;
  if (kgPerL <= MOST_KG_PER_L) return null;
  return {
    code: 'too-heavy',
    severity: 'note',
    text: said`Heavy when wet: ${{ volumeL: 10 }} of it weigh ${{ massG: 10_000 * kgPerL }}. Full trays strain backs and benches.`,
    remedy: said`Use less sand, grit or loam, and carry smaller loads.`,
  };
};
