-- How a delivery was packed, so that the next one is told in the same packages; and what is ordered and has not come.
ALTER TABLE lots ADD COLUMN pack_json TEXT CHECK (pack_json IS NULL OR json_valid(pack_json));

CREATE TABLE orders (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL CHECK (kind IN ('material', 'product', 'vessel', 'seed')),
  item TEXT NOT NULL,
  -- In the unit of its kind, as lots have it.
  amount REAL NOT NULL CHECK (amount > 0),
  ordered_on TEXT NOT NULL,
  -- The delivery, once it came.
  lot_id INTEGER REFERENCES lots (id),
  deleted_at TEXT
) STRICT;
CREATE INDEX orders_open ON orders (ordered_on, id) WHERE lot_id IS NULL AND deleted_at IS NULL;
