import { type Amendment } from '#core/material/amendment';
import { peatShareOf, weightInBlock } from '#core/material/families';
import { overSizeShare } from '#core/material/over-size';
import { pieceLimitMm } from '#core/vessel/piece-limit';
import { type Stage } from '#core/mix/stage';
import { compose, meanByShare, type Composition, type Part } from '#core/mix/composition';
import {
  acidity,
  limeDoseGPerL,
  givenBy,
  linearAcidity,
  phAfter,
  type Acidity,
  type Dose,
} from '#core/mix/ph';
import {
  dilutionWater,
  type Elements,
  elementsMgPerL,
  MOST_HARMLESS_EC,
  mixEcMSPerCm,
  saltLoadMeqPerL,
  sparing,
} from '#core/mix/salts';
import { type AskedWindows } from '#core/mix/windows-asked';
import { columnOf, drain, soakedFootMm, waterHeld, type Column, type Drained } from '#core/mix/water-air';
import { limits, type Range } from '#core/units/limits';
import { checkRange } from '#core/units/check';
import { checkVessel, type Vessel } from '#core/vessel/vessel';

/** A recipe for a stage in a vessel: all that is needed to compute it. */
export interface MixInput {
  /** Names of other vessels that the batch fills too and that let no water out. */
  undrained?: readonly string[];
  stage: Stage;
  vessel: Vessel;
  /** Firming, fraction of volume lost, 0–0.5. */
  compaction: number;
  components: readonly Part[];
  /** Doses per litre of finished mix. */
  amendments: readonly Dose[];
  /** What the user's own tests of this very mix say; each takes the place of an estimate. */
  measured?: Measured;
  /** Finished mix for the job, L, where a job is known. */
  litres?: number;
  /** Dose this lime, on top of the others, to reach this pH. */
  limeToPh?: { amendment: Amendment; ph: number };
  /** Power with which pores narrow as they are pressed, where another than the usual is tried. */
  firmingExponent?: number;
  /** Dust-fine seed is to come up in it. */
  tinySeed?: boolean;
  /** Windows that take the place of the stage's own. */
  windows?: AskedWindows;
}

/** Tests at the bench. */
export interface Measured {
  /** From a measured yield: 1 − settled volume / scooped volume. */
  shrinkage?: number;
  /** Jar test: buffer of the finished mix and its pH before lime. */
  jar?: { bufferMeqPerLPerPh: number; phBeforeLime: number };
  /** Saturate-and-drain in the vessel of this recipe, fraction. */
  air?: number;
  ph?: number;
  ecSaturatedMSPerCm?: number;
}

/** Fractions of volume; everything else carries its unit. */
export interface Evaluation {
  composition: Composition;
  column: Column;
  drained: Drained;
  acidity: Acidity;
  ph: number;
  /** The lime that was asked for to a pH, dosed. */
  lime: Dose | null;
  /** All doses, the solved lime last. */
  doses: readonly Dose[];
  /** Slow feed that came in with the parts, per litre of finished mix. */
  carried: readonly Dose[];
  waterAt10Cm: number;
  waterAt100Cm: number;
  airAt10Cm: number;
  easilyAvailableWater: number;
  saltsMeqPerL: number;
  ecSaturatedMSPerCm: number;
  /** Of it, what comes of gypsum, which does no harm. */
  harmlessEcMSPerCm: number;
  ec1to2MSPerCm: number;
  ecDisplacedMSPerCm: number;
  elementsMgPerL: Elements;
  /** Nitrogen that wood and fresh bark take for themselves while they rot, mg/L. */
  drawdownMgNPerL: number;
  /** Nitrogen that is there for roots: soluble at mixing, less that. */
  readyNMgPerL: number;
  largestParticleMm: number;
  /** Share of the volume in pieces too large for the vessel. */
  overSize: number;
  cohesion: number;
  peat: number;
  airAfterDrydown: number;
  wetWeightG: number;
  availableWaterMl: number;
  soakedFootMm: number;
}

/**
 * From a recipe to everything that is known of it in its vessel. Model sections 2–8.
 * @throws RangeError naming the argument, its value and what is allowed
 */
export function evaluateMix(input: MixInput): Evaluation {
  checkVessel(input.vessel);
  input.amendments.forEach((d, i) => checkRange(`amendments.${i}.gPerL`, d.gPerL, ...limits.doseGPerL));
  const composition = compose(
    input.components,
    input.compaction,
    checkMeasured(input.measured ?? {}).shrinkage,
    input.firmingExponent,
  );
  const column = columnOf(input.vessel);
  const drained = drain(composition, column);

  const jar = input.measured?.jar;
  const state = jar ? linearAcidity(jar.bufferMeqPerLPerPh, jar.phBeforeLime) : acidity(composition);
  const others = givenBy(input.amendments);
  const lime = input.limeToPh && {
    amendment: input.limeToPh.amendment,
    gPerL: limeDoseGPerL(state, input.limeToPh.amendment, input.limeToPh.ph, others),
  };
  const doses = lime ? [...input.amendments, lime] : input.amendments;

  const waterAt10Cm = waterHeld(composition, 10);
  const waterAt100Cm = waterHeld(composition, 100);
  const easilyAvailableWater = waterAt10Cm - waterHeld(composition, 50);
  const salts = saltLoadMeqPerL(composition, doses);
  const { totalPorosity } = composition;
  const ec = (method: keyof typeof dilutionWater): number =>
    mixEcMSPerCm(composition, doses, dilutionWater[method](totalPorosity, drained.water));
  const gypsum = sparing(doses, dilutionWater.saturated(totalPorosity));
  const elements = elementsMgPerL(composition, doses);
  const drawdownMgNPerL = composition.densification * meanByShare(composition, (m) => m.drawdownMgNPerL);

  return {
    composition,
    column,
    drained,
    acidity: state,
    ph: phAfter(state, givenBy(doses)),
    lime: lime ?? null,
    doses,
    waterAt10Cm,
    waterAt100Cm,
    airAt10Cm: totalPorosity - waterAt10Cm,
    easilyAvailableWater,
    saltsMeqPerL: salts + gypsum.meqPerL,
    ecSaturatedMSPerCm: ec('saturated'),
    harmlessEcMSPerCm: Math.min(MOST_HARMLESS_EC, gypsum.ecMSPerCm),
    ec1to2MSPerCm: ec('oneToTwo'),
    ecDisplacedMSPerCm: ec('displaced'),
    elementsMgPerL: elements,
    drawdownMgNPerL,
    readyNMgPerL: Math.max(0, elements.n - drawdownMgNPerL),
    largestParticleMm: Math.max(...composition.parts.map((p) => p.material.maxParticleMm)),
    overSize: meanByShare(composition, (m) => overSizeShare(m, pieceLimitMm(input.vessel))),
    cohesion: cohesionOf(composition),
    carried: carriedIn(composition),
    peat: meanByShare(composition, peatShareOf),
    airAfterDrydown: Math.min(totalPorosity, drained.air + easilyAvailableWater / 2),
    wetWeightG: column.volumeL * (composition.dryBulkDensityGPerL + 1000 * drained.water),
    availableWaterMl: Math.max(0, column.volumeL * 1000 * (drained.water - waterAt100Cm)),
    soakedFootMm: soakedFootMm(composition, column, drained),
  };
}

/** How well a mix holds together pressed: Σ w f c / Σ w f (model § 22). */
const cohesionOf = (composition: Composition): number =>
  meanByShare(composition, (m) => weightInBlock(m) * m.cohesion) / meanByShare(composition, weightInBlock);

const carriedIn = ({ parts, shares, densification }: Composition): Dose[] =>
  parts.flatMap(({ material }, i) =>
    (material.carries ?? []).map(({ amendment, gPerL }) => ({
      amendment,
      gPerL: gPerL * shares[i]! * densification,
    })),
  );

const pct = ([low, high]: Range): Range => [low / 100, high / 100];

function checkMeasured(measured: Measured): Measured {
  const { shrinkage, jar, air, ph, ecSaturatedMSPerCm } = measured;
  const check = (name: string, value: number | undefined, range: Range): void => {
    if (value !== undefined) checkRange(`measured.${name}`, value, ...range);
  };
  check('shrinkage', shrinkage, pct(limits.measuredShrinkagePct));
  check('air', air, pct(limits.measuredAirPct));
  check('ph', ph, limits.measuredPh);
  check('ecSaturatedMSPerCm', ecSaturatedMSPerCm, limits.measuredEcMSPerCm);
  check('jar.bufferMeqPerLPerPh', jar?.bufferMeqPerLPerPh, limits.jarBufferMeqPerLPerPh);
  check('jar.phBeforeLime', jar?.phBeforeLime, limits.jarPhBeforeLime);
  return measured;
}
