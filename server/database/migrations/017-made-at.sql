-- When something happened to plants, by the clock of the device put right; null where it was sent at once. Two counts
-- that were made out of reach are told apart by it, not by which of them came in first.
ALTER TABLE plant_events ADD COLUMN made_at TEXT;
