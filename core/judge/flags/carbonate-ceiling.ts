import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { bufferOnTheWay } from '#core/mix/ph';
import { said } from '#core/units/said';

/** From here most of what is added lies undissolved. */
const IDLE_FROM_PH = 7.2;

/** Lime that does not dissolve lies in wait: it holds the mix alkaline for the life of the crop. */
export const carbonateCeiling: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { ph, acidity } = judged.evaluation;
  if (!lime.main || ph < IDLE_FROM_PH) return null;
  const used = bufferOnTheWay(acidity, ph) * (ph - acidity.phBeforeLime);
  const idle = lime.main.gPerL - used / neutralisingMeqPerG(lime.main.amendment);
  if (idle < 0.1 * lime.main.gPerL) return null;
  return {
    code: 'carbonate-ceiling',
    severity: 'warn',
    text: said`About ${{ doseGPerL: idle }} of this lime lies undissolved: it holds the mix near pH ${ph.toFixed(1)}, however much acid feed follows.`,
    remedy: said`Dose lime to pH ${lime.aimPh.toFixed(1)} instead.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: lime.aimPh },
  };
};
