-- transfers kept on hand, with what was put in and taken out; and what an order takes from there
CREATE TABLE kept_print (id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, design_id TEXT, product_id TEXT NOT NULL, keep INTEGER NOT NULL, good_days INTEGER NOT NULL) STRICT;
CREATE TABLE kept_print_lot (kept_id TEXT NOT NULL REFERENCES kept_print(id), position INTEGER NOT NULL, pieces INTEGER NOT NULL, on_date TEXT NOT NULL, order_code TEXT NOT NULL, PRIMARY KEY (kept_id, position)) STRICT;
CREATE TABLE order_drawer (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, key TEXT NOT NULL, kept_id TEXT NOT NULL, pieces INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
