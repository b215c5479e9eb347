import { type Rule } from '#core/judge/flag';
import { limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Nothing buffers: the water decides the pH, not the lime. */
export const phByWater: Rule = (judged) => {
  if (!judged.reading('ph')?.byWater) return null;
  const { main } = limeState(judged);
  return {
    code: 'ph-by-water',
    severity: 'note',
    text: said`Nothing in this mix holds its pH: after a watering or two it is your water’s.`,
    remedy: main
      ? said`Leave the lime out and look at your water.`
      : said`Look at the pH and alkalinity of your water.`,
    ...(main && { fix: { kind: 'noLime' as const } }),
  };
};
