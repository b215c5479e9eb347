import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Pellets in a cell: one cell gets two, the next none. */
export const limePellets: Rule = (judged) => {
  const pellet = limeState(judged).limes.find((d) => d.amendment.form === 'pellet');
  if (!pellet) return null;
  return {
    code: 'lime-pellets',
    severity: judged.evaluation.column.volumeL < 0.25 ? 'warn' : 'note',
    text: said`Pellets weigh the same as powder but react in spots: small cells get one or none.`,
    remedy: said`Use the ground form, or crush the pellets and blend them in dry.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: limeState(judged).aimPh },
  };
};
