import { spoken, type Rule } from '#core/judge/flag';
import { isEarthy } from '#core/material/families';
import { said } from '#core/units/said';

/** Weeds, inhibitors and gnats where seed is to come up. */
export const livingAtGermination: Rule = ({ input, evaluation }) => {
  if (input.stage !== 'germination') return null;
  const living = evaluation.composition.parts.filter(
    // Of kitchen waste there is more to say: not-under-seed.
    ({ material }) =>
      isEarthy(material) &&
      material.family !== 'kitchen-compost' &&
      // Sterilised loam is what seed composts were made of.
      (material.family !== 'loam' || material.living),
  );
  if (living.length === 0) return null;
  const names = spoken(living.map((p) => p.material.name.split(',')[0]!));
  return {
    code: 'living-at-germination',
    severity: 'warn',
    text: said`Under seed, ${names} can bring weeds, growth inhibitors and fungus gnats.`,
    remedy: said`Keep it for potting up, or heat it through to 60 °C for 30 minutes and let it cool.`,
  };
};
