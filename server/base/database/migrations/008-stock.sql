-- A lot may also be of seed or of empty vessels; it says how much came, what it cost in all, when it is ready to be
-- used and what it was made of. Items of seed are names; the others are ids of what stands in the library.
CREATE TABLE lots_new (
  id INTEGER PRIMARY KEY,
  key TEXT UNIQUE,
  kind TEXT NOT NULL CHECK (kind IN ('material', 'product', 'vessel', 'seed')),
  item TEXT NOT NULL,
  name TEXT NOT NULL,
  received_on TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  -- Litres of a material, kilograms of a product, single vessels and seeds.
  quantity REAL CHECK (quantity >= 0),
  price REAL CHECK (price >= 0),
  ready_on TEXT,
  from_json TEXT CHECK (from_json IS NULL OR json_valid(from_json)),
  seed_json TEXT CHECK (seed_json IS NULL OR json_valid(seed_json)),
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO lots_new (id, key, kind, item, name, received_on, note, created_at)
  SELECT l.id, l.key, coalesce((SELECT i.kind FROM items i WHERE i.id = l.item), 'material'),
    l.item, l.name, l.received_on, l.note, l.created_at FROM lots l;
DROP TABLE lots;
ALTER TABLE lots_new RENAME TO lots;
CREATE INDEX lots_of_item ON lots (item);

-- What happened to a lot beside batches: more came, some was lost, it was counted. Amounts only add up.
CREATE TABLE stock_moves (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  lot_id INTEGER NOT NULL REFERENCES lots (id),
  kind TEXT NOT NULL CHECK (kind IN ('came', 'lost', 'counted')),
  -- For a count, by how much it put the lot right, up or down.
  amount REAL NOT NULL,
  day TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL
) STRICT;
CREATE INDEX moves_of_lot ON stock_moves (lot_id, id);
CREATE TRIGGER moves_never_change BEFORE UPDATE ON stock_moves
BEGIN SELECT RAISE(ABORT, 'a move never changes; add another'); END;
CREATE TRIGGER moves_never_go BEFORE DELETE ON stock_moves
BEGIN SELECT RAISE(ABORT, 'a move is never deleted; add another'); END;

-- What a batch took from a lot: written with the entry that says so, so that sums are quick. Of two entries on one
-- item the later one holds; uses add up.
CREATE TABLE takes (
  id INTEGER PRIMARY KEY,
  entry_id INTEGER NOT NULL REFERENCES entries (id),
  batch_id INTEGER NOT NULL REFERENCES batches (id),
  subject TEXT NOT NULL,
  lot_id INTEGER NOT NULL REFERENCES lots (id),
  amount REAL NOT NULL CHECK (amount >= 0),
  day TEXT NOT NULL
) STRICT;
CREATE INDEX takes_of_lot ON takes (lot_id);
CREATE INDEX takes_of_subject ON takes (batch_id, subject);
INSERT INTO takes (entry_id, batch_id, subject, lot_id, amount, day)
  SELECT e.id, e.batch_id, e.subject, l.id,
    coalesce(
      (SELECT c.value ->> '$.looseLitres' FROM json_each(b.snapshot_json, '$.sheet.components') c
       WHERE c.value ->> '$.material' = l.item),
      (SELECT a.value ->> '$.grams' / 1000.0 FROM json_each(b.snapshot_json, '$.sheet.amendments') a
       WHERE a.value ->> '$.amendment' = l.item),
      0), b.made_on
  FROM entries e
  JOIN batches b ON b.id = e.batch_id
  JOIN lots l ON l.id = e.data_json ->> '$.lot'
  WHERE e.kind = 'lot'
    AND e.id = (SELECT max(id) FROM entries WHERE batch_id = e.batch_id AND subject = e.subject);

-- Tests of a material, done on one of its lots. What was measured moves its figures; a test can be laid aside.
CREATE TABLE lot_tests (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  item TEXT NOT NULL,
  lot_id INTEGER REFERENCES lots (id),
  test TEXT NOT NULL,
  values_json TEXT NOT NULL CHECK (json_valid(values_json)),
  day TEXT NOT NULL,
  aside INTEGER NOT NULL DEFAULT 0 CHECK (aside IN (0, 1)),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX tests_of_item ON lot_tests (item);
