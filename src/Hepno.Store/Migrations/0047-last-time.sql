-- for lines asked for again: how they were made and sold before
CREATE TABLE order_last (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, code TEXT NOT NULL, method_id TEXT NOT NULL, price_micros INTEGER NOT NULL, at TEXT NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
