import { type Flag, spoken } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { said } from '#core/units/said';

/**
 * Feed that is in a part already cannot be held back until the mix is cool: coats burst, organic feed gases off as
 * ammonium. Feed that is dosed goes in after cooling by the order of work. Asked where a way of heating is chosen.
 */
export function heatWithFeed({ evaluation }: Judgement): Flag | null {
  const parts = evaluation.composition.parts.filter(({ material }) =>
    (material.carries ?? []).some(({ gPerL }) => gPerL > 0),
  );
  if (parts.length === 0) return null;
  return {
    code: 'heat-with-feed',
    severity: 'stop',
    text: said`Do not heat it: there is slow feed in ${spoken(parts.map((p) => p.material.name))} already. Coats burst and organic feed turns to ammonium.`,
    remedy: said`Heat the other parts alone and mix this in once they are cool, or choose no heat.`,
  };
}
