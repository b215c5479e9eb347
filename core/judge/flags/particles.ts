import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

const finer: Record<string, string> = {
  'peat-medium': 'peat-fine',
  'peat-coarse': 'peat-medium',
  'perlite-coarse': 'perlite-fine',
  'vermiculite-medium': 'vermiculite-fine',
  'coir-fibre': 'coir-pith',
};

/** Pieces that do not fit the cell or leave holes around the seed. */
export const particlesLarge: Rule = (judged) => {
  const reading = judged.reading('largestParticle');
  if (reading?.verdict !== 'high') return null;
  const coarse = [...judged.evaluation.composition.parts].sort(
    (a, b) => b.material.maxParticleMm - a.material.maxParticleMm,
  )[0]!;
  const swap = finer[coarse.material.id];
  return {
    code: 'particles-large',
    severity: reading.value > 2.5 * reading.high ? 'stop' : 'warn',
    text: said`Pieces too large: ${coarse.material.name} has bits up to ${{ lengthMm: reading.value }}; this job takes ${{ lengthMm: reading.high }}.`,
    remedy: swap
      ? said`Use the finer grade, or screen it through ${{ lengthMm: reading.high }} while it is dry.`
      : said`Screen it through ${{ lengthMm: reading.high }} while it is dry: wet material will not go through.`,
    ...(swap ? { fix: { kind: 'swapMaterial' as const, from: coarse.material.id, to: swap } } : {}),
  };
};
