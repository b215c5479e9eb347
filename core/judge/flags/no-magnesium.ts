import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { limeState } from '#core/judge/flags/lime';
import { partsWhere } from '#core/judge/flags/parts-where';
import { said } from '#core/units/said';

const ENOUGH_MG_PER_L = 25;
/** Share of loam that brings enough by itself: common practice, no source. */
const ENOUGH_LOAM = 0.2;

/** Limed, but nothing brings magnesium. Below about 25 mg/L: common practice, no source. */
export const noMagnesium: Rule = (judged) => {
  const lime = limeState(judged);
  const { mg } = judged.evaluation.elementsMgPerL;
  if (!lime.main || lime.main.amendment.mgPct >= 2 || mg >= ENOUGH_MG_PER_L) return null;
  // The clay of loam holds magnesium that no extract of water finds.
  const loam = partsWhere(judged, ({ family }) => family === 'loam').reduce((sum, p) => sum + p.share, 0);
  if (loam >= ENOUGH_LOAM) return null;
  const { stage } = judged.input;
  return {
    code: 'no-magnesium',
    // Seed and cuttings leave before it runs short.
    severity: stage === 'germination' || stage === 'rooting' ? 'note' : 'warn',
    text: said`Hardly any magnesium (${mg.toFixed(0)} mg/L): this lime brings calcium only. Old leaves yellow between the veins.`,
    remedy: said`Lime with ground dolomitic limestone instead.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: judged.input.limeToPh?.ph ?? lime.aimPh },
  };
};
