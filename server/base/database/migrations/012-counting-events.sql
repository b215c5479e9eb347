-- What tallies and care are reckoned from is found without reading past the readings and notes beside it.
CREATE INDEX plant_events_counting ON plant_events (planting_id, id)
  WHERE kind IN ('up', 'count', 'lost', 'thinned', 'moved', 'out', 'fed', 'topped', 'undo');
