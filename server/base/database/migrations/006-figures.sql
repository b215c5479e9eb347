-- What a recipe came to when it was kept, so that it can say what a later model moved. Rows from before have none.
ALTER TABLE mix_versions ADD COLUMN figures_json TEXT CHECK (figures_json IS NULL OR json_valid(figures_json));
