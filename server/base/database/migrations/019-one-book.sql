-- One book: what a planting takes of seed and trays is kept like what a batch takes, and belongs to the planting.
CREATE TABLE takes_new (
  id INTEGER PRIMARY KEY,
  entry_id INTEGER REFERENCES entries (id),
  batch_id INTEGER REFERENCES batches (id),
  planting_id INTEGER REFERENCES plantings (id),
  subject TEXT NOT NULL,
  lot_id INTEGER NOT NULL REFERENCES lots (id),
  amount REAL NOT NULL CHECK (amount >= 0),
  day TEXT NOT NULL,
  CHECK (entry_id IS NOT NULL OR planting_id IS NOT NULL)
) STRICT;
INSERT INTO takes_new (id, entry_id, batch_id, subject, lot_id, amount, day)
  SELECT id, entry_id, batch_id, subject, lot_id, amount, day FROM takes;
DROP TABLE takes;
ALTER TABLE takes_new RENAME TO takes;
CREATE INDEX takes_of_lot ON takes (lot_id);
CREATE INDEX takes_of_subject ON takes (batch_id, subject);
CREATE INDEX takes_by_day ON takes (day, lot_id);
CREATE INDEX takes_of_planting ON takes (planting_id) WHERE planting_id IS NOT NULL;
CREATE INDEX takes_of_entry ON takes (entry_id) WHERE entry_id IS NOT NULL;

-- Trays come back empty: a move of its own.
CREATE TABLE moves_new (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  lot_id INTEGER NOT NULL REFERENCES lots (id),
  kind TEXT NOT NULL CHECK (kind IN ('came', 'lost', 'counted', 'back')),
  -- For a count, by how much it put the lot right, up or down.
  amount REAL NOT NULL,
  day TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL
) STRICT;
INSERT INTO moves_new SELECT id, key, lot_id, kind, amount, day, note, at FROM stock_moves;
DROP TABLE stock_moves;
ALTER TABLE moves_new RENAME TO stock_moves;
CREATE INDEX moves_of_lot ON stock_moves (lot_id, id);
CREATE TRIGGER moves_never_change BEFORE UPDATE ON stock_moves
BEGIN SELECT RAISE(ABORT, 'a move never changes; add another'); END;
CREATE TRIGGER moves_never_go BEFORE DELETE ON stock_moves
BEGIN SELECT RAISE(ABORT, 'a move is never deleted; add another'); END;

-- A task that plantings ticked may be half done; one that a person ticked is done.
ALTER TABLE season_done ADD COLUMN by_planting INTEGER NOT NULL DEFAULT 0 CHECK (by_planting IN (0, 1));
CREATE INDEX plantings_of_line ON plantings (row_json ->> '$.season.line', id)
  WHERE row_json ->> '$.season.line' IS NOT NULL;
