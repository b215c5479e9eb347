import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { labelMgPerL } from '#core/mix/release';
import { said } from '#core/units/said';

/** Leaf and no fruit: nitrogen far ahead of the rest. */
export const nitrogenAhead: Rule = (judged) => {
  const { stage } = judged.input;
  if (stage !== 'seedling' && stage !== 'potting') return null;
  const { evaluation } = judged;
  const whole = (e: 'n' | 'p' | 'k'): number =>
    Math.max(
      evaluation.elementsMgPerL[e],
      evaluation.elementsMgPerL[e] +
        labelMgPerL(
          evaluation.doses.filter((d) => d.amendment.kind === 'organic' || d.amendment.kind === 'coated'),
          e,
        ),
    );
  const [n, p, k] = [whole('n'), whole('p'), whole('k')];
  if (n < 60 || (n <= 12 * p && n <= 3.5 * k)) return null;
  const short =
    n > 12 * p && n > 3.5 * k
      ? 'phosphorus and potassium are'
      : n > 12 * p
        ? 'phosphorus is'
        : 'potassium is';
  return {
    code: 'nitrogen-ahead',
    severity: 'warn',
    text: said`Nitrogen runs far ahead: ${n.toFixed(0)} mg/L against ${p.toFixed(0)} P and ${k.toFixed(0)} K. Leaf and no fruit; ${short} short.`,
    remedy:
      short === 'phosphorus is'
        ? said`Add a little triple superphosphate.`
        : said`Add a little potassium nitrate or sulphate in place of some nitrogen.`,
    fix:
      short === 'phosphorus is'
        ? { kind: 'dose', amendment: usual.phosphorus, gPerL: 0.3 }
        : { kind: 'dose', amendment: usual.potassium, gPerL: 0.25 },
  };
};
