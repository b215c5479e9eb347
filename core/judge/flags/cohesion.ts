import { usual } from '#core/recipe/usual';
import { type Rule, capital, spoken } from '#core/judge/flag';
import { isLoose } from '#core/material/families';
import { said } from '#core/units/said';

/** Too fluffy to press: the block falls apart at the first touch. */
export const cohesionLow: Rule = (judged) => {
  const reading = judged.reading('cohesion');
  if (reading?.verdict !== 'low') return null;
  const loose = judged.evaluation.composition.parts
    .filter((p) => isLoose(p.material))
    .map((p) => p.material.name);
  const who =
    loose.length > 0 ? ` ${capital(spoken(loose))} ${new Set(loose).size > 1 ? 'do' : 'does'} not bind.` : '';
  return {
    code: 'cohesion-low',
    severity: reading.value < 0.4 ? 'stop' : 'warn',
    text: said`Will not hold as a block: binding ${reading.value.toFixed(2)}, it takes ${reading.low.toFixed(2)}.${who}`,
    remedy: said`Add a part of black peat, fine peat or loam.`,
    fix: { kind: 'addPart', material: usual.bindingPeat },
  };
};
