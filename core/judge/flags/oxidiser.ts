import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Nitrate salts feed fire. */
export const oxidiser: Rule = ({ evaluation }) => {
  const salt = evaluation.doses.find((d) => d.gPerL > 0 && d.amendment.caution === 'oxidiser');
  if (!salt) return null;
  return {
    code: 'oxidiser',
    severity: 'note',
    text: said`${salt.amendment.name} feeds fire.`,
    remedy: said`Keep it dry, away from fuel, straw and meals; its label decides.`,
  };
};
