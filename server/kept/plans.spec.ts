import Database from 'better-sqlite3';
import { MIGRATIONS, migrate } from '#server/base/database/migrate';
import { storesOf } from '#server/kept/stores';

/** What grows with the years. */
const GROWING =
  /\b(batches|entries|plantings|plant_events|takes|stock_moves|mix_versions|plant_pictures|batch_for)\b/;
/** What reads all of it on purpose: whole tables for a file, and what is shown whole. */
const WHOLE = [
  /FROM plantings WHERE deleted_at IS NULL ORDER BY id$/,
  /FROM plant_events ORDER BY id$/,
  /FROM batch_for f/,
  // Deliveries: some hundred, shown all at once.
  /FROM lots l ORDER BY/,
];

test('no list reads a growing table from end to end: asked of SQLite itself', () => {
  const db = new Database(':memory:');
  migrate(db, MIGRATIONS, null);
  const prepare = db.prepare.bind(db);
  const asked = new Set<string>();
  jest.spyOn(db, 'prepare').mockImplementation((sql: string) => {
    asked.add(sql);
    return prepare(sql);
  });
  storesOf(db, () => new Date('2031-03-03T20:00:00Z'));
  const selects = [...asked].filter((sql) => /^\s*(SELECT|WITH)/i.test(sql) && GROWING.test(sql));
  expect(selects.length).toBeGreaterThan(30);
  const scans = selects.flatMap((sql) => {
    const names = [...new Set([...sql.matchAll(/[@:$](\w+)/g)].map(([, name]) => name!))];
    const given = names.length > 0 ? [Object.fromEntries(names.map((name) => [name, 1]))] : marks(sql);
    const plan = prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...given) as { detail: string }[];
    const paged = /LIMIT \? OFFSET \?$/.test(sql);
    return (
      plan
        .map(({ detail }) => detail)
        .filter((detail) => /^SCAN (?!json_each|CONSTANT)/.test(detail))
        // A page in the order of its index is read no further than it is asked for.
        .filter((detail) => !(paged && / USING (COVERING )?INDEX /.test(detail)))
        .map((detail) => `${detail}: ${sql.replaceAll(/\s+/g, ' ').trim()}`)
    );
  });
  expect(scans.filter((scan) => !WHOLE.some((whole) => whole.test(scan)))).toEqual([]);
});

const marks = (sql: string): number[] => [...sql.matchAll(/\?/g)].map(() => 1);
