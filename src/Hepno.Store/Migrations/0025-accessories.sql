CREATE TABLE press_accessory (press_id TEXT NOT NULL REFERENCES press(id), position INTEGER NOT NULL, name TEXT NOT NULL, kind TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, thickness_in REAL NOT NULL, uses INTEGER NOT NULL, since TEXT NOT NULL, PRIMARY KEY (press_id, position)) STRICT;
ALTER TABLE press_dial ADD COLUMN pillow TEXT NOT NULL DEFAULT '';
