-- What stands on the shelf, and what a litre of it costs, loose, in the user's own currency.
CREATE TABLE shelf (
  material TEXT PRIMARY KEY REFERENCES materials (id),
  here INTEGER NOT NULL CHECK (here IN (0, 1)),
  cost_per_l REAL CHECK (cost_per_l >= 0),
  use_up INTEGER NOT NULL CHECK (use_up IN (0, 1)),
  changed_at TEXT NOT NULL
) STRICT;
