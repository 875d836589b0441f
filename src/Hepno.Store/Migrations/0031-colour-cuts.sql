-- each colour of an artwork as it is cut from vinyl of its own; rolls whose neighbours share a margin; the pieces of vinyl that are left
CREATE TABLE placement_cut (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, placement_id TEXT NOT NULL, hex TEXT NOT NULL, width_share REAL NOT NULL, height_share REAL NOT NULL, paint_share REAL NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
ALTER TABLE vinyl ADD COLUMN shared_margin INTEGER NOT NULL DEFAULT 0;
CREATE TABLE remnant (id TEXT PRIMARY KEY, version INTEGER NOT NULL, vinyl_id TEXT NOT NULL, colour TEXT NOT NULL, width_in REAL NOT NULL, length_in REAL NOT NULL, since TEXT NOT NULL, from_order TEXT NOT NULL, gone INTEGER NOT NULL) STRICT;
CREATE TABLE order_remnant (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, placement_id TEXT NOT NULL, layer INTEGER NOT NULL, remnant_id TEXT NOT NULL, vinyl_id TEXT NOT NULL, width_in REAL NOT NULL, length_in REAL NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE INDEX order_remnant_by_piece ON order_remnant(remnant_id);
