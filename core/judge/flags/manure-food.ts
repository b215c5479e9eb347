import { type Rule } from '#core/judge/flag';
import { isCompost } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere, spokenNames } from '#core/judge/flags/parts-where';

/** Manure, castings and crops that are eaten. */
export const manureFood: Rule = (judged) => {
  const living = partsWhere(judged, isCompost);
  if (living.length === 0) return null;
  return {
    code: 'manure-food',
    severity: 'note',
    text: said`If ${spokenNames(living)} comes from manure, food crops need a waiting time.`,
    remedy: said`Local food-safety rules decide how long; compost it hot and fully first.`,
  };
};
