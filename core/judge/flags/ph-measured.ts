import { beside } from '#core/units/show';
import { isMeasured } from '#core/judge/flags/lime';
import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** A pH that was read outranks what was computed, and so does what follows from it. */
export const phMeasured: Rule = (judged) => {
  const reading = judged.reading('ph');
  if (!isMeasured(judged) || !reading || reading.verdict === 'ok') return null;
  const sour = reading.verdict === 'low';
  const end = sour ? reading.low : reading.high;
  const far = sour ? reading.value < 4.6 : reading.value > 7;
  return {
    code: sour ? 'ph-read-low' : 'ph-read-high',
    severity: far ? 'stop' : 'warn',
    text: said`Your pen reads pH ${beside(reading.value, 1, end)}, ${sour ? 'under' : 'over'} ${end.toFixed(1)}. That counts, not the estimate.`,
    remedy: sour
      ? said`Put it right from the batch: it works out the lime that is still to go in.`
      : said`Lime cannot be taken out: cut it with unlimed peat, worked out from the batch.`,
  };
};
