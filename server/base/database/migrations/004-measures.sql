-- The user's own buckets, cups and tubs. Put away, not erased: old cards name them.
CREATE TABLE measures (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  litres REAL NOT NULL CHECK (litres > 0),
  heaped_litres REAL CHECK (heaped_litres >= litres),
  created_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;
