import { type Rule } from '#core/judge/flag';
import { isCompost } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Warm, wet and sealed grows mould and ammonium. */
export const storeOpen: Rule = (judged) => {
  const feed = judged.evaluation.doses.some((d) => d.gPerL > 0 && d.amendment.kind === 'organic');
  const living = partsWhere(judged, isCompost).length > 0;
  if (!feed && !living) return null;
  return {
    code: 'store-open',
    severity: 'note',
    text: said`Stored warm, wet and sealed this mix grows mould, and its feed turns to ammonium.`,
    remedy: said`Keep it cool with the lid ajar and use it within two to three weeks.`,
  };
};
