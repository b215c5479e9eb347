import { beside } from '#core/units/show';
import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';
import { fillDepthMm } from '#core/vessel/vessel';

/** Too little air once drained in this very vessel. */
export const airLow: Rule = (judged) => {
  const reading = judged.reading('air');
  if (reading?.verdict !== 'low') return null;
  const depth = fillDepthMm(judged.input.vessel);
  const { soakedFootMm } = judged.evaluation;
  const foot =
    soakedFootMm > 0.7 * depth
      ? said` Nearly all of its ${{ lengthMm: depth }} stays saturated.`
      : said` The lowest ${{ lengthMm: Math.max(1, soakedFootMm) }} stays saturated.`;
  return {
    code: 'air-low',
    severity: reading.value < reading.low / 3 ? 'stop' : 'warn',
    text: [
      ...said`Too little air here: ${beside(reading.value, 1, reading.low)} % where ${reading.low} % is wanted.`,
      ...foot,
    ],
    remedy: said`Add a part of perlite, or go to a deeper vessel.`,
    fix: {
      kind: 'addPart',
      material: judged.evaluation.largestParticleMm >= 5 ? usual.coarseOpener : usual.fineOpener,
    },
  };
};

/** So open that it dries before noon. */
export const airHigh: Rule = (judged) => {
  const reading = judged.reading('air');
  if (reading?.verdict !== 'high') return null;
  return {
    code: 'air-high',
    severity: 'warn',
    text: said`Very open here: ${beside(reading.value, 1, reading.high)} % air where ${reading.high} % is the most. It dries fast and small seed falls in.`,
    remedy: said`Add a part of fine peat or coir, or less of the coarse.`,
    fix: { kind: 'addPart', material: judged.evaluation.peat > 0 ? usual.sourPeat : usual.coir },
  };
};

/** A pressed block is judged once it has dried half-way. */
export const blockAir: Rule = (judged) => {
  const reading = judged.reading('airAfterDrydown');
  if (!reading || reading.verdict === 'ok') return null;
  return reading.verdict === 'low'
    ? {
        code: 'block-air-low',
        severity: reading.value < reading.low / 2 ? 'stop' : 'warn',
        text: said`Pressed too tight: even half dried the block holds ${beside(reading.value, 1, reading.low)} % air, ${reading.low} % is wanted.`,
        remedy: said`Press less hard, or add a part of coarse sand or perlite.`,
        fix: { kind: 'addPart', material: usual.coarseOpener },
      }
    : {
        code: 'block-air-high',
        severity: 'warn',
        text: said`Too loose for a block: ${beside(reading.value, 1, reading.high)} % air once half dried, ${reading.high} % is the most.`,
        remedy: said`Use finer, stickier parts: fine peat or black peat.`,
        fix: { kind: 'addPart', material: usual.sourPeat },
      };
};
