-- What happened to a batch, in order. Entries are added, never changed: what is put right is one more entry.
-- `subject` is what an entry is about ("tick/layer/0", "test/ph"), so that two devices notice that they differ.
CREATE TABLE entries (
  id INTEGER PRIMARY KEY,
  batch_id INTEGER NOT NULL REFERENCES batches (id),
  key TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL CHECK (kind IN ('tick', 'test', 'correction', 'lot', 'use', 'note')),
  subject TEXT NOT NULL,
  data_json TEXT NOT NULL CHECK (json_valid(data_json)),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX entries_of_batch ON entries (batch_id, id);

CREATE TRIGGER entries_never_change BEFORE UPDATE ON entries
BEGIN SELECT RAISE(ABORT, 'an entry never changes; add another'); END;
CREATE TRIGGER entries_never_go BEFORE DELETE ON entries
BEGIN SELECT RAISE(ABORT, 'an entry is never deleted; add another'); END;

-- A purchase or a heap of one material or amendment.
CREATE TABLE lots (
  id INTEGER PRIMARY KEY,
  item TEXT NOT NULL,
  name TEXT NOT NULL,
  received_on TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL
) STRICT;
