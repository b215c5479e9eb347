import { capital, type Rule } from '#core/judge/flag';
import { volumeL } from '#core/vessel/vessel';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Cells without a grain that are too many to pass over. */
const MOST_WITHOUT = 0.02;

/**
 * Feed in grains falls as chance has it: with n grains to a cell on average, e^(−n) of the cells get none and the
 * rest differ by 1/√n (Poisson).
 */
export const grainsUneven: Rule = ({ input, evaluation }) => {
  const millilitres = volumeL(input.vessel) * 1000;
  const feeds = evaluation.doses
    .filter((d) => d.gPerL > 0 && d.amendment.grainMg >= 1 && d.amendment.nPct > 0)
    .map(({ amendment, gPerL }) => ({ amendment, n: (gPerL * millilitres) / amendment.grainMg }));
  const worst = feeds.sort((a, b) => a.n - b.n)[0];
  if (!worst) return null;
  const without = Math.exp(-worst.n);
  if (without <= MOST_WITHOUT || worst.amendment.kind === 'salt') return null;
  return {
    code: 'grains-uneven',
    severity: 'warn',
    text: said`${capital(worst.amendment.name)}: ${fixed(worst.n, 1)} grains to a cell on average, so ${fixed(without * 100, 0)} in 100 cells get none and the rest differ by ${fixed(100 / Math.sqrt(worst.n), 0)} %.`,
    remedy: said`In cells as small as this feed with a powder mixed through, or by liquid.`,
  };
};
