import {
  type CorrectionFault,
  type CorrectionMessage,
  type CorrectionStep,
  correctionMessage,
} from '#core/batch/correct-facts';
import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { aimPhOf, mixWindows } from '#core/mix/windows';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { waterAsBoughtGPerL, type Material } from '#core/material/material';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';
import { leachLitresPerL } from '#core/mix/leaching';
import { MOST_LIMED_TIMES, timesLimed } from '#core/mix/over-limed';
import { acidityAt, acidityWith, limeDoseGPerL, limeNeededMeqPerL, phAfter } from '#core/mix/ph';
import { limits, type Range } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** A batch as it stands in the tub, and what was measured on it. Percent and pen units, as they are read. */
export interface BatchState {
  input: MixInput;
  /** Finished mix in the tub, L. */
  litres: number;
  airPct?: number;
  ph?: number;
  ecSaturatedMSPerCm?: number;
  /** Water by pores, 0–1.2, as the squeeze scale tells. */
  saturation?: number;
}

export interface CorrectionPlan {
  /** Why it should not be saved; null where it can be. */
  doNotSave: CorrectionMessage | null;
  steps: CorrectionStep[];
  litresAfter: number;
  /** What it should read afterwards, of what was measured. */
  after: { airPct?: number; ph?: number; ecSaturatedMSPerCm?: number; saturation?: number };
}

/** Above this a pH lies on the carbonate plateau: how much lime lies in wait cannot be told. */
const PLATEAU_PH = 7.5;
/** More than its own volume of new material makes another mix of it. */
const MOST_ADDED = 1;
const STEP = 0.05;
/** More leaching than this takes the feed and a day. Common practice, no source. */
const MOST_LEACH_VOLUMES = 3;
/** What is added should not stop at the very edge of a window: this share of its width inside. */
const MARGIN = 0.15;
/** More dry mix than this share of the batch: it is spread out to dry instead. */
const MOST_DRY = 0.25;
/** Saturation may be off by so much. Common practice, no source. */
const SATURATION_SLACK = 0.06;

interface Attempt {
  added: number;
  material: Material | null;
  litres: number;
  evaluation: Evaluation;
  air: number;
  ph: number;
  ec: number;
  limeGrams: number;
  leachLitres: number;
  /** What stays wrong. */
  wrong: CorrectionFault[];
}

/**
 * How to put a batch right with the least that is added. What was measured replaces the model's figure; what is
 * added is reckoned by the model; pH mixes by buffer, salts by load.
 * @param shelf materials that could go in
 * @param lime for a batch that is too sour
 * @throws OutOfRange for an impossible reading
 */
export function correctBatch(
  state: BatchState,
  shelf: readonly Material[],
  lime: Amendment,
  moisture: Moisture,
): CorrectionPlan {
  const { input } = state;
  const check = (name: string, value: number | undefined, range: Range): void => {
    if (value !== undefined) checkRange(name, value, ...range);
  };
  check('litres', state.litres, limits.hotMixLitres);
  check('airPct', state.airPct, limits.measuredAirPct);
  check('ph', state.ph, limits.measuredPh);
  check('ecSaturatedMSPerCm', state.ecSaturatedMSPerCm, limits.measuredEcMSPerCm);
  check('saturation', state.saturation, limits.saturation);

  const now = evaluateMix(withoutTests(input));
  const plain: Attempt = tryAdding(state, now, null, 0, lime);
  let best = plain;
  for (const material of plain.wrong.length > 0 ? shelf : []) {
    for (let added = STEP; added <= MOST_ADDED + 1e-9; added += STEP) {
      // More of it only makes it another mix: the first amount that does is the least.
      const trial = tryAdding(state, now, material, added, lime);
      if (better(trial, best)) best = trial;
      if (trial.wrong.length === 0) break;
    }
  }
  const steps: CorrectionStep[] = [];
  if (best.material)
    steps.push({
      kind: 'addMaterial',
      material: best.material,
      looseLitres: best.added * state.litres * now.composition.densification,
    });
  if (best.limeGrams > 0) steps.push({ kind: 'addLime', amendment: lime, grams: best.limeGrams });
  if (best.leachLitres > 0) steps.push({ kind: 'leach', litres: best.leachLitres });
  const wet = wetting(state, now, best, moisture);
  steps.push(...wet.steps);

  const plateau = state.ph !== undefined && state.ph >= PLATEAU_PH && hasLime(input);
  const times = limedTimes(state, now);
  const doNotSave = plateau
    ? correctionMessage('correct.plateau', { ph: state.ph! })
    : times > MOST_LIMED_TIMES
      ? correctionMessage('correct.over-limed', { ph: state.ph!, times })
      : best.wrong.length > 0
        ? correctionMessage('correct.out-of-reach', { faults: best.wrong })
        : null;
  return {
    doNotSave,
    steps: doNotSave ? [] : steps,
    litresAfter: doNotSave ? state.litres : best.litres + wet.litres,
    after: {
      ...(state.airPct !== undefined && { airPct: best.air * 100 }),
      ...(state.ph !== undefined && { ph: best.ph }),
      ...(state.ecSaturatedMSPerCm !== undefined && { ecSaturatedMSPerCm: best.ec }),
      ...(wet.saturation !== undefined && { saturation: wet.saturation }),
    },
  };
}

const better = (a: Attempt, b: Attempt): boolean =>
  a.wrong.length !== b.wrong.length
    ? a.wrong.length < b.wrong.length
    : a.added + 0.2 * Number(a.leachLitres > 0) < b.added + 0.2 * Number(b.leachLitres > 0) - 1e-9;

function tryAdding(
  state: BatchState,
  now: Evaluation,
  material: Material | null,
  added: number,
  lime: Amendment,
): Attempt {
  const { input } = state;
  const parts = input.components.reduce((sum, c) => sum + c.parts, 0);
  const joined = input.components.some((c) => c.material.id === material?.id)
    ? input.components.map((c) =>
        c.material.id === material?.id ? { ...c, parts: c.parts + added * parts } : c,
      )
    : [...input.components, ...(material ? [{ material, parts: added * parts }] : [])];
  // Loose volume grows by what is added; the finished volume follows the packing of the new mixture.
  const bare = evaluateMix({ ...withoutTests(input), components: joined, amendments: [] });
  const loose = state.litres * now.composition.densification;
  const litres = (loose * (1 + added)) / bare.composition.densification;
  const thin = state.litres / litres;
  const e = evaluateMix({
    ...withoutTests(input),
    components: joined,
    amendments: now.doses.map((d) => ({ amendment: d.amendment, gPerL: d.gPerL * thin })),
  });

  const airOff = state.airPct === undefined ? 0 : state.airPct / 100 - now.drained.air;
  const air = Math.max(0, e.drained.air + airOff * thin);

  // Lime that is in it, by its pH, goes on acting on what is mixed in; any other pH is taken as it is.
  const batchPh = state.ph ?? now.ph;
  const limed = hasLime(input) && batchPh > now.acidity.phBeforeLime;
  const lime0 = limed ? limeNeededMeqPerL(now.acidity, batchPh) * thin : 0;
  const mixedAcidity = acidityWith(
    limed ? now.acidity : acidityAt(now.acidity, batchPh),
    state.litres,
    material && { material, looseL: added * loose },
    litres,
  );
  const mixedPh = material ? phAfter(mixedAcidity, { lime: lime0, whole: 0 }) : batchPh;

  const batchSalts =
    (state.ecSaturatedMSPerCm ?? now.ecSaturatedMSPerCm) * 10 * now.composition.totalPorosity;
  const salts = (batchSalts * state.litres + (material?.saltsMeqPerL ?? 0) * added * loose) / litres;
  const mixedEc = salts / e.composition.totalPorosity / 10;

  const { ph: window, ecSaturatedMSPerCm: ecWindow, airPct: airWindow } = mixWindows(input, e);
  const sour = state.ph !== undefined && mixedPh < window.low;
  const aim = aimPhOf(input, e);
  const limeGrams = sour ? litres * limeDoseGPerL(mixedAcidity, lime, aim, { lime: lime0, whole: 0 }) : 0;
  const salty = state.ecSaturatedMSPerCm !== undefined && mixedEc > ecWindow.high;
  const leach = salty ? leachLitresPerL(mixedEc, 0.8 * ecWindow.high, e.drained.water) : 0;
  const tooMuchLeaching = leach > MOST_LEACH_VOLUMES * e.drained.water;

  const wrong: CorrectionFault[] = [];
  const margin = material ? MARGIN * (airWindow.high - airWindow.low) : 0;
  if (input.vessel.shape !== 'block' && state.airPct !== undefined) {
    if (air * 100 < airWindow.low + margin) wrong.push('little-air');
    else if (air * 100 > airWindow.high - margin) wrong.push('much-air');
  }
  // What is cut is cut to the middle, as Mix says it.
  const most = material && batchPh > window.high ? aim : window.high;
  if (state.ph !== undefined && mixedPh > most + 1e-9) wrong.push('alkaline');
  if (tooMuchLeaching) wrong.push('salty');
  return {
    added,
    material,
    litres,
    evaluation: e,
    air,
    ph: sour ? aim : mixedPh,
    ec: salty && !tooMuchLeaching ? 0.8 * ecWindow.high : mixedEc,
    limeGrams,
    leachLitres: tooMuchLeaching ? 0 : leach * litres,
    wrong,
  };
}

/** Water or dry mix that brings the wetness right, once everything else is in. */
function wetting(
  state: BatchState,
  now: Evaluation,
  { evaluation, litres, material, added, leachLitres }: Attempt,
  moisture: Moisture,
): { steps: CorrectionStep[]; litres: number; saturation?: number } {
  if (state.saturation === undefined) return { steps: [], litres: 0 };
  // Leaching leaves it as wet as it drains: it has to dry a little before use anyway.
  if (leachLitres > 0)
    return { steps: [{ kind: 'spreadOut' }], litres: 0, saturation: targetSaturation[moisture] };
  const pores = evaluation.composition.totalPorosity;
  const loose = state.litres * now.composition.densification;
  const water =
    state.saturation * now.composition.totalPorosity * state.litres +
    (material ? (waterAsBoughtGPerL(material) / 1000) * added * loose : 0);
  const aim = targetSaturation[moisture];
  const saturation = water / (pores * litres);
  if (saturation < aim - SATURATION_SLACK)
    return {
      steps: [{ kind: 'addWater', litres: aim * pores * litres - water }],
      litres: 0,
      saturation: aim,
    };
  if (saturation <= aim + SATURATION_SLACK) return { steps: [], litres: 0, saturation };
  const dry = now.composition.waterAsBought;
  const room = aim * pores - dry;
  const dryLitres = room > 0 ? (water - aim * pores * litres) / room : Infinity;
  return dryLitres <= MOST_DRY * state.litres
    ? { steps: [{ kind: 'addDryMix', litres: dryLitres }], litres: dryLitres, saturation: aim }
    : { steps: [{ kind: 'spreadOut' }], litres: 0, saturation: aim };
}

/** How many times the lime that it takes a batch has, by its measured pH; 0 where it is not over-limed. */
function limedTimes({ input, ph }: BatchState, now: Evaluation): number {
  const window = mixWindows(input, now).ph;
  if (ph === undefined || ph <= window.high || !hasLime(input)) return 0;
  const times = timesLimed(now.acidity, limeNeededMeqPerL(now.acidity, ph), aimPhOf(input, now));
  return Number.isFinite(times) ? times : 0;
}

const hasLime = (input: MixInput): boolean =>
  input.limeToPh !== undefined || input.amendments.some((d) => neutralisingMeqPerG(d.amendment) > 1);

function withoutTests(input: MixInput): MixInput {
  const bare = { ...input };
  delete bare.measured;
  return bare;
}
