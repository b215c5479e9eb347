import { type Amendment } from '#core/material/amendment';
import { type VesselKind } from '#core/vessel/tray';
import { type Material } from '#core/material/material';
import { type Recipe } from '#core/recipe/recipe';
import { type WindowsAsked } from '#core/recipe/windows-wanted';
import { type KeptDown } from '#core/spread/kept-down';
import { type Sampled } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import { type Progress } from './calls';

/** What recipes are made of, as plain lists. */
export interface Stocked {
  materials: Material[];
  amendments: Amendment[];
  vessels: VesselKind[];
  windows: WindowsAsked | undefined;
}

/** Each ends with null once a newer one has begun. */
export interface SpreadApi {
  /** What recipes are made of from now on. */
  stock(stocked: Stocked): void;
  sample(
    ...given: [recipe: Recipe, spreads: Spreads, seed: number, draws: number, progress: Progress]
  ): Promise<Sampled | null>;
  /** What keeps the odds of the recipe that was sampled last down. */
  keptDown(): Promise<KeptDown[] | null>;
}
