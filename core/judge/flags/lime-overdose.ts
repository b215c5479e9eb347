import { type Rule } from '#core/judge/flag';
import { advisedLime, isPhSettled, limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** More lime than the window takes. Thirty times over is not rare at the bench, and nothing shows for weeks. */
export const limeOverdose: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { ph, acidity } = judged.evaluation;
  if (!lime.main || lime.neededMeqPerL <= 0 || ph <= lime.window.high + 0.005) return null;
  const times = lime.appliedMeqPerL / lime.neededMeqPerL;
  const right = (lime.main.gPerL * lime.neededMeqPerL) / lime.appliedMeqPerL;
  return {
    code: 'lime-overdose',
    severity: times >= 1.5 || ph > 7 ? 'stop' : 'warn',
    text: said`Too much lime: ${times.toFixed(times < 10 ? 1 : 0)} times the dose for pH ${lime.aimPh.toFixed(1)}. It takes this mix from ${acidity.phBeforeLime.toFixed(1)} to ${ph.toFixed(1)}, where iron and manganese lock up and seedlings stand still.`,
    remedy: said`Set lime to ${{ doseGPerL: right }}. Lime cannot be taken out again: if it is mixed in already, cut it with unlimed peat.`,
    fix: { kind: 'limeToPh', amendment: advisedLime(lime), ph: lime.aimPh },
  };
};
