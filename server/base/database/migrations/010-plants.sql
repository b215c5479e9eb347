-- Plants begun together, and what happened to them: events are added, never changed; what is put right is one more.
-- `finished` is 1 once none of them stands any more, so that what is done needs not be read again every day.
CREATE TABLE trials (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE plantings (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  crop TEXT NOT NULL,
  batch_id INTEGER REFERENCES batches (id),
  trial_id INTEGER REFERENCES trials (id),
  begun_on TEXT NOT NULL,
  row_json TEXT NOT NULL CHECK (json_valid(row_json)),
  finished INTEGER NOT NULL DEFAULT 0,
  deleted_at TEXT,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX plantings_standing ON plantings (finished, begun_on);
CREATE INDEX plantings_of_batch ON plantings (batch_id);
CREATE INDEX plantings_of_trial ON plantings (trial_id);
CREATE INDEX plantings_of_crop ON plantings (crop, begun_on);

CREATE TABLE plant_events (
  id INTEGER PRIMARY KEY,
  planting_id INTEGER NOT NULL REFERENCES plantings (id),
  key TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL,
  day TEXT NOT NULL,
  format INTEGER NOT NULL,
  data_json TEXT NOT NULL CHECK (json_valid(data_json)),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX plant_events_of_planting ON plant_events (planting_id, id);
CREATE INDEX plant_events_of_kind ON plant_events (kind, planting_id);

CREATE TRIGGER plant_events_never_change BEFORE UPDATE ON plant_events
BEGIN SELECT RAISE(ABORT, 'an event never changes; add another'); END;
CREATE TRIGGER plant_events_never_go BEFORE DELETE ON plant_events
BEGIN SELECT RAISE(ABORT, 'an event is never deleted; add another'); END;
