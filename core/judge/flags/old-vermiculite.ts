import { type Rule } from '#core/judge/flag';
import { isVermiculite } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Vermiculite from an attic or an old bag. */
export const oldVermiculite: Rule = (judged) => {
  if (partsWhere(judged, isVermiculite).length === 0) return null;
  return {
    code: 'old-vermiculite',
    severity: 'note',
    text: said`Old vermiculite of unknown origin may hold asbestos.`,
    remedy: said`Use only bags whose maker states that it is free of it; leave others shut and ask your waste office.`,
  };
};
