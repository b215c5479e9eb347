-- What the folder knows of itself: its identity, and how much of the demo it holds.
CREATE TABLE folder (key TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT;
INSERT INTO folder VALUES ('id', lower(hex(randomblob(16))));
-- A demo folder is known by the keys of its batches. It holds what the demo had when it was filled.
INSERT INTO folder
  SELECT 'demo', CASE
    WHEN EXISTS (SELECT 1 FROM lots) THEN '3'
    WHEN EXISTS (SELECT 1 FROM shelf) THEN '2'
    ELSE '1' END
  WHERE EXISTS (SELECT 1 FROM batches WHERE key LIKE '00000000-0000-4000-8000-%');

-- Materials and products in one table, with how each stands on the shelf. `row_json` is checked and lifted by the
-- contract on reading; `format` tells which shape it has. Starter rows are refreshed at start, but never how they
-- stand on the shelf.
CREATE TABLE items (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('material', 'product')),
  format INTEGER NOT NULL,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  source TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('starter', 'user')),
  position INTEGER NOT NULL,
  here INTEGER NOT NULL DEFAULT 0 CHECK (here IN (0, 1)),
  price REAL CHECK (price >= 0),
  price_per TEXT NOT NULL DEFAULT 'L' CHECK (price_per IN ('L', 'kg')),
  use_up INTEGER NOT NULL DEFAULT 0 CHECK (use_up IN (0, 1)),
  shelved_at TEXT
) STRICT;
INSERT INTO items (id, kind, format, row_json, source, origin, position, here, price, use_up, shelved_at)
  SELECT m.id, 'material', 1, m.row_json, m.source, m.origin, m.position,
    coalesce(s.here, 0), s.cost_per_l, coalesce(s.use_up, 0), s.changed_at
  FROM materials m LEFT JOIN shelf s ON s.material = m.id;
INSERT INTO items (id, kind, format, row_json, source, origin, position, price_per)
  SELECT id, 'product', 1, row_json, source, origin, position, 'kg' FROM amendments;
DROP TABLE shelf;
DROP TABLE materials;
DROP TABLE amendments;

CREATE TABLE vessels (
  id TEXT PRIMARY KEY,
  format INTEGER NOT NULL,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  source TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('starter', 'user')),
  position INTEGER NOT NULL
) STRICT;

-- A lot is of an item, and may say how much there was and what it cost.
CREATE TABLE lots_new (
  id INTEGER PRIMARY KEY,
  key TEXT UNIQUE,
  item TEXT NOT NULL REFERENCES items (id),
  name TEXT NOT NULL,
  received_on TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  quantity REAL CHECK (quantity >= 0),
  unit TEXT CHECK (unit IN ('L', 'kg')),
  price REAL CHECK (price >= 0),
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO lots_new (id, item, name, received_on, note, created_at)
  SELECT id, item, name, received_on, note, created_at FROM lots;
DROP TABLE lots;
ALTER TABLE lots_new RENAME TO lots;

-- Which kinds of entry there are is the contract's to say. `format` tells which shape the data has.
CREATE TABLE entries_new (
  id INTEGER PRIMARY KEY,
  batch_id INTEGER NOT NULL REFERENCES batches (id),
  key TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL,
  subject TEXT NOT NULL,
  format INTEGER NOT NULL,
  data_json TEXT NOT NULL CHECK (json_valid(data_json)),
  at TEXT NOT NULL
) STRICT;
INSERT INTO entries_new (id, batch_id, key, kind, subject, format, data_json, at)
  SELECT id, batch_id, key, kind, subject, 1, data_json, at FROM entries;
DROP TABLE entries;
ALTER TABLE entries_new RENAME TO entries;
CREATE INDEX entries_of_batch ON entries (batch_id, id);
CREATE INDEX entries_of_subject ON entries (batch_id, subject, id);
CREATE INDEX entries_of_kind ON entries (kind, batch_id);
CREATE TRIGGER entries_never_change BEFORE UPDATE ON entries
BEGIN SELECT RAISE(ABORT, 'an entry never changes; add another'); END;
CREATE TRIGGER entries_never_go BEFORE DELETE ON entries
BEGIN SELECT RAISE(ABORT, 'an entry is never deleted; add another'); END;

-- Every create carries a key of the client: the same key twice is one thing. Rows from before have none.
ALTER TABLE mixes ADD COLUMN key TEXT;
CREATE UNIQUE INDEX mixes_by_key ON mixes (key);
ALTER TABLE mix_versions ADD COLUMN key TEXT;
CREATE UNIQUE INDEX mix_versions_by_key ON mix_versions (key);
ALTER TABLE measures ADD COLUMN key TEXT;
CREATE UNIQUE INDEX measures_by_key ON measures (key);
