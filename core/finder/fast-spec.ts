import { type Aims } from '#core/finder/aims';
import { type Blend } from '#core/finder/starter';
import { type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { type Dose } from '#core/mix/ph';
import { type Stage } from '#core/mix/stage';
import { type OwnHabits } from '#core/recipe/habits';
import { limits } from '#core/units/limits';
import { type Vessel } from '#core/vessel/vessel';

export const MOST_SEARCHED = limits.finderMaterials[1];

/** A material on the shelf, with its price where it is known. */
export interface Shelved {
  material: Material;
  /** Per litre, loose, any currency. */
  costPerL?: number;
  /** Wanted gone: recipes gain by using it. */
  useUp?: boolean;
}

/** What else counts besides the windows; 0 where it does not. Each is about 1 at its worst. */
export interface Preferences {
  price: number;
  peat: number;
  weight: number;
  ingredients: number;
  useUp: number;
  /** Easily available water: 0 from the low end of De Boodt & Verdonck's ideal on, 1 where there is none. */
  water: number;
  /** Of the parts, the share that is not as it was in the recipe that is to be kept near to. */
  near: number;
}
/** In the order in which their costs are told. */
export const wishNames = [
  'price',
  'peat',
  'weight',
  'ingredients',
  'useUp',
  'water',
  'near',
] as const satisfies readonly (keyof Preferences)[];

export const noPreferences: Preferences = {
  price: 0,
  peat: 0,
  weight: 0,
  ingredients: 0,
  useUp: 0,
  water: 0,
  near: 0,
};

/** Ideal easily available water is 20–30 % by volume: De Boodt & Verdonck, Acta Hort. 26:37 (1972) (from memory). */
export const ENOUGH_EASY_WATER = 0.2;

export interface FastEvaluationSpec {
  vessel: Vessel;
  compaction: number;
  shelved: readonly Shelved[];
  aims: Aims;
  preferences: Preferences;
  /** Share of each on the shelf in the recipe to keep near to, 0–1; none where no such recipe is. */
  nearTo?: readonly number[] | undefined;
  /** Dosed to the middle of the pH window; null for none. */
  lime: Amendment | null;
  starter: Blend | null;
  /** Doses that are given, whatever the parts: traces, gypsum. */
  fixedDoses: readonly Dose[];
  /** What a good hand would choose counts too, and small differences do not; null where a recipe is to be like another. */
  usual: { stage: Stage; habits: OwnHabits } | null;
}

/** What the last call of `look` found. One object, written again each time. */
export interface LookedRecipe {
  score: number;
  /** Of the score: what is unusual about it. */
  unusual: number;
  /** And what each wish adds, in the order of `wishNames`. */
  wishes: Float64Array;
  /** Bit r is set where the r-th scored reading meets its window. */
  met: number;
  /** By index in `scored`; percent, pH, mS/cm, mg/L, mm as the readings are. */
  values: Float64Array;
  /** What each adds to the score. */
  penalties: Float64Array;
  limeGPerL: number;
  starterGPerL: number;
  costPerL: number;
}
