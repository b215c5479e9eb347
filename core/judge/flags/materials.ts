import { spoken, type Judged, type Rule } from '#core/judge/flag';
import { coirCalciumGPerL } from '#core/mix/leaching';
import {
  isBark,
  isCoir,
  isCompost,
  isSpentMix,
  isVermiculite,
  releasesWhenHeated,
  repelsWhenDry,
} from '#core/material/families';
import { type Material } from '#core/material/material';
import { usual } from '#core/recipe/usual';
import { said } from '#core/units/said';

const partsWhere = ({ evaluation }: Judged, test: (material: Material) => boolean) =>
  evaluation.composition.parts.flatMap((p, i) =>
    test(p.material) ? [{ ...p, share: evaluation.composition.shares[i]! }] : [],
  );
const names = (parts: readonly { material: { name: string } }[]): string =>
  spoken(parts.map((p) => p.material.name.split(',')[0]!));

/** Dry peat and coir shed water and float. */
export const repelsWater: Rule = (judged) => {
  const dry = partsWhere(judged, repelsWhenDry).filter((p) => p.material.moistureWetBasis < 0.35);
  if (dry.length === 0) return null;
  return {
    code: 'repels-water',
    severity: 'note',
    text: said`${names(dry).replace(/^./, (c) => c.toUpperCase())} this dry repels water: it floats and pockets stay dry.`,
    remedy: said`Wet it the day before with warm water, or dose a wetting agent by its label.`,
  };
};

/** Fresh bark heats, ties up nitrogen and can poison roots. */
export const barkRest: Rule = (judged) => {
  const bark = partsWhere(judged, isBark);
  if (bark.length === 0) return null;
  return {
    code: 'bark-rest',
    severity: judged.input.stage === 'germination' ? 'warn' : 'note',
    text: said`Fresh bark heats up and takes nitrogen for itself.`,
    remedy: said`Use it aged: let it cool and settle three to four weeks, and smell it: sour means wait.`,
  };
};

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

/** Spent mix under seed. */
export const reusedMix: Rule = (judged) => {
  const reused = partsWhere(judged, isSpentMix);
  if (reused.length === 0) return null;
  const early = judged.input.stage === 'germination' || judged.input.stage === 'rooting';
  return {
    code: 'reused-mix',
    severity: early ? 'warn' : 'note',
    text: said`Reused mix can carry ${early ? 'damping off, gnats and leftover salt to seed and cuttings' : 'root rots and leftover salt'}.`,
    remedy: said`Let it rot down fully, screen it, pen-test it${early ? '; under seed heat it to 60 °C for 30 minutes' : ''}.`,
  };
};

/** Heat sets ammonium and manganese free where there is compost or loam; and scalds. */
export const heating: Rule = (judged) => {
  const living = partsWhere(judged, releasesWhenHeated);
  if (living.length === 0 || (judged.input.stage !== 'germination' && judged.input.stage !== 'rooting'))
    return null;
  return {
    code: 'heat-ammonium',
    severity: 'note',
    text: said`If you heat it: above about 82 °C ${names(living)} gives off ammonium and manganese. Boiling water and steam scald.`,
    remedy: said`Aim for 60 °C for 30 minutes with the lid on, gloves and sleeves on; sow only below 30 °C.`,
  };
};

/** Warm, wet and sealed grows mould and ammonium. */
export const storeOpen: Rule = (judged) => {
  const feed = judged.evaluation.doses.some((d) => d.gPerL > 0 && d.amendment.kind === 'organic');
  const living = partsWhere(judged, isCompost).length > 0;
  if (!feed && !living) return null;
  return {
    code: 'store-open',
    severity: 'note',
    text: said`Stored warm, wet and sealed this mix grows mould, and its feed turns to ammonium.`,
    remedy: said`Keep it cool with the lid ajar and use it within two to three weeks.`,
  };
};

/** Vermiculite from an attic or an old bag. */
export const oldVermiculite: Rule = (judged) => {
  if (partsWhere(judged, isVermiculite).length === 0) return null;
  return {
    code: 'old-vermiculite',
    severity: 'note',
    text: said`Old vermiculite of unknown origin may hold asbestos.`,
    remedy: said`Use only bags whose maker states that it is free of it; leave others shut and ask your waste office.`,
  };
};

/** Manure, castings and crops that are eaten. */
export const manureFood: Rule = (judged) => {
  const living = partsWhere(judged, isCompost);
  if (living.length === 0) return null;
  return {
    code: 'manure-food',
    severity: 'note',
    text: said`If ${names(living)} comes from manure, food crops need a waiting time.`,
    remedy: said`Local food-safety rules decide how long; compost it hot and fully first.`,
  };
};

/** Lime in the eye. */
export const limeEyes: Rule = ({ evaluation }) => {
  if (!evaluation.doses.some((d) => d.gPerL > 0 && d.amendment.kind === 'lime')) return null;
  return {
    code: 'lime-eyes',
    severity: 'note',
    text: said`Lime dust hurts eyes and lungs.`,
    remedy: said`Goggles and mask while weighing; in the eye: rinse long with water and see a doctor. The label decides.`,
  };
};
