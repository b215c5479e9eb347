import { type Rule } from '#core/judge/flag';
import { coirCalciumGPerL } from '#core/mix/leaching';
import { isCoir } from '#core/material/families';
import { usual } from '#core/recipe/usual';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Coir from a salty lot. */
export const coirSalty: Rule = (judged) => {
  const salty = partsWhere(judged, isCoir).find((p) => p.material.saltsMeqPerL >= 8);
  if (!salty) return null;
  return {
    code: 'coir-salty',
    severity: salty.material.saltsMeqPerL >= 15 ? 'stop' : 'warn',
    text: said`This coir is salty: ${salty.material.saltsMeqPerL.toFixed(0)} meq/L, washed coir has about 4.`,
    remedy: said`Run ${Math.log(salty.material.saltsMeqPerL / 4).toFixed(1)} volumes of clean water through for each volume that it holds, then test again.`,
  };
};

/** Coir takes calcium out of the first feeds unless it is given some. */
export const coirCalcium: Rule = (judged) => {
  const coir = partsWhere(judged, isCoir);
  const share = coir.reduce((sum, p) => sum + p.share, 0);
  if (share < 0.3) return null;
  const k = coir.reduce((sum, p) => sum + p.share * p.material.availableKMgPerL, 0) / share;
  const calciumMeq = judged.evaluation.elementsMgPerL.ca / 20.04;
  const gPerL = coirCalciumGPerL(share, k, calciumMeq);
  if (gPerL < 0.05) return null;
  const present = judged.input.amendments.find((d) => d.amendment.id === usual.calcium)?.gPerL ?? 0;
  // Gypsum: calcium without nitrogen; 23 % Ca against 19 %.
  const gypsum = present + (gPerL * 19) / 23;
  return {
    code: 'coir-calcium',
    severity: 'note',
    text: said`Coir holds potassium and takes calcium from the first feeds: ${calciumMeq.toFixed(1)} meq/L of calcium against ${((share * k) / 39.1).toFixed(1)} of potassium.`,
    remedy: said`Give it ${{ doseGPerL: gypsum }} of gypsum, or soak it in calcium nitrate before use.`,
    fix: { kind: 'dose', amendment: usual.calcium, gPerL: Math.ceil(gypsum * 100) / 100 },
  };
};
