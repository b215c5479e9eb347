import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Blocks: as the materials come, is there already more water than the press wants? Too dry, the work says what to pour on. */
export const pressMoisture: Rule = ({ input, evaluation }) => {
  if (input.vessel.shape !== 'block') return null;
  const { waterAsBought, totalPorosity } = evaluation.composition;
  const s = waterAsBought / totalPorosity;
  if (s <= 0.9) return null;
  return {
    code: 'press-too-wet',
    severity: 'warn',
    text: said`Too wet to press as it comes: ${Math.round(s * 100)} % of the pores are full, 70–90 % presses well.`,
    remedy: said`Work in dry peat or coir until water shows between the fingers and none stands in the tub.`,
    fix: { kind: 'addPart', material: usual.coir },
  };
};
