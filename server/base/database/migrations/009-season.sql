-- Crops: the starter ones, refreshed at start, and the nursery's own. The season is lines of them, each with what was
-- done and made for it.
CREATE TABLE crops (
  id TEXT PRIMARY KEY,
  key TEXT UNIQUE,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  source TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('starter', 'user')),
  position INTEGER NOT NULL
) STRICT;

CREATE TABLE season_lines (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  deleted_at TEXT,
  created_at TEXT NOT NULL
) STRICT;

-- A task of a sowing that was done, and when.
CREATE TABLE season_done (
  line_id INTEGER NOT NULL REFERENCES season_lines (id),
  sowing INTEGER NOT NULL,
  task TEXT NOT NULL,
  day TEXT NOT NULL,
  PRIMARY KEY (line_id, sowing, task)
) STRICT;

-- What a batch was made for.
CREATE TABLE batch_for (
  batch_id INTEGER NOT NULL REFERENCES batches (id),
  line_id INTEGER NOT NULL REFERENCES season_lines (id),
  sowing INTEGER NOT NULL,
  step INTEGER NOT NULL,
  PRIMARY KEY (batch_id, line_id, sowing, step)
) STRICT;
