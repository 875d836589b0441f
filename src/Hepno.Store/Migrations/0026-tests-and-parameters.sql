CREATE TABLE recipe_parameter (recipe_id TEXT NOT NULL REFERENCES recipe(id), position INTEGER NOT NULL, parameter TEXT NOT NULL, source TEXT NOT NULL, as_of TEXT NOT NULL, note TEXT NOT NULL, PRIMARY KEY (recipe_id, position)) STRICT;
ALTER TABLE spot_test ADD COLUMN garment_id TEXT NOT NULL DEFAULT '';
CREATE TABLE spot_test_photo (spot_test_id TEXT NOT NULL REFERENCES spot_test(id), position INTEGER NOT NULL, photo_id TEXT NOT NULL, hash TEXT NOT NULL, washes INTEGER NOT NULL, PRIMARY KEY (spot_test_id, position)) STRICT;
CREATE TABLE test_garment (id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, fabric TEXT NOT NULL, pieces INTEGER NOT NULL, note TEXT NOT NULL) STRICT;
ALTER TABLE settings ADD COLUMN test_first INTEGER NOT NULL DEFAULT 1;
ALTER TABLE settings ADD COLUMN prepare_beside INTEGER NOT NULL DEFAULT 0;
