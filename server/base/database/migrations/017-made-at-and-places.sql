-- When something happened to plants, by the clock of the device put right; null where it was sent at once. Two counts
-- that were made out of reach are told apart by it, not by which of them came in first.
ALTER TABLE plant_events ADD COLUMN made_at TEXT;

-- The last place in a list is found without reading the list.
CREATE INDEX items_position ON items (position);
CREATE INDEX vessels_position ON vessels (position);
CREATE INDEX crops_position ON crops (position);
