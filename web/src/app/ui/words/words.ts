import { inSentence } from '#words/formats';
import { type KeptDown, type LiftingTest } from '#core/spread/kept-down';
import { type ScoredId } from '#core/finder/aims';
import { type Reading } from '#core/judge/readings';
import { millimetresIn } from '#core/units/factors';
import { type UnitSystem } from '#core/units/show';
import { type Stage } from '#core/mix/stage';
import { type Role } from '#core/material/material';
import { type EcMethod } from '#core/mix/salts';

export const stageNames: Record<Stage, { name: string; says: string }> = {
  germination: { name: 'Germinate', says: 'sow and cover' },
  rooting: { name: 'Root', says: 'strike cuttings' },
  seedling: { name: 'Grow on', says: 'pricked out' },
  potting: { name: 'Pot up', says: 'to planting size' },
};

/** How a pen reading was taken. */
export const ecMethodNames: Record<EcMethod, string> = {
  saturated: 'saturated extract',
  displaced: 'poured through',
  oneToTwo: '1 part to 2 of water',
  oneToFive: '1 part to 5 of water',
};

export const roleWords: Record<Role, string> = {
  water: 'holds water',
  air: 'opens, drains',
  weight: 'gives weight',
  food: 'feeds, lives',
};

/** What a material does, said where it is chosen; perlite and vermiculite are not the same thing. */
export function materialSays(id: string, role: Role): string {
  if (id.startsWith('vermiculite')) return 'holds water and potassium';
  if (id.startsWith('perlite')) return 'drains, holds no food';
  if (id.startsWith('peat')) return `${roleWords[role]}, acid`;
  return roleWords[role];
}

export interface ReadingWords {
  name: string;
  term: string;
  places: number;
  /** Ends of the drawn ruler beyond the window, as a share of the window's width. */
  reach: number;
}

export function readingWords(id: ScoredId, noun: string): ReadingWords {
  const words: Record<ScoredId, ReadingWords> = {
    air: { name: `Air in the ${noun}`, term: 'air-filled porosity', places: 1, reach: 0.5 },
    airAfterDrydown: {
      name: 'Air once half dried',
      term: 'after half the easy water',
      places: 1,
      reach: 0.5,
    },
    cohesion: { name: 'Holds together', term: 'cohesion, 0 to 1', places: 2, reach: 0.8 },
    ph: { name: 'pH', term: 'once the lime has acted', places: 1, reach: 1.5 },
    ecSaturated: { name: 'Salts', term: 'EC, saturated extract', places: 2, reach: 0.7 },
    n: { name: 'Available nitrogen', term: 'soluble N', places: 0, reach: 0.7 },
    easilyAvailableWater: { name: 'Easy water', term: 'water at 10 less at 50 cm', places: 1, reach: 0.8 },
    wetDensity: { name: 'Weight when wet', term: 'wet density, water is 1', places: 2, reach: 0.8 },
    largestParticle: { name: 'Largest piece', term: 'against the narrowest side', places: 1, reach: 0.8 },
  };
  return words[id];
}

/** Size words cut from a material's name: "Sphagnum peat, fine (0-5 mm)" → "Sphagnum peat, fine". */
export const shortName = (name: string): string => name.replace(/\s*\([^)]* mm[^)]*\)$/, '');

/** A reading for the eye: lengths turn to inches with the switch, all else is read the same everywhere. */
export function inReadersUnits(
  { value, low, high, unit }: Reading,
  system: UnitSystem,
): { value: number; low: number; high: number; unit: string; places?: number } {
  if (unit === 'mg/L' && system === 'us') return { value, low, high, unit: 'ppm' };
  if (unit !== 'mm' || system === 'metric') return { value, low, high, unit };
  const inches = (mm: number): number => mm / millimetresIn.inch;
  return { value: inches(value), low: inches(low), high: inches(high), unit: 'in', places: 2 };
}

/** A chance in plain words: "7 in 10". */
const liftingWords: Record<LiftingTest, string> = {
  jar: 'a jar test of your lime',
  ph: 'its pH read on day 7',
  drain: 'filling and draining your own vessel once',
  ec: 'its salts read with a pen',
};

/** "Held down by sourness, right in 49 of 100: a jar test of your lime would make it 7 in 10." Empty where nothing is. */
export function heldDownWords(by: readonly KeptDown[], noun: string): string {
  const [first] = by;
  if (!first) return '';
  const lifts = by.map(({ test, lifted }, i) =>
    i === 0
      ? `${liftingWords[test]} would make it ${oddsWords(lifted)}`
      : `${liftingWords[test]} as well, ${oddsWords(lifted)}`,
  );
  return `Held down by ${inSentence(readingWords(first.id, noun).name)}, right in ${Math.round(100 * first.inside)} of 100: ${lifts.join('; ')}.`;
}

export function oddsWords(share: number): string {
  if (share > 0.985) return 'nearly always';
  if (share < 0.005) return 'almost never';
  return share < 0.05 ? 'hardly ever' : `${Math.max(1, Math.min(9, Math.round(share * 10)))} in 10`;
}
