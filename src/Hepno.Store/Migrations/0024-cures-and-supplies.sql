CREATE TABLE supplies (id TEXT PRIMARY KEY, version INTEGER NOT NULL) STRICT;
CREATE TABLE supplies_slot (supplies_id TEXT NOT NULL REFERENCES supplies(id), position INTEGER NOT NULL, supply TEXT NOT NULL, full_at REAL NOT NULL, low_at REAL NOT NULL, PRIMARY KEY (supplies_id, position)) STRICT;
CREATE TABLE supplies_takes (supplies_id TEXT NOT NULL REFERENCES supplies(id), position INTEGER NOT NULL, supply TEXT NOT NULL, product TEXT NOT NULL, PRIMARY KEY (supplies_id, position)) STRICT;
CREATE TABLE supplies_loading (supplies_id TEXT NOT NULL REFERENCES supplies(id), position INTEGER NOT NULL, supply TEXT NOT NULL, product TEXT NOT NULL, lot TEXT NOT NULL, at_wall TEXT NOT NULL, level REAL NOT NULL, by_whom TEXT NOT NULL, PRIMARY KEY (supplies_id, position)) STRICT;
CREATE TABLE cure (id TEXT PRIMARY KEY, version INTEGER NOT NULL, number INTEGER NOT NULL, printer_id TEXT NOT NULL, at_wall TEXT NOT NULL, station_id TEXT NOT NULL, temperature_f REAL NOT NULL, minutes REAL NOT NULL, by_whom TEXT NOT NULL,
  sign TEXT NOT NULL, before_print TEXT NOT NULL, after_print TEXT NOT NULL, colour_ml REAL NOT NULL, white_ml REAL NOT NULL, film_in REAL NOT NULL, powder_g REAL NOT NULL, verdict TEXT NOT NULL, why TEXT NOT NULL) STRICT;
CREATE TABLE cure_print (cure_id TEXT NOT NULL REFERENCES cure(id), position INTEGER NOT NULL, order_id TEXT NOT NULL, line_id TEXT NOT NULL, placement_id TEXT NOT NULL, prints INTEGER NOT NULL, white_only INTEGER NOT NULL, PRIMARY KEY (cure_id, position)) STRICT;
CREATE TABLE cure_lot (cure_id TEXT NOT NULL REFERENCES cure(id), position INTEGER NOT NULL, lot TEXT NOT NULL, PRIMARY KEY (cure_id, position)) STRICT;
CREATE INDEX cure_print_order ON cure_print(order_id);
