import { type Flag, type Judged, type Rule, severities } from '#core/judge/flag';
import { airHigh, airLow, blockAir } from '#core/judge/flags/air';
import { carbonateCeiling } from '#core/judge/flags/carbonate-ceiling';
import { dust, legionella, livingAtGermination, oxidiser } from '#core/judge/flags/cautions';
import { feedIdle, feedNotReady, feedRunsOut, nitrogenAhead } from '#core/judge/flags/feed';
import { cohesionLow } from '#core/judge/flags/cohesion';
import { limeCaustic } from '#core/judge/flags/lime-caustic';
import { limeOverdose } from '#core/judge/flags/lime-overdose';
import { limePellets } from '#core/judge/flags/lime-pellets';
import { limeUnderdose } from '#core/judge/flags/lime-underdose';
import { limeWrongDirection } from '#core/judge/flags/lime-wrong-direction';
import {
  barkRest,
  coirCalcium,
  coirSalty,
  heating,
  limeEyes,
  manureFood,
  oldVermiculite,
  repelsWater,
  reusedMix,
  storeOpen,
} from '#core/judge/flags/materials';
import { nitrogenHigh, nitrogenLow } from '#core/judge/flags/nitrogen';
import { noMagnesium } from '#core/judge/flags/no-magnesium';
import { particlesLarge } from '#core/judge/flags/particles';
import { phHigh } from '#core/judge/flags/ph-high';
import { saltsHigh } from '#core/judge/flags/salts';
import {
  drownsHere,
  lifting,
  pressMoisture,
  screenWet,
  shrinkageShort,
  tooLight,
} from '#core/judge/flags/vessel-fit';
import { readingsOf, type Reading } from '#core/judge/readings';
import { type Library } from '#core/recipe/library';
import { type School } from '#core/recipe/schools';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';

/** Every rule, in the order in which flags of equal severity are told. */
export const rules: readonly Rule[] = [
  limeOverdose,
  limeWrongDirection,
  limeCaustic,
  limeUnderdose,
  phHigh,
  carbonateCeiling,
  airLow,
  drownsHere,
  airHigh,
  blockAir,
  cohesionLow,
  particlesLarge,
  saltsHigh,
  nitrogenHigh,
  noMagnesium,
  limePellets,
  pressMoisture,
  livingAtGermination,
  reusedMix,
  coirSalty,
  feedIdle,
  feedNotReady,
  nitrogenAhead,
  nitrogenLow,
  barkRest,
  coirCalcium,
  dust,
  limeEyes,
  heating,
  legionella,
  oxidiser,
  feedRunsOut,
  shrinkageShort,
  repelsWater,
  screenWet,
  tooLight,
  storeOpen,
  manureFood,
  oldVermiculite,
  lifting,
];

/** Who asks: how loudly some rules speak in their way of working, and what they have to reach for. */
export interface Stance {
  loudness?: School['loudness'];
  library?: Library | null;
}

export interface Judgement {
  input: MixInput;
  evaluation: Evaluation;
  readings: readonly Reading[];
  /** Worst first. */
  flags: readonly Flag[];
}

/**
 * Computes a recipe and reads it with every rule.
 * @throws RangeError as evaluateMix
 */
export function judgeMix(input: MixInput, { loudness = {}, library = null }: Stance = {}): Judgement {
  const evaluation = evaluateMix(input);
  const readings = readingsOf(input, evaluation);
  const judged: Judged = { input, evaluation, reading: (id) => readings.find((r) => r.id === id), library };
  const flags = rules.flatMap((rule) => {
    const flag = rule(judged);
    if (!flag) return [];
    const louder = loudness[flag.code];
    // A school may raise or lower its voice, but never over a stop.
    return [louder && flag.severity !== 'stop' ? { ...flag, severity: louder } : flag];
  });
  flags.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
  return { input, evaluation, readings, flags };
}
