import { beside } from '#core/units/show';
import { type Rule } from '#core/judge/flag';
import { advisedLime, isPhSettled, limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Still too sour for the stage. */
export const limeUnderdose: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { ph } = judged.evaluation;
  if (ph >= lime.window.low - 0.005) return null;
  const start = lime.main
    ? said`Too little lime: it brings the mix to pH ${beside(ph, 1, lime.window.low)}, still under ${lime.window.low.toFixed(1)}.`
    : said`Too acid: pH ${beside(ph, 1, lime.window.low)} with no lime, under ${lime.window.low.toFixed(1)}. Peat lowers pH, it never raises it.`;
  return {
    code: 'lime-underdose',
    severity: ph < 4.6 ? 'stop' : 'warn',
    text: [...start, ' Calcium and magnesium run short and manganese can harm roots.'],
    remedy: said`Dose lime to pH ${lime.aimPh.toFixed(1)}.`,
    fix: { kind: 'limeToPh', amendment: advisedLime(lime), ph: lime.aimPh },
  };
};
