import { type Flag, type Judged, type Rule, severities } from '#core/judge/flag';
import { airHigh, airLow, blockAir } from '#core/judge/flags/air';
import { carbonateCeiling } from '#core/judge/flags/carbonate-ceiling';
import { dust, legionella, livingAtGermination, oxidiser } from '#core/judge/flags/cautions';
import { cohesionLow } from '#core/judge/flags/cohesion';
import { limeCaustic } from '#core/judge/flags/lime-caustic';
import { limeOverdose } from '#core/judge/flags/lime-overdose';
import { limePellets } from '#core/judge/flags/lime-pellets';
import { limeUnderdose } from '#core/judge/flags/lime-underdose';
import { limeWrongDirection } from '#core/judge/flags/lime-wrong-direction';
import { nitrogenHigh, nitrogenLow } from '#core/judge/flags/nitrogen';
import { noMagnesium } from '#core/judge/flags/no-magnesium';
import { particlesLarge } from '#core/judge/flags/particles';
import { phHigh } from '#core/judge/flags/ph-high';
import { saltsHigh } from '#core/judge/flags/salts';
import { readingsOf, type Reading } from '#core/judge/readings';
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
  airHigh,
  blockAir,
  cohesionLow,
  particlesLarge,
  saltsHigh,
  nitrogenHigh,
  noMagnesium,
  limePellets,
  livingAtGermination,
  nitrogenLow,
  dust,
  oxidiser,
  legionella,
];

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
export function judgeMix(input: MixInput): Judgement {
  const evaluation = evaluateMix(input);
  const readings = readingsOf(input, evaluation);
  const judged: Judged = { input, evaluation, reading: (id) => readings.find((r) => r.id === id) };
  const flags = rules.flatMap((rule) => rule(judged) ?? []);
  flags.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
  return { input, evaluation, readings, flags };
}
