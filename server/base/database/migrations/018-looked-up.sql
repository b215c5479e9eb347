-- What is asked for by its day, its kind or where it came from is found without reading the table.
CREATE INDEX takes_by_day ON takes (day, lot_id);
CREATE INDEX batches_of_version ON batches (mix_version_id);
CREATE INDEX plant_events_by_kind ON plant_events (kind, id);
CREATE INDEX entries_by_kind ON entries (kind, id);
CREATE INDEX plantings_by_day ON plantings (begun_on, id) WHERE deleted_at IS NULL;
CREATE INDEX mixes_by_name ON mixes (name COLLATE NOCASE, id);
-- The archives.
CREATE INDEX plantings_archived ON plantings (deleted_at DESC, id DESC) WHERE deleted_at IS NOT NULL;
CREATE INDEX batches_archived ON batches (made_on DESC, id DESC) WHERE deleted_at IS NOT NULL;
CREATE INDEX batches_listed ON batches (made_on DESC, id DESC) WHERE deleted_at IS NULL;
