import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

const ENOUGH_MG_PER_L = 25;

/** Limed, but nothing brings magnesium. Below about 25 mg/L: common practice, no source. */
export const noMagnesium: Rule = (judged) => {
  const lime = limeState(judged);
  const { mg } = judged.evaluation.elementsMgPerL;
  if (!lime.main || lime.main.amendment.mgPct >= 2 || mg >= ENOUGH_MG_PER_L) return null;
  return {
    code: 'no-magnesium',
    severity: 'warn',
    text: said`Hardly any magnesium (${mg.toFixed(0)} mg/L): this lime brings calcium only. Old leaves yellow between the veins.`,
    remedy: said`Lime with ground dolomitic limestone instead.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: judged.input.limeToPh?.ph ?? lime.aimPh },
  };
};
