import { allow } from '#core/units/allowed';
import { type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { type WindowsAsked } from '#core/recipe/windows-wanted';
import { OutOfRange } from '#core/units/check';
import { vesselKinds } from '#core/vessel/kinds';
import { type VesselKind } from '#core/vessel/tray';

/** Where ids are looked up: materials, products and vessels, the user's own beside the starter ones. */
export interface Library {
  materials: ReadonlyMap<string, Material>;
  amendments: ReadonlyMap<string, Amendment>;
  vessels: ReadonlyMap<string, VesselKind>;
  /** Ids of what the nursery added, where that is known. */
  own?: ReadonlySet<string>;
  /** Windows that the user, or the approach, wants otherwise. */
  windows?: WindowsAsked;
}

const byId = <T extends { id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]));

/** @param vessels the usual ones where none are given */
export function libraryOf(
  materials: readonly Material[],
  amendments: readonly Amendment[],
  vessels: readonly VesselKind[] = vesselKinds,
): Library {
  return { materials: byId(materials), amendments: byId(amendments), vessels: byId(vessels) };
}

/** @throws OutOfRange naming the place, the id and what there is */
export function lookUp<T>(rows: ReadonlyMap<string, T>, id: string, path: string): T {
  const row = rows.get(id);
  if (row === undefined) throw new OutOfRange(path, id, allow('allowed.one-of', { ids: [...rows.keys()] }));
  return row;
}
