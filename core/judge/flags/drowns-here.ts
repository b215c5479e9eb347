import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { comparisonPot } from '#core/vessel/kinds';
import { columnOf, drain } from '#core/mix/water-air';
import { said } from '#core/units/said';
import { fillDepthMm, volumeL } from '#core/vessel/vessel';

/** Below this it is a plug and no pot. */
const PLUG_LITRES = 0.15;

/** Fine in a pot and drowning in a plug: the same mix, judged by its depth. */
export const drownsHere: Rule = (judged) => {
  const reading = judged.reading('air');
  if (reading?.verdict !== 'low' || reading.measured) return null;
  const pot = comparisonPot;
  const inPot = drain(judged.evaluation.composition, columnOf(pot.vessel)).air * 100;
  if (inPot < reading.low || fillDepthMm(judged.input.vessel) >= fillDepthMm(pot.vessel)) return null;
  const inCell = volumeL(judged.input.vessel) < PLUG_LITRES;
  return {
    code: 'drowns-here',
    severity: 'warn',
    text: said`Fine in a pot, drowning here: ${inPot.toFixed(0)} % air in a ${pot.name}, ${reading.value.toFixed(1)} % in ${{ lengthMm: fillDepthMm(judged.input.vessel) }} of depth.`,
    remedy: inCell
      ? said`A proven pot mix is not a plug mix: open it further, or use a deeper cell.`
      : said`Open it further, or use a deeper vessel.`,
    fix: { kind: 'addPart', material: usual.coarseOpener },
  };
};
