import { type Rule } from '#core/judge/flag';
import { mostGPerL } from '#core/judge/flags/enough';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** A dose strewn into the top or a trench is judged over the whole root volume; in its layer it stands stronger. */
export const layerStrong: Rule = ({ input, evaluation }) => {
  const strong = evaluation.doses
    .flatMap(({ amendment, gPerL, layer }) => {
      const most = mostGPerL(amendment, input.stage);
      return layer !== undefined && most > 0
        ? [{ amendment, times: gPerL / layer / most, gPerL: gPerL / layer }]
        : [];
    })
    .sort((a, b) => b.times - a.times)[0];
  if (!strong || strong.times <= 1.02) return null;
  return {
    code: 'layer-strong',
    severity: 'warn',
    text: said`In its layer ${strong.amendment.name} stands at ${{ doseGPerL: strong.gPerL }}, ${fixed(strong.times, 1)} times what is mixed through at most.`,
    remedy: said`Keep it a finger from stems and seed, or spread it over a deeper layer.`,
  };
};
