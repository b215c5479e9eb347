import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { amendmentsFromCsv, materialRowsFromCsv } from '#contract/starter-tables';
import { type Amendment } from '#core/material/amendment';
import { libraryOf, type Library } from '#core/recipe/library';
import { vesselKinds } from '#core/vessel/kinds';
import { type VesselKind } from '#core/vessel/tray';
import { materialFromRow, type Material } from '#core/material/material';

/** The starter library, for tests: read from the same files that seed the database. */
const table = (file: string): string => readFileSync(join('core', 'material', file), 'utf8');

export const materials: readonly Material[] = materialRowsFromCsv(table('materials.csv')).map(
  materialFromRow,
);
export const amendments: readonly Amendment[] = amendmentsFromCsv(table('amendments.csv'));

const find = <T extends { id: string }>(rows: readonly T[], id: string): T => {
  const row = rows.find((each) => each.id === id);
  if (!row) throw new Error(`no ${id} in the starter library`);
  return row;
};
export const material = (id: string): Material => find(materials, id);
export const amendment = (id: string): Amendment => find(amendments, id);
export const vesselKind = (id: string): VesselKind => find(vesselKinds, id);
/** All of it, to look things up in. */
export const library: Library = libraryOf(materials, amendments);
