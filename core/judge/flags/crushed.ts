import { capital, type Rule, spoken } from '#core/judge/flag';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Share of what crushes that a block stands: common practice, no source. */
const MOST_IN_BLOCK = 0.25;

/** Vermiculite, perlite and hulls lose their pores in the press. */
export const crushedInBlock: Rule = ({ input, evaluation }) => {
  if (input.vessel.shape !== 'block' || input.compaction === 0) return null;
  const { parts, shares } = evaluation.composition;
  const share = parts.reduce((sum, p, i) => sum + (p.material.crushes ? shares[i]! : 0), 0);
  if (share <= MOST_IN_BLOCK) return null;
  const names = parts.filter((p) => p.material.crushes).map((p) => p.material.name);
  return {
    code: 'crushed-in-block',
    severity: 'warn',
    text: said`${capital(spoken(names))}: ${fixed(share * 100, 0)} % of the parts crush in the press, and their air goes with them.`,
    remedy: said`Keep what crushes under ${fixed(MOST_IN_BLOCK * 100, 0)} % in blocks: open them with coir fibre, sand or coarse peat.`,
  };
};
