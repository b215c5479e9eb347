-- Of which planting vessels came back empty.
ALTER TABLE stock_moves ADD COLUMN planting_id INTEGER REFERENCES plantings (id);
CREATE INDEX moves_of_planting ON stock_moves (planting_id) WHERE planting_id IS NOT NULL;
