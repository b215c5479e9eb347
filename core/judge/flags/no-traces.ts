import { isEarthy } from '#core/material/families';
import { type Rule } from '#core/judge/flag';
import { usual } from '#core/recipe/usual';
import { said } from '#core/units/said';

/** Low label rate of a fritted mixture, g/L: common practice, no source. */
const USUAL_G_PER_L = 0.15;

/** Peat, coir, bark and minerals bring hardly any boron, copper, zinc or molybdenum. */
export const noTraces: Rule = ({ input, evaluation, library }) => {
  if (input.stage !== 'seedling' && input.stage !== 'potting') return null;
  const { parts } = evaluation.composition;
  if (parts.some(({ material }) => isEarthy(material) || material.living)) return null;
  const has = evaluation.doses.some(
    ({ gPerL, amendment: { kind, traces } }) =>
      gPerL > 0 && (traces === true || kind === 'trace' || kind === 'organic' || kind === 'coated'),
  );
  if (has) return null;
  return {
    code: 'no-traces',
    severity: 'note',
    text: said`No trace elements in it: without soil or compost they run short within weeks.`,
    remedy: said`Blend in ${{ doseGPerL: USUAL_G_PER_L }} of a fritted mixture, or a liquid feed that has them.`,
    ...(library?.amendments.has(usual.traces) && {
      fix: { kind: 'dose' as const, amendment: usual.traces, gPerL: USUAL_G_PER_L },
    }),
  };
};
