import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Wet material that has to be screened will not go through. */
export const screenWet: Rule = (judged) => {
  const reading = judged.reading('largestParticle');
  if (reading?.verdict !== 'high') return null;
  const wet = judged.evaluation.composition.parts.find(
    (p) => p.material.maxParticleMm > reading.high && p.material.moistureWetBasis >= 0.4,
  );
  if (!wet) return null;
  return {
    code: 'screen-wet',
    severity: 'note',
    text: said`${wet.material.name} comes at ${Math.round(wet.material.moistureWetBasis * 100)} % moisture: too wet to screen well.`,
    remedy: said`Spread it to dry before it goes through ${{ lengthMm: reading.high }}.`,
  };
};
