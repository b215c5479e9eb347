import { type Rule } from '#core/judge/flag';
import { repelsWhenDry } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere, spokenNames } from '#core/judge/flags/parts-where';

/** Dry peat and coir shed water and float. */
export const repelsWater: Rule = (judged) => {
  const dry = partsWhere(judged, repelsWhenDry).filter((p) => p.material.moistureWetBasis < 0.35);
  if (dry.length === 0) return null;
  return {
    code: 'repels-water',
    severity: 'note',
    text: said`${spokenNames(dry).replace(/^./, (c) => c.toUpperCase())} this dry repels water: it floats and pockets stay dry.`,
    remedy: said`Wet it the day before with warm water, or dose a wetting agent by its label.`,
  };
};
