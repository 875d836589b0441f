-- each colour of an artwork as it is cut from vinyl of its own; rolls whose neighbours share a margin; the pieces of vinyl that are left
CREATE TABLE placement_cut (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, placement_id TEXT NOT NULL, hex TEXT NOT NULL, width_share REAL NOT NULL, height_share REAL NOT NULL, paint_share REAL NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
ALTER TABLE vinyl ADD COLUMN shared_margin INTEGER NOT NULL DEFAULT 0;
