import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Feed under seed or cuttings: nobody eats it yet, and warm and wet it turns to ammonium. */
export const feedIdle: Rule = (judged) => {
  const { stage } = judged.input;
  if (stage !== 'germination' && stage !== 'rooting') return null;
  const feed = judged.evaluation.doses.find(
    (d) => d.gPerL > 0 && (d.amendment.kind === 'organic' || d.amendment.kind === 'coated'),
  );
  if (!feed) return null;
  return {
    code: 'feed-idle',
    severity: 'warn',
    text: said`${feed.amendment.name} lies idle ${stage === 'germination' ? 'under seed' : 'under cuttings'}: they have no use for it, and warm and wet it turns to ammonium and salt.`,
    remedy: said`Leave it out here; feed at the first true leaves.`,
    fix: { kind: 'dropAmendment', amendment: feed.amendment.id },
  };
};
