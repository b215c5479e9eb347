import { allow } from '#core/units/allowed';
import { tableNames, type TableName, type Taken } from '#contract/tables';
import { OutOfRange } from '#core/units/check';
import { type Api } from '#server/base/http/serve';
import { type PlantEntries } from '#server/book/plants/plant-entries';
import { type Stores } from '#server/kept/stores';
import { type TableParts, tables } from '#server/out/tables/tables';

/** Tables out and in, as CSV. */
export function tableRoutes(api: Api, stores: Stores, entries: PlantEntries): void {
  const parts: TableParts = { ...stores, entries };
  const named = (table: string): TableName => {
    const name = tableNames.find((tableName) => tableName === table);
    if (!name) throw new OutOfRange('table', table, allow('allowed.one-of', { ids: [...tableNames] }));
    return name;
  };
  api.serve('tableOut', ({ params }) => {
    const table = named(params.table);
    return { table, file: `welcome-${table}.csv`, csv: tables[table].out(parts) };
  });
  api.serve('tableIn', ({ params, body: { csv, dry } }) => {
    const table = named(params.table);
    class Dry extends Error {}
    let taken: Taken | null = null;
    try {
      stores.db
        .transaction(() => {
          taken = tables[table].take(csv, parts);
          if (dry) throw new Dry();
        })
        .immediate();
    } catch (error) {
      if (!(error instanceof Dry)) throw error;
    } finally {
      stores.library.changed();
    }
    return taken!;
  });
}
