-- When a tray is lifted again is reckoned from its last weighing or watering.
DROP INDEX plant_events_counting;
CREATE INDEX plant_events_counting ON plant_events (planting_id, id)
  WHERE kind IN ('up', 'count', 'lost', 'thinned', 'moved', 'out', 'fed', 'topped', 'undo', 'watered', 'weight');
