import { type Rule } from '#core/judge/flag';
import { releasesWhenHeated } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere, spokenNames } from '#core/judge/flags/parts-where';

/** Heat sets ammonium and manganese free where there is compost or loam; and scalds. */
export const heating: Rule = (judged) => {
  const living = partsWhere(judged, releasesWhenHeated);
  if (living.length === 0 || (judged.input.stage !== 'germination' && judged.input.stage !== 'rooting'))
    return null;
  return {
    code: 'heat-ammonium',
    severity: 'note',
    text: said`If you heat it: above about 82 °C ${spokenNames(living)} gives off ammonium and manganese. Boiling water and steam scald.`,
    remedy: said`Aim for 60 °C for 30 minutes with the lid on, gloves and sleeves on; sow only below 30 °C.`,
  };
};
