-- a print of a layout may be laid by its own outline: the share of its box that it encloses, 1 for a box
ALTER TABLE order_layout_design ADD COLUMN cover REAL NOT NULL DEFAULT 1 CHECK (cover > 0 AND cover <= 1);
