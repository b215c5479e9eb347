import { type AmendmentKind } from '#core/material/amendment';
import { inSentence } from '#words/formats';
import { type KeptDown, type LiftingTest } from '#core/spread/kept-down';
import { type ScoredId } from '#core/finder/aims';
import { type KeptReading, type KeptReadingId } from '#core/judge/readings';
import { millimetresIn } from '#core/units/factors';
import { type UnitSystem } from '#core/units/show';
import { type Stage } from '#core/mix/stage';
import { type Role } from '#core/material/material';
import { type EcMethod } from '#core/mix/salts';
import { words as texts } from '#words/en/places/ui/words/words';
import { common } from '#words/en/places/common';

export const stageNames: Record<Stage, { name: string; says: string }> = {
  germination: { name: texts.germinate, says: texts.sowAndCover },
  rooting: { name: texts.root, says: texts.strikeCuttings },
  seedling: { name: texts.growOn, says: texts.prickedOut },
  potting: { name: texts.potUp, says: texts.toPlantingSize },
};

/** How a pen reading was taken. */
export const ecMethodNames: Record<EcMethod, string> = {
  saturated: texts.saturatedExtract,
  displaced: texts.pouredThrough,
  oneToTwo: texts.n1PartTo2Of,
  oneToFive: texts.n1PartTo5Of,
};

export const roleWords: Record<Role, string> = {
  water: texts.holdsWater,
  air: texts.opensDrains,
  weight: texts.givesWeight,
  food: texts.feedsLives,
};

/** What a product does, in a few words. */
export const productSays: Readonly<Record<AmendmentKind, string>> = {
  lime: texts.sweetens,
  salt: texts.feedsAtOnce,
  trace: texts.traces,
  wetting: texts.helpsWetting,
  coated: texts.feedsSlowly,
  organic: texts.feedsAfterItRots,
  mineral: texts.slowMineral,
};

/** What a material does, said where it is chosen; perlite and vermiculite are not the same thing. */
export function materialSays(id: string, role: Role): string {
  if (id.startsWith('vermiculite')) return texts.holdsWaterAndPotassium;
  if (id.startsWith('perlite')) return texts.drainsHoldsNoFood;
  if (id.startsWith('peat')) return texts.acid(roleWords[role]);
  return roleWords[role];
}

export interface ReadingWords {
  name: string;
  term: string;
  places: number;
  /** Ends of the drawn ruler beyond the window, as a share of the window's width. */
  reach: number;
}

export function readingWords(id: ScoredId | KeptReadingId, noun: string): ReadingWords {
  const words: Record<ScoredId | KeptReadingId, ReadingWords> = {
    air: { name: texts.airInThe(noun), term: texts.airFilledPorosity, places: 1, reach: 0.5 },
    airAfterDrydown: {
      name: texts.airOnceHalfDried,
      term: texts.afterHalfTheEasyWater,
      places: 1,
      reach: 0.5,
    },
    cohesion: { name: texts.holdsTogether, term: 'cohesion, 0 to 1', places: 2, reach: 0.8 },
    ph: { name: 'pH', term: texts.onceTheLimeHasActed, places: 1, reach: 1.5 },
    ecSaturated: { name: texts.salts, term: texts.ecSaturatedExtract, places: 2, reach: 0.7 },
    n: { name: common.availableNitrogen, term: texts.solubleN, places: 0, reach: 0.7 },
    easilyAvailableWater: { name: texts.easyWater, term: texts.easilyAvailableWater, places: 1, reach: 0.8 },
    wetDensity: { name: texts.weightWhenWet, term: texts.wetDensityWaterIs1, places: 2, reach: 0.8 },
    overSize: { name: texts.overSize, term: texts.shareOverAQuarter, places: 0, reach: 0.8 },
    largestParticle: { name: texts.largestPiece, term: texts.againstTheNarrowestSide, places: 1, reach: 0.8 },
  };
  return words[id];
}

/** Size words cut from a material's name: "Sphagnum peat, fine (0-5 mm)" → "Sphagnum peat, fine". */
export const shortName = (name: string): string => name.replace(/\s*\([^)]* mm[^)]*\)$/, '');

/** A reading for the eye: lengths turn to inches with the switch, all else is read the same everywhere. */
export function inReadersUnits(
  { value, low, high, unit }: Omit<KeptReading, 'id'>,
  system: UnitSystem,
): { value: number; low: number; high: number; unit: string; places?: number } {
  if (unit === 'mg/L' && system === 'us') return { value, low, high, unit: 'ppm' };
  if (unit !== 'mm' || system === 'metric') return { value, low, high, unit };
  const inches = (mm: number): number => mm / millimetresIn.inch;
  return { value: inches(value), low: inches(low), high: inches(high), unit: 'in', places: 2 };
}

/** A chance in plain words: "7 in 10". */
const liftingWords: Record<LiftingTest, string> = {
  jar: texts.aJarTestOfYour,
  ph: texts.itsPhReadOnDay,
  drain: texts.fillingAndDrainingYourOwn,
  ec: texts.itsSaltsReadWithA,
};

/** "Held down by sourness, right in 49 of 100: a jar test of your lime would make it 7 in 10." Empty where nothing is. */
export function heldDownWords(by: readonly KeptDown[], noun: string): string {
  const [first] = by;
  if (!first) return '';
  const lifts = by.map(({ test, lifted }, i) =>
    i === 0
      ? texts.wouldMakeIt(liftingWords[test], oddsWords(lifted))
      : texts.asWell(liftingWords[test], oddsWords(lifted)),
  );
  return texts.heldDownByRightIn(
    inSentence(readingWords(first.id, noun).name),
    Math.round(100 * first.inside),
    lifts.join('; '),
  );
}

function oddsAs(share: number, in10: (tenths: number) => string): string {
  if (share > 0.985) return texts.nearlyAlways;
  if (share < 0.005) return texts.almostNever;
  return share < 0.05 ? texts.hardlyEver : in10(Math.max(1, Math.min(9, Math.round(share * 10))));
}

/** "7 in 10". */
export const oddsWords = (share: number): string => oddsAs(share, texts.in10);
/** "7 times in 10". */
export const oddsInTimes = (share: number): string => oddsAs(share, texts.timesIn10);
