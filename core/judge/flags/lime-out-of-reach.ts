import { type Rule } from '#core/judge/flag';
import { isPhSettled, limeState } from '#core/judge/flags/lime';
import { HIGHEST_SOUND_PH } from '#core/mix/lime-curve';
import { said } from '#core/units/said';

/** A pH was asked for that no dose of lime reaches soundly. */
export const limeOutOfReach: Rule = (judged) => {
  const asked = judged.input.limeToPh;
  if (isPhSettled(judged) || !asked || asked.ph <= HIGHEST_SOUND_PH + 1e-9) return null;
  if (judged.evaluation.acidity.phBeforeLime >= HIGHEST_SOUND_PH) return null;
  const { aimPh } = limeState(judged);
  return {
    code: 'lime-out-of-reach',
    severity: 'warn',
    text: said`No dose of lime brings a mix soundly to pH ${asked.ph.toFixed(1)}: over ${HIGHEST_SOUND_PH.toFixed(1)} ever less of it dissolves.`,
    remedy: said`Lime to pH ${aimPh.toFixed(1)}.`,
    fix: { kind: 'limeToPh', amendment: asked.amendment.id, ph: aimPh },
  };
};
