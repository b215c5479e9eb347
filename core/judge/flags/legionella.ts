import { type Rule } from '#core/judge/flag';
import { isLiving } from '#core/material/families';
import { said } from '#core/units/said';

/** Compost, castings, leaf mould and loam can carry Legionella and moulds. */
export const legionella: Rule = ({ evaluation }) => {
  const living = evaluation.composition.parts.filter((p) => isLiving(p.material));
  if (living.length === 0) return null;
  return {
    code: 'legionella',
    severity: 'note',
    text: said`${living[0]!.material.name} can carry Legionella and moulds.`,
    remedy: said`Open bags away from your face, do not breathe the steam, wash your hands.`,
  };
};
