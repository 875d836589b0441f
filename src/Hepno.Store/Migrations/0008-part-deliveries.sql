CREATE TABLE order_part (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, taken_by TEXT NOT NULL, at TEXT NOT NULL, money_micros INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE TABLE order_part_piece (
  order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, part INTEGER NOT NULL, line_id TEXT NOT NULL, size TEXT NOT NULL, pieces INTEGER NOT NULL, PRIMARY KEY (order_id, position)
) STRICT;
