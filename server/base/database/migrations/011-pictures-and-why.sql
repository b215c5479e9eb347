-- Why a version of a mix was made, in words; pictures of plants, small, beside the events that tell of them.
ALTER TABLE mix_versions ADD COLUMN why TEXT NOT NULL DEFAULT '';

CREATE TABLE plant_pictures (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  planting_id INTEGER NOT NULL REFERENCES plantings (id),
  jpeg BLOB NOT NULL,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX plant_pictures_of_planting ON plant_pictures (planting_id);
