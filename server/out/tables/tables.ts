import { allow, type Allowed } from '#core/units/allowed';
import { fromATable } from '#words/en/places/files';
import { type Stores } from '#server/kept/stores';
import { randomUUID } from 'node:crypto';
import { readCsv, snake, writeCsv, type CsvRow, RowProblem } from '#contract/csv';
import { type NewLot } from '#contract/lots';
import { type TableName, type Taken } from '#contract/tables';
import { cropCsv, cropFields, cropOfRow, rowOfCrop } from '#contract/crop';
import { lookUp } from '#core/recipe/library';
import { stockUnits } from '#core/package/stock';
import { type LibraryStore } from '#server/kept/library/library';
import { type PlantEntries } from '#server/book/plants/plant-entries';
import { plantTables } from '#server/out/tables/plants';
import { atLine } from '#server/out/tables/at-line';
import * as rows from '#server/out/tables/rows';

/** What tables are made of and taken into. */
export interface TableParts extends Stores {
  entries: PlantEntries;
}
interface Table {
  out: (parts: TableParts) => string;
  /** @throws RowProblem naming line, column and what is allowed: nothing of the file is taken then */
  take: (csv: string, parts: TableParts) => Taken;
}

/** A row that cannot be taken, by its line in the file. */
const refuse = (line: number | null, column: string, allowed: Allowed, was?: unknown): never => {
  throw new RowProblem({ line, column: snake(column), allowed, was });
};
interface Owned {
  id: string;
  name: string;
  own: boolean;
}
const word = (value: unknown): string => JSON.stringify(value ?? null);

/**
 * Rows of what the nursery may add to: its own are changed, new ones added, starter ones stay as they are.
 * @param same whether a row says what stands there
 */
function takeOwn<R extends { id?: string | undefined; name: string }, O extends Owned>(
  read: readonly CsvRow<R>[],
  present: readonly O[],
  same: (row: R, each: O) => boolean,
  add: (row: R) => void,
  change: (id: string, row: R) => void,
): Taken {
  const taken: Taken = { rows: read.length, added: [], changed: [], same: 0 };
  for (const { line, row } of read) {
    const each = present.find(({ id, name, own }) => (row.id ? id === row.id : own && name === row.name));
    if (each && same(row, each)) taken.same++;
    else if (each && !each.own) refuse(line, 'id', allow('allowed.own-or-new', { id: each.id }));
    else if (each) {
      atLine(line, () => change(each.id, row));
      taken.changed.push(row.name);
    } else {
      atLine(line, () => add(row));
      taken.added.push(row.name);
    }
  }
  return taken;
}

const alike =
  (fields: readonly string[]) =>
  (row: object, each: object): boolean =>
    fields
      .filter((field) => field !== 'source' && field !== 'id')
      .every(
        (field) =>
          word((row as Record<string, unknown>)[field]) === word((each as Record<string, unknown>)[field]),
      );

const FROM_TABLE = fromATable.source;
const bare = <R extends { id?: unknown; source?: unknown }>({
  id: _,
  source: __,
  ...row
}: R): Omit<R, 'id' | 'source'> => row;

/** What a cell cannot hold stays with the material: what it is made of, and the feed that it carries. */
function beside(library: LibraryStore, id: string) {
  const row = library.book().materials.find((material) => material.id === id);
  const { sure, madeOf, carries } = row ?? {};
  return { sure, madeOf, carries };
}

export const tables: Record<TableName, Table> = {
  materials: {
    out: ({ library }) => writeCsv(rows.materialFields, library.book().materials),
    take: (csv, { library, own, now }) =>
      takeOwn(
        readCsv(csv, rows.materialCsv),
        library.book().materials,
        alike(rows.materialFields),
        (row) =>
          own.addMaterial({ key: randomUUID(), says: FROM_TABLE, row: bare(row) }, now().toISOString()),
        (id, row) =>
          own.changeMaterial(id, { says: FROM_TABLE, row: { ...beside(library, id), ...bare(row) } }),
      ),
  },
  products: {
    out: ({ library }) => writeCsv(rows.productFields, library.book().amendments),
    take: (csv, { library, own }) =>
      takeOwn(
        readCsv(csv, rows.productCsv),
        library.book().amendments,
        alike(rows.productFields),
        (row) => own.addProduct({ key: randomUUID(), says: FROM_TABLE, row: bare(row) }),
        (id, row) => own.changeProduct(id, { says: FROM_TABLE, row: bare(row) }),
      ),
  },
  vessels: {
    out: ({ library }) =>
      writeCsv(
        rows.vesselFields,
        library.book().vessels.map((kind) => rows.rowOfVessel(kind)),
      ),
    take: (csv, { library, own }) =>
      takeOwn(
        readCsv(csv, rows.vesselCsv),
        library.book().vessels,
        (row, each) =>
          alike(rows.vesselFields)(
            rows.rowOfVessel({ id: '', ...rows.vesselOfRow(row) }),
            rows.rowOfVessel(each),
          ),
        (row) => own.addVessel({ key: randomUUID(), kind: rows.vesselOfRow(row) }),
        (id, row) => own.changeVessel(id, rows.vesselOfRow(row)),
      ),
  },
  lots: {
    out: ({ lots }) => writeCsv(rows.lotFields, lots.all().map(rows.rowOfLot)),
    take: takeLots,
  },
  crops: {
    out: ({ crops }) =>
      writeCsv(
        cropFields,
        crops.all().map(({ source, own: _, ...crop }) => ({ ...rowOfCrop(crop), source })),
      ),
    take: (csv, { crops, library }) => {
      const { vessels } = library.library();
      const cropOf = (row: CropRow) => {
        const { id: _, ...crop } = cropOfRow(row);
        crop.steps.forEach(({ vessel }) => lookUp(vessels, vessel, 'path'));
        return crop;
      };
      return takeOwn(
        readCsv(csv, cropCsv),
        crops.all(),
        (row, { source: _, own: __, ...one }) =>
          alike(cropFields)(rowOfCrop({ ...cropOf(row), id: '' }), rowOfCrop(one)),
        (row) => crops.add({ key: randomUUID(), says: FROM_TABLE, crop: cropOf(row) }),
        (id, row) => crops.change(id, { says: FROM_TABLE, crop: cropOf(row) }),
      );
    },
  },
  season: {
    out: ({ season }) => writeCsv(rows.seasonFields, season.lines().map(rows.rowOfLine)),
    take: takeSeason,
  },
  plantings: {
    out: ({ plants }) => plantTables.plantings.out(plants),
    take: (csv, { plants, entries, now }) =>
      plantTables.plantings.take(csv, plants, entries, now().toISOString()),
  },
  'plant-events': {
    out: ({ plantEvents }) => plantTables['plant-events'].out(plantEvents),
    take: (csv, { plantEvents, entries, now }) =>
      plantTables['plant-events'].take(csv, plantEvents, entries, now().toISOString()),
  },
};

type CropRow = Parameters<typeof cropOfRow>[0];

/** Lines that are named by their number are changed; others are new, but for those that stand there word for word. */
function takeSeason(csv: string, { library, crops, season, now }: TableParts): Taken {
  const read = readCsv(csv, rows.seasonCsv);
  const taken: Taken = { rows: read.length, added: [], changed: [], same: 0 };
  const [known, { vessels }] = [crops.byId(), library.library()];
  const present = season.lines();
  for (const { line, row } of read) {
    atLine(line, () => {
      const crop = lookUp(known, row.crop, 'crop');
      const made = rows.lineOfRow(row, crop.start);
      made.steps?.forEach(({ vessel }) => lookUp(vessels, vessel, 'path'));
      const same = alike(rows.seasonFields);
      const written = rows.rowOfLine({ ...made, id: 0 });
      const seasonLine = present.find(
        (each) => each.id === row.id || (row.id === undefined && same(written, rows.rowOfLine(each))),
      );
      const name = made.name ? `${crop.name} “${made.name}”` : crop.name;
      if (row.id !== undefined && !seasonLine)
        refuse(null, 'id', allow('allowed.number-or-new', { thing: 'line' }), row.id);
      if (seasonLine && same(written, rows.rowOfLine(seasonLine))) taken.same++;
      else if (seasonLine) {
        season.change(seasonLine.id, made);
        taken.changed.push(name);
      } else {
        season.add({ ...made, key: randomUUID() }, now().toISOString());
        taken.added.push(name);
      }
    });
  }
  return taken;
}

function takeLots(csv: string, { library, lots, calendar, now }: TableParts): Taken {
  const read = readCsv(csv, rows.lotCsv);
  const taken: Taken = { rows: read.length, added: [], changed: [], same: 0 };
  const { materials, amendments, vessels } = library.library();
  const all = lots.all();
  const present = { material: materials, product: amendments, vessel: vessels };
  for (const { line, row } of read) {
    const { id, unit, seedYear, germination, left: _, ...lot } = row;
    const existing = all.find(
      (each) =>
        each.id === id ||
        (id === undefined &&
          each.item === lot.item &&
          each.name === lot.name &&
          each.receivedOn === lot.receivedOn),
    );
    if (existing) {
      taken.same++;
      continue;
    }
    if (id !== undefined) refuse(line, 'id', allow('allowed.number-or-new', { thing: 'lot' }), id);
    if (lot.kind !== 'seed' && !present[lot.kind].has(lot.item))
      refuse(line, 'item', allow('allowed.known-item', { kind: lot.kind }), lot.item);
    if (unit !== undefined && unit !== stockUnits[lot.kind])
      refuse(line, 'unit', allow('allowed.unit-of', { unit: stockUnits[lot.kind], kind: lot.kind }), unit);
    atLine(line, () => calendar.notLaterThanToday('received_on', lot.receivedOn));
    const seed = lot.kind === 'seed' ? { year: seedYear ?? null, germination: germination ?? null } : null;
    const made: NewLot = { ...lot, key: randomUUID(), from: null, pack: null, order: null, seed };
    all.push(lots.add(made, now().toISOString()));
    taken.added.push(lot.name);
  }
  return taken;
}
