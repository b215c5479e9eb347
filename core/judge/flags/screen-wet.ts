import { type Rule } from '#core/judge/flag';
import { apertureFor } from '#core/vessel/piece-limit';
import { said } from '#core/units/said';

/** Wet material that has to be screened will not go through. */
export const screenWet: Rule = (judged) => {
  const reading = judged.reading('overSize');
  if (reading?.verdict !== 'high') return null;
  const mm = apertureFor(judged.input.vessel);
  const wet = judged.evaluation.composition.parts.find(
    (p) => p.material.maxParticleMm > mm && p.material.moistureWetBasis >= 0.4,
  );
  if (!wet) return null;
  return {
    code: 'screen-wet',
    severity: 'note',
    text: said`${wet.material.name} comes at ${Math.round(wet.material.moistureWetBasis * 100)} % moisture: too wet to screen well.`,
    remedy: said`Spread it to dry before it goes through ${{ lengthMm: mm }}.`,
  };
};
