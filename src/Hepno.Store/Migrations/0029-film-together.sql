-- film of several orders bought as one: whose each design is, and with which order a line's film is bought
ALTER TABLE order_layout_design ADD COLUMN for_order TEXT NOT NULL DEFAULT '';
CREATE TABLE order_joined (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, with_order TEXT NOT NULL, with_code TEXT NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
