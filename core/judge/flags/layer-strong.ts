import { type Rule, spoken } from '#core/judge/flag';
import { mostGPerL } from '#core/judge/flags/enough';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/**
 * What is strewn into the top or a trench is judged over the whole root volume; in its zone it is stronger, and all that
 * goes into the same zone is judged together.
 */
export const layerStrong: Rule = ({ input, evaluation }) => {
  const zones = new Map<number, { name: string; gPerL: number; times: number }[]>();
  for (const { amendment, gPerL, layer } of evaluation.doses) {
    const most = mostGPerL(amendment, input.stage);
    if (layer === undefined || !(most > 0) || gPerL === 0) continue;
    const there = { name: amendment.name, gPerL: gPerL / layer, times: gPerL / layer / most };
    zones.set(layer, [...(zones.get(layer) ?? []), there]);
  }
  const strong = [...zones.values()]
    .map((doses) => ({ doses, times: doses.reduce((sum, { times }) => sum + times, 0) }))
    .sort((a, b) => b.times - a.times)[0];
  if (!strong || strong.times <= 1.02) return null;
  const { doses, times } = strong;
  const [only] = doses;
  return {
    code: 'layer-strong',
    severity: 'warn',
    text:
      doses.length === 1
        ? said`In its layer ${only!.name} stands at ${{ doseGPerL: only!.gPerL }}, ${fixed(times, 1)} times what is mixed through at most.`
        : said`In one layer ${spoken(doses.map(({ name }) => name))} together come to ${fixed(times, 1)} times what is mixed through at most.`,
    remedy: said`Keep it a finger from stems and seed, or spread it over a deeper layer.`,
  };
};
