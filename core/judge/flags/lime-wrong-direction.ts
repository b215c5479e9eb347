import { type Rule } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Lime where the mix needs none: the parts are sweet enough already. A pH that is asked for takes none then. */
export const limeWrongDirection: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { phBeforeLime } = judged.evaluation.acidity;
  if (lime.main && lime.neededMeqPerL === 0) {
    return {
      code: 'lime-wrong-direction',
      severity: judged.evaluation.ph > lime.window.high ? 'stop' : 'warn',
      text: said`No lime is needed: the parts alone stand at pH ${phBeforeLime.toFixed(1)}, and lime only raises it.`,
      remedy: said`Leave the lime out.`,
      fix: { kind: 'noLime' },
    };
  }
  return null;
};
