-- What the user adds carries a key of the client: the same key twice is one thing. Starter rows have none.
ALTER TABLE items ADD COLUMN key TEXT;
CREATE UNIQUE INDEX items_by_key ON items (key);
ALTER TABLE vessels ADD COLUMN key TEXT;
CREATE UNIQUE INDEX vessels_by_key ON vessels (key);
