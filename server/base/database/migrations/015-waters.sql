-- Waters of the nursery, by report or kit. Put away, not erased.
CREATE TABLE waters (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  created_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
