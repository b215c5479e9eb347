-- Materials and amendments keep one row as JSON, checked by the schema of core/exchange on the way in,
-- with its source beside it. `origin` tells the starter library from what the user entered.
CREATE TABLE materials (
  id TEXT PRIMARY KEY,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  source TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('starter', 'user')),
  position INTEGER NOT NULL
) STRICT;

CREATE TABLE amendments (
  id TEXT PRIMARY KEY,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  source TEXT NOT NULL,
  origin TEXT NOT NULL CHECK (origin IN ('starter', 'user')),
  position INTEGER NOT NULL
) STRICT;

CREATE TABLE mixes (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TABLE mix_versions (
  id INTEGER PRIMARY KEY,
  mix_id INTEGER NOT NULL REFERENCES mixes (id),
  version INTEGER NOT NULL,
  recipe_json TEXT NOT NULL CHECK (json_valid(recipe_json)),
  created_at TEXT NOT NULL,
  UNIQUE (mix_id, version)
) STRICT;

CREATE TRIGGER mix_versions_never_change BEFORE UPDATE ON mix_versions
BEGIN SELECT RAISE(ABORT, 'a mix version never changes'); END;
CREATE TRIGGER mix_versions_never_go BEFORE DELETE ON mix_versions
BEGIN SELECT RAISE(ABORT, 'a mix version is never deleted'); END;

-- A batch holds all it was made from. `key` comes from the client, so that a save sent twice is one batch.
CREATE TABLE batches (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  mix_version_id INTEGER REFERENCES mix_versions (id),
  made_on TEXT NOT NULL,
  snapshot_json TEXT NOT NULL CHECK (json_valid(snapshot_json)),
  created_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

CREATE TRIGGER batches_keep_what_they_were BEFORE UPDATE OF key, mix_version_id, snapshot_json, created_at ON batches
BEGIN SELECT RAISE(ABORT, 'a batch keeps what it was made from'); END;
CREATE TRIGGER batches_never_go BEFORE DELETE ON batches
BEGIN SELECT RAISE(ABORT, 'a batch is never deleted, only put away'); END;

CREATE INDEX batches_by_day ON batches (made_on DESC, id DESC);
