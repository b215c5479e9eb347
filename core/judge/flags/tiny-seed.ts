import { type Rule } from '#core/judge/flag';
import { isVermiculite } from '#core/material/families';
import { said } from '#core/units/said';

/** Bits over this let dust-fine seed fall between them. Common practice, no source. */
const COARSE_MM = 2;
const MOSTLY = 0.8;

/** Dust-fine seed falls between the bits, or is buried by the first drop. */
export const tinySeed: Rule = ({ input, evaluation }) => {
  if (!input.tinySeed || input.stage !== 'germination') return null;
  const { parts, shares } = evaluation.composition;
  const straight = parts.reduce(
    (sum, { material }, i) => sum + (isVermiculite(material) ? shares[i]! : 0),
    0,
  );
  if (straight >= MOSTLY || evaluation.largestParticleMm <= COARSE_MM) return null;
  return {
    code: 'tiny-seed',
    severity: 'note',
    text: said`Seed as fine as dust falls between bits of ${{ lengthMm: evaluation.largestParticleMm }}.`,
    remedy: said`Top it with ${{ lengthMm: 4 }} of straight fine vermiculite, or of this mix rubbed through ${{ lengthMm: COARSE_MM }}; sow on that, do not cover, water from below.`,
  };
};
