-- What stands and what is listed is found without reading the rows themselves.
CREATE INDEX plantings_listed ON plantings (finished, begun_on, id)
  WHERE deleted_at IS NULL AND trial_id IS NULL;
DROP INDEX plantings_standing;
