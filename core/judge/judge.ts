import { type FlagCode, subjectOf } from '#core/recipe/flag-code';
import { type Flag, type Judged, type Rule, severities } from '#core/judge/flag';
import { airHigh, airLow, blockAir } from '#core/judge/flags/air';
import { carbonateCeiling } from '#core/judge/flags/carbonate-ceiling';
import { cohesionLow } from '#core/judge/flags/cohesion';
import { limeCaustic } from '#core/judge/flags/lime-caustic';
import { limeOverdose } from '#core/judge/flags/lime-overdose';
import { limeOutOfReach } from '#core/judge/flags/lime-out-of-reach';
import { limePellets } from '#core/judge/flags/lime-pellets';
import { limeUnderdose } from '#core/judge/flags/lime-underdose';
import { limeWrongDirection } from '#core/judge/flags/lime-wrong-direction';
import { ammoniumHigh } from '#core/judge/flags/ammonium';
import { overCeiling } from '#core/judge/flags/ceiling';
import { crushedInBlock } from '#core/judge/flags/crushed';
import { drawdown } from '#core/judge/flags/drawdown';
import { grainsUneven } from '#core/judge/flags/grains';
import { noTraces } from '#core/judge/flags/no-traces';
import { barkRest } from '#core/judge/flags/bark-rest';
import { coirSalty, coirCalcium } from '#core/judge/flags/coir';
import { drownsHere } from '#core/judge/flags/drowns-here';
import { dust } from '#core/judge/flags/dust';
import { feedIdle } from '#core/judge/flags/feed-idle';
import { feedNotReady } from '#core/judge/flags/feed-not-ready';
import { heating } from '#core/judge/flags/heat-ammonium';
import { layerStrong } from '#core/judge/flags/layer-strong';
import { legionella } from '#core/judge/flags/legionella';
import { lifting } from '#core/judge/flags/lifting';
import { limeEyes } from '#core/judge/flags/lime-eyes';
import { livingAtGermination } from '#core/judge/flags/living-at-germination';
import { manureFood } from '#core/judge/flags/manure-food';
import { notUnderSeed } from '#core/judge/flags/not-under-seed';
import { nitrogenAhead } from '#core/judge/flags/nitrogen-ahead';
import { oldVermiculite } from '#core/judge/flags/old-vermiculite';
import { oxidiser } from '#core/judge/flags/oxidiser';
import { pressMoisture } from '#core/judge/flags/press-moisture';
import { repelsWater } from '#core/judge/flags/repels-water';
import { reusedMix } from '#core/judge/flags/reused-mix';
import { screenWet } from '#core/judge/flags/screen-wet';
import { shrinkageShort } from '#core/judge/flags/shrinkage-short';
import { storeOpen } from '#core/judge/flags/store-open';
import { tinySeed } from '#core/judge/flags/tiny-seed';
import { coffeeStunts } from '#core/judge/flags/coffee-stunts';
import { tooHeavy } from '#core/judge/flags/too-heavy';
import { tooLight } from '#core/judge/flags/too-light';
import { nitrogenHigh, nitrogenLow } from '#core/judge/flags/nitrogen';
import { noHoles } from '#core/judge/flags/no-holes';
import { noMagnesium } from '#core/judge/flags/no-magnesium';
import { particlesLarge } from '#core/judge/flags/particles';
import { phMeasured } from '#core/judge/flags/ph-measured';
import { phByWater } from '#core/judge/flags/ph-by-water';
import { phHigh } from '#core/judge/flags/ph-high';
import { saltsHigh } from '#core/judge/flags/salts';
import { type Reading, type ReadingId, readingsOf } from '#core/judge/readings';
import { type Library } from '#core/recipe/library';
import { type Approach } from '#core/recipe/approaches';
import { type KnownHere, mixInputOf, type Recipe } from '#core/recipe/recipe';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';

/** Every rule, in the order in which flags of equal severity are told. */
export const rules: readonly Rule[] = [
  noHoles,
  limeOverdose,
  limeWrongDirection,
  limeCaustic,
  limeUnderdose,
  limeOutOfReach,
  phHigh,
  phByWater,
  phMeasured,
  carbonateCeiling,
  airLow,
  drownsHere,
  airHigh,
  blockAir,
  cohesionLow,
  particlesLarge,
  overCeiling,
  layerStrong,
  saltsHigh,
  nitrogenHigh,
  ammoniumHigh,
  noMagnesium,
  noTraces,
  drawdown,
  grainsUneven,
  crushedInBlock,
  limePellets,
  pressMoisture,
  tinySeed,
  livingAtGermination,
  coffeeStunts,
  notUnderSeed,
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
  shrinkageShort,
  repelsWater,
  screenWet,
  tooLight,
  tooHeavy,
  storeOpen,
  manureFood,
  oldVermiculite,
  lifting,
];

/**
 * What is not said beside something else: where the first is raised, the second is silent. Each pair would
 * contradict itself.
 */
export const excludes: readonly (readonly [said: FlagCode, silent: FlagCode])[] = [
  // Far ahead, or on its way, and hungry: the one that names the cause is said.
  ['nitrogen-ahead', 'nitrogen-low'],
  ['nitrogen-ahead', 'nitrogen-slow'],
  ['feed-not-ready', 'nitrogen-low'],
  ['feed-not-ready', 'nitrogen-slow'],
  // Too wet to press, and too dry to take water.
  ['press-too-wet', 'repels-water'],
];

/** Who asks: how loudly some rules speak in their approach, and what they have to reach for. */
export interface JudgedBy {
  loudness?: Approach['loudness'];
  library?: Library | null;
  /** What is known to work here: not said again. */
  known?: readonly KnownHere[] | undefined;
}

/** A rule that is quiet, with what it would say, why it is quiet and since when. */
export type KnownFlag = Flag & Pick<KnownHere, 'why' | 'on'>;

export interface Judgement {
  input: MixInput;
  evaluation: Evaluation;
  readings: readonly Reading[];
  /** Worst first. */
  flags: readonly Flag[];
  /** What it would say, and does not: somebody knows that it works here. */
  known: readonly KnownFlag[];
}

/** A mix computed once, that rules are asked about: one by one, or all of them. */
export class Judging {
  readonly evaluation: Evaluation;
  readonly readings: readonly Reading[];
  private readonly judged: Judged;

  /** @throws RangeError as evaluateMix */
  constructor(
    readonly input: MixInput,
    private readonly by: JudgedBy = {},
  ) {
    this.evaluation = evaluateMix(input);
    this.readings = readingsOf(input, this.evaluation);
    const reading = (id: ReadingId): Reading | undefined => this.readings.find((r) => r.id === id);
    this.judged = { input, evaluation: this.evaluation, reading, library: by.library ?? null };
  }

  /** What one rule says, as loudly as who asks hears it; null where it is silent. */
  says(rule: Rule): Flag | null {
    const flag = rule(this.judged);
    const louder = flag && this.by.loudness?.[flag.code];
    // An approach may raise or lower a voice, but never over a stop.
    return flag && louder && flag.severity !== 'stop' ? { ...flag, severity: louder } : flag;
  }

  /** What somebody said of it, where it is known to work here. */
  knownOf(flag: Flag): KnownHere | undefined {
    return this.by.known?.find((k) => k.code === flag.code && isQuieted(flag, k));
  }

  /** All of them. */
  whole(): Judgement {
    const { input, evaluation, readings } = this;
    const all = rules.flatMap((rule) => this.says(rule) ?? []);
    const raised = new Set(all.map((f) => f.code));
    const silent = new Set(excludes.flatMap(([said, other]) => (raised.has(said) ? [other] : [])));
    const flags: Flag[] = [];
    const known: KnownFlag[] = [];
    for (const flag of all) {
      if (silent.has(flag.code)) continue;
      const as = this.knownOf(flag);
      if (as) known.push({ ...flag, why: as.why, on: as.on });
      else flags.push(flag);
    }
    flags.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
    return { input, evaluation, readings, flags, known };
  }
}

/**
 * Computes a recipe and reads it with every rule.
 * @throws RangeError as evaluateMix
 */
export const judgeMix = (input: MixInput, by: JudgedBy = {}): Judgement => new Judging(input, by).whole();

/** A stop is always said, care too, and what has become louder since. */
const isQuieted = ({ code, severity }: Flag, as: KnownHere): boolean =>
  severity !== 'stop' &&
  subjectOf[code] !== 'care' &&
  severities.indexOf(severity) >= severities.indexOf(as.severity);

/** A recipe as it is kept, with all that it says of itself. @throws RangeError as mixInputOf and evaluateMix */
export const judgingOf = (recipe: Recipe, library: Library, loudness?: Approach['loudness']): Judging =>
  new Judging(mixInputOf(recipe, library), {
    library,
    known: recipe.known,
    ...(loudness && { loudness }),
  });
export const judgeRecipe = (...asked: Parameters<typeof judgingOf>): Judgement => judgingOf(...asked).whole();
