import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Tall and light: the pot blows over. */
export const tooLight: Rule = (judged) => {
  const { input, evaluation } = judged;
  const { vessel } = input;
  if (vessel.shape !== 'round' || vessel.depthMm < 90 || input.stage === 'germination') return null;
  const half = evaluation.drained.water - evaluation.easilyAvailableWater / 2;
  const kgPerL = (evaluation.composition.dryBulkDensityGPerL + 1000 * half) / 1000;
  if (kgPerL >= 0.5) return null;
  return {
    code: 'too-light',
    severity: 'note',
    text: said`Light to stand: ${{ massG: kgPerL * 1000 * evaluation.column.volumeL }} once half dry. Tall pots blow over.`,
    remedy: said`Add a part of sharp sand, or stand them close in a crate.`,
    fix: { kind: 'addPart', material: usual.weight },
  };
};
