import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { stageWindows } from '#core/judge/windows';
import { comparisonPot } from '#core/vessel/kinds';
import { columnOf, drain } from '#core/mix/water-air';
import { said } from '#core/units/said';
import { fillDepthMm } from '#core/vessel/vessel';

/** Fine in a pot and drowning in a plug: the same mix, judged by its depth. */
export const drownsHere: Rule = (judged) => {
  const reading = judged.reading('air');
  if (reading?.verdict !== 'low' || reading.measured) return null;
  const pot = comparisonPot;
  const inPot = drain(judged.evaluation.composition, columnOf(pot.vessel)).air * 100;
  if (
    inPot < stageWindows[judged.input.stage].airPct.low ||
    fillDepthMm(judged.input.vessel) >= fillDepthMm(pot.vessel)
  )
    return null;
  return {
    code: 'drowns-here',
    severity: 'warn',
    text: said`Fine in a pot, drowning here: ${inPot.toFixed(0)} % air in a ${pot.name}, ${reading.value.toFixed(1)} % in ${{ lengthMm: fillDepthMm(judged.input.vessel) }} of depth.`,
    remedy: said`A proven pot mix is not a plug mix: open it further, or use a deeper cell.`,
    fix: { kind: 'addPart', material: usual.coarseOpener },
  };
};

/** Tall and light: the pot blows over. */
export const tooLight: Rule = (judged) => {
  const { input, evaluation } = judged;
  const { vessel } = input;
  if (vessel.shape !== 'round' || vessel.depthMm < 90 || input.stage === 'germination') return null;
  const half = evaluation.drained.water - evaluation.easilyAvailableWater / 2;
  const kgPerL = (evaluation.composition.dryBulkDensityGPerL + 1000 * half) / 1000;
  if (kgPerL >= 0.5) return null;
  return {
    code: 'too-light',
    severity: 'note',
    text: said`Light to stand: ${{ massG: kgPerL * 1000 * evaluation.column.volumeL }} once half dry. Tall pots blow over.`,
    remedy: said`Add a part of sharp sand, or stand them close in a crate.`,
    fix: { kind: 'addPart', material: usual.weight },
  };
};

/** Wet material that has to be screened will not go through. */
export const screenWet: Rule = (judged) => {
  const reading = judged.reading('largestParticle');
  if (reading?.verdict !== 'high') return null;
  const wet = judged.evaluation.composition.parts.find(
    (p) => p.material.maxParticleMm > reading.high && p.material.moistureWetBasis >= 0.4,
  );
  if (!wet) return null;
  return {
    code: 'screen-wet',
    severity: 'note',
    text: said`${wet.material.name} comes at ${Math.round(wet.material.moistureWetBasis * 100)} % moisture: too wet to screen well.`,
    remedy: said`Spread it to dry before it goes through ${{ lengthMm: reading.high }}.`,
  };
};

/** The job needs more in the scoop than in the vessels. */
export const shrinkageShort: Rule = ({ input, evaluation }) => {
  const { shrinkage } = evaluation.composition;
  if (shrinkage < 0.08 || input.litres === undefined) return null;
  const loose = input.litres * evaluation.composition.densification;
  return {
    code: 'shrinkage-short',
    severity: 'note',
    text: said`Parts do not add up: ${Math.round(shrinkage * 100)} % vanishes in mixing. A tub filled to ${{ volumeL: input.litres }} with loose parts comes out short.`,
    remedy: said`Scoop ${{ volumeL: loose }} in all: the card has it reckoned in.`,
  };
};

/** A wet tub that nobody should lift alone. */
export const lifting: Rule = ({ input, evaluation }) => {
  if (input.litres === undefined) return null;
  const kg =
    (input.litres *
      (evaluation.composition.dryBulkDensityGPerL + 450 * evaluation.composition.totalPorosity)) /
    1000;
  if (kg < 25) return null;
  return {
    code: 'lifting',
    severity: 'note',
    text: said`The batch weighs about ${{ massG: kg * 1000 }} moist.`,
    remedy: said`Mix in ${Math.ceil(kg / 20)} loads of ${{ massG: (kg / Math.ceil(kg / 20)) * 1000 }}, lift with two or use a barrow.`,
  };
};

/** Blocks: as the materials come, is there already more water than the press wants? */
export const pressMoisture: Rule = ({ input, evaluation }) => {
  if (input.vessel.shape !== 'block') return null;
  const { waterAsBought, totalPorosity } = evaluation.composition;
  const s = waterAsBought / totalPorosity;
  if (s > 0.9) {
    return {
      code: 'press-too-wet',
      severity: 'warn',
      text: said`Too wet to press as it comes: ${Math.round(s * 100)} % of the pores are full, 70–90 % presses well.`,
      remedy: said`Work in dry peat or coir until water shows between the fingers and none stands in the tub.`,
      fix: { kind: 'addPart', material: usual.coir },
    };
  }
  if (s >= 0.7) return null;
  return {
    code: 'press-too-dry',
    severity: 'note',
    text: said`Too dry to press as it comes: ${Math.round(s * 100)} % of the pores are full, 70–90 % presses well.`,
    remedy: said`Water it to a stiff batter: ${{ volumeL: 0.8 * totalPorosity - waterAsBought }} to each litre pressed.`,
  };
};
