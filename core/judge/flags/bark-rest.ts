import { type Rule } from '#core/judge/flag';
import { isFreshBark } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Fresh bark heats, ties up nitrogen and can poison roots. */
export const barkRest: Rule = (judged) => {
  const bark = partsWhere(judged, isFreshBark);
  if (bark.length === 0) return null;
  return {
    code: 'bark-rest',
    severity: judged.input.stage === 'germination' ? 'warn' : 'note',
    text: said`Fresh bark heats up and takes nitrogen for itself.`,
    remedy: said`Use it aged: let it cool and settle three to four weeks, and smell it: a sour smell means wait.`,
  };
};
