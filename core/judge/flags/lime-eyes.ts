import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Lime in the eye. */
export const limeEyes: Rule = ({ evaluation }) => {
  if (!evaluation.doses.some((d) => d.gPerL > 0 && d.amendment.kind === 'lime')) return null;
  return {
    code: 'lime-eyes',
    severity: 'note',
    text: said`Lime dust hurts eyes and lungs.`,
    remedy: said`Goggles and mask while weighing; in the eye: rinse long with water and see a doctor. The label decides.`,
  };
};
