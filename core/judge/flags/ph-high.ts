import { beside } from '#core/units/show';
import { usual } from '#core/recipe/usual';
import { type Rule, capital, spoken } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Too sweet with no lime at all: the parts do it. */
export const phHigh: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { ph, composition } = judged.evaluation;
  if (lime.main || ph <= lime.window.high + 0.005) return null;
  const sweet = composition.parts.filter(
    (p) => p.material.ph > lime.window.high && p.material.bufferMeqPerLPerPh >= 4,
  );
  const who = spoken((sweet.length ? sweet : composition.parts).map((p) => p.material.name));
  return {
    code: 'ph-high',
    severity: ph > 7 ? 'stop' : 'warn',
    text: said`Too alkaline: pH ${beside(ph, 1, lime.window.high)} with no lime, over ${lime.window.high.toFixed(1)}. ${capital(who)} ${who.includes(' and ') ? 'bring' : 'brings'} it.`,
    remedy: said`Add a part of acid peat, or less ${who}.`,
    fix: { kind: 'addPart', material: usual.sourPeat },
  };
};
