import { type Refusal } from '#core/units/check';
import { type Amendment } from '#core/material/amendment';
import { type VesselKind } from '#core/vessel/tray';
import { type Material } from '#core/material/material';
import { type Recipe } from '#core/recipe/recipe';
import { type WindowsAsked } from '#core/recipe/windows-wanted';
import { type KeptDown } from '#core/spread/kept-down';
import { type Sampled } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';

export type SpreadRequest =
  | {
      kind: 'library';
      materials: Material[];
      amendments: Amendment[];
      vessels: VesselKind[];
      windows: WindowsAsked | undefined;
    }
  | { kind: 'sample'; id: number; recipe: Recipe; spreads: Spreads; seed: number; draws: number };

/** Answers carry the number of the request: an older one is dropped. */
export type SpreadAnswer =
  | { kind: 'progress'; id: number; share: number }
  | { kind: 'done'; id: number; sampled: Sampled }
  | { kind: 'kept-down'; id: number; by: KeptDown[] }
  | { kind: 'impossible'; id: number; why: Refusal | string };
