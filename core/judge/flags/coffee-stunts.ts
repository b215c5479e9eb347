import { type Rule } from '#core/judge/flag';
import { partsWhere } from '#core/judge/flags/parts-where';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Share over which coffee grounds hold plants back. Common practice, no source. */
const MOST_SHARE = 0.2;

/** Coffee grounds stunt young plants. */
export const coffeeStunts: Rule = (judged) => {
  const share = partsWhere(judged, ({ family }) => family === 'coffee').reduce((sum, p) => sum + p.share, 0);
  if (share <= MOST_SHARE + 1e-9) return null;
  return {
    code: 'coffee-stunts',
    severity: 'warn',
    text: said`${fixed(100 * share, 0)} % coffee grounds: over a fifth they stunt young plants.`,
    remedy: said`Compost them first, or keep them to a tenth of the parts.`,
  };
};
