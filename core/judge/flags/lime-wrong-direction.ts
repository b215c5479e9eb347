import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Lime where the mix needs none: the parts are sweet enough already, or a lower pH was asked of it. */
export const limeWrongDirection: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { phBeforeLime } = judged.evaluation.acidity;
  const asked = judged.input.limeToPh;
  if (lime.main && lime.neededMeqPerL === 0) {
    return {
      code: 'lime-wrong-direction',
      severity: judged.evaluation.ph > lime.window.high ? 'stop' : 'warn',
      text: said`No lime is needed: the parts alone stand at pH ${phBeforeLime.toFixed(1)}, and lime only raises it.`,
      remedy: said`Leave the lime out.`,
      fix: { kind: 'noLime' },
    };
  }
  if (asked && asked.ph < phBeforeLime - 0.05 && phBeforeLime > lime.window.high) {
    return {
      code: 'lime-wrong-direction',
      severity: 'warn',
      text: said`Lime cannot bring pH ${phBeforeLime.toFixed(1)} down to ${asked.ph.toFixed(1)}: lime only raises pH.`,
      remedy: said`Add acid peat, or use less of the alkaline materials.`,
      fix: { kind: 'addPart', material: usual.sourPeat },
    };
  }
  return null;
};
