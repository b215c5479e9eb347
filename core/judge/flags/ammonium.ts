import { type Rule } from '#core/judge/flag';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Shares of the ready nitrogen as ammonium that young roots stand, and in the cold: common practice, no source. */
const MOST_SHARE = 0.4;
const MOST_SHARE_COLD = 0.25;
/** Too little nitrogen to matter in which form it comes, mg/L. */
const MATTERS_FROM = 40;

/** Nitrogen that is mostly ammonium burns young roots, the more so in the cold. */
export const ammoniumHigh: Rule = ({ evaluation }) => {
  const { n } = evaluation.elementsMgPerL;
  if (n < MATTERS_FROM) return null;
  const { composition, doses } = evaluation;
  const fromParts =
    composition.densification *
    composition.parts.reduce((sum, p, i) => sum + composition.shares[i]! * p.material.nh4NMgPerL, 0);
  const fromDoses = doses
    .filter((d) => d.amendment.kind === 'salt')
    .reduce((sum, d) => sum + (d.gPerL * d.amendment.nPct * 10 * d.amendment.nh4ShareOfNPct) / 100, 0);
  const share = (fromParts + fromDoses) / n;
  if (share <= MOST_SHARE_COLD) return null;
  return {
    code: 'ammonium-high',
    severity: share > MOST_SHARE ? 'warn' : 'note',
    text:
      share > MOST_SHARE
        ? said`${fixed(share * 100, 0)} % of the available nitrogen is ammonium, ${fixed(fromParts + fromDoses, 0)} mg/L: it burns young roots.`
        : said`${fixed(share * 100, 0)} % of the available nitrogen is ammonium, ${fixed(fromParts + fromDoses, 0)} mg/L: below 15 °C it burns young roots.`,
    remedy: said`Give more than half of the nitrogen as nitrate: calcium or potassium nitrate.`,
  };
};
