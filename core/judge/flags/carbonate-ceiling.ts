import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { CARBONATE_CEILING_PH, limeNeededMeqPerL } from '#core/mix/ph';
import { said } from '#core/units/said';

/** Lime past what can dissolve lies in wait: it holds the mix sweet for the life of the crop. */
export const carbonateCeiling: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  if (!lime.main || lime.uncappedPh <= CARBONATE_CEILING_PH) return null;
  const used = limeNeededMeqPerL(judged.evaluation.acidity, CARBONATE_CEILING_PH);
  const idle = lime.main.gPerL * (1 - used / lime.appliedMeqPerL);
  return {
    code: 'carbonate-ceiling',
    severity: 'warn',
    text: said`About ${{ doseGPerL: idle }} of this lime never dissolves: the mix stops at pH ${CARBONATE_CEILING_PH.toFixed(1)} and stays there, however much acid feed follows.`,
    remedy: said`Dose lime to pH ${lime.aimPh.toFixed(1)} instead.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: lime.aimPh },
  };
};
